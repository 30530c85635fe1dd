import type { MovingBy } from '../../documents/moving.ts'
import type { MovingSettled } from '../../moments/settleMoving.ts'
import { towOf } from '../../setup/moving/tow.ts'
import { lineOutFor } from '../../setup/moving/trolled.ts'
import type { Setup } from '../../setup/setup.ts'
import type { Phrase } from '../../units/phrase.ts'
import { depth, say } from '../../units/phrase.ts'
import { type Remedy, type Rule, SEVERITY_OF } from '../finding.ts'
import { called } from '../remedies.ts'

/** What is towed or wound in does not swim where it is meant to, or cannot be said to. */
export const offItsDepth: Rule = {
  id: 'off-its-depth',
  explains: ['settle'],
  check: ({ moments: { settle }, setup }) => {
    const { moving } = setup.conditions
    const moved = settle?.moved
    if (!settle || !moved || !moving || moving.way === 'kite' || settle.verdict === 'holds') return []
    return [
      {
        subject: settle.end,
        severity: SEVERITY_OF[settle.verdict],
        why: whyOf(called(setup.trace, settle.end), moved),
        figure: 1 / Math.max(settle.margin, 1e-6),
        remedies: moving.way === 'trolled' ? trolledRemedies(setup, moving, moved) : retrievedRemedies(setup, moving),
      },
    ]
  },
}

function whyOf(name: string, moved: MovingSettled): Phrase {
  if (moved.trouble !== undefined) return say`Where ${name} swims cannot be calculated: ${moved.trouble}.`
  if (moved.way === 'trolled')
    return moved.depthM >= moved.waterM
      ? say`${name} runs ${depth(moved.depthM)} deep in ${depth(moved.waterM)} of water. It is on the bottom.`
      : say`${name} swims ${depth(moved.depthM)} deep; the target is ${depth(moved.wantedM)}.`
  const share = moved.way === 'retrieved' ? Math.round(moved.keptShare * 100) : 0
  return say`A steady retrieve keeps ${name} at its depth for only ${share} % of the way.`
}

/** Line out to a whole metre, else another speed of the boat. */
function trolledRemedies(setup: Setup, moving: MovingBy<'trolled'>, moved: MovingSettled): Remedy[] {
  if (moved.way !== 'trolled' || moved.trouble !== undefined) return []
  const tow = towOf(setup)
  const { conditions } = setup
  const lineOutM = lineOutFor(tow, moving.speedMperS, moved.wantedM)
  const shallow = moved.depthM < moved.wantedM
  const at = (speedMperS: number) => ({ conditions: { ...conditions, moving: { ...moving, speedMperS } } })
  const faster = [1.25, 1.5, 2, 3].map((times) => moving.speedMperS * (shallow ? 1 / times : times))
  const swims = (speedMperS: number) => {
    const out = lineOutFor(tow, speedMperS, moved.wantedM)
    return out !== undefined && Math.abs(out - moving.lineOutM) < 0.15 * moving.lineOutM
  }
  const speed = faster.find(swims)
  return [
    ...(lineOutM === undefined
      ? []
      : [
          {
            label: lineOutM > moving.lineOutM ? 'let out more line' : 'take line in',
            make: () => ({ conditions: { ...conditions, moving: { ...moving, lineOutM: Math.max(1, Math.round(lineOutM)) } } }),
          },
        ]),
    ...(speed === undefined
      ? []
      : [{ label: shallow ? 'tow it slower' : 'tow it faster', make: () => at(Number(speed.toFixed(2))) }]),
  ]
}

/** The rod tip the other way, or the upper water instead. */
function retrievedRemedies({ conditions }: Setup, moving: MovingBy<'retrieved'>): Remedy[] {
  const as = (change: Partial<MovingBy<'retrieved'>>) => () => ({
    conditions: { ...conditions, moving: { ...moving, ...change } },
  })
  return [
    moving.rodTip === 'high'
      ? { label: 'hold the rod tip low', make: as({ rodTip: 'low' }) }
      : { label: 'hold the rod tip high', make: as({ rodTip: 'high' }) },
    {
      label: 'fish at a third of the depth',
      make: as({ swimsAt: { from: 'surface', m: Math.round(moving.nearWaterM / 0.3) / 10 } }),
    },
  ]
}

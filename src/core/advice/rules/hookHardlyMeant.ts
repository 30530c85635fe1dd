import { hookDimensions, straighteningLoadN } from '../../catalogue/hooks.ts'
import { hungFrom } from '../../documents/pieces.ts'
import type { HookPiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import { BAIT_DENSITY_KG_PER_M3 } from '../../math/constants.ts'
import { massOfKg } from '../../setup/masses.ts'
import { parseHookSize } from '../../units/hookSize.ts'
import type { Found, Judged, Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, lineAbove } from '../remedies.ts'

/** Gape over the side of a cube of the bait, and load that straightens it over its line, under which a hook is hardly what was meant. Ours. */
const LEAST_GAPE = 0.22
const LEAST_OF_LINE = 0.25

/** A 2 where a 2/0 was meant: too small for its bait, or far too weak for its line. And sizes that the table does not reach. */
export const hookHardlyMeant: Rule = {
  id: 'hook-hardly-meant',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((hook): Found[] => {
      const { trace, catalogue } = judged.setup
      if (hook.role !== 'hook' || hook.gapeM !== undefined) return []
      const size = parseHookSize(hook.size)
      const small = shortfallOf(judged, hook)
      const larger = size.ok && !size.size.aught ? `${size.size.label}/0` : undefined
      if (small > 1 && larger && shortfallOf(judged, { ...hook, size: larger }) <= 1)
        return [
          {
            subject: hook.id,
            severity: 'caution',
            why: say`${called(trace, hook.id)} is a size ${hook.size}, small for its bait or its line; perhaps ${larger} was meant.`,
            figure: small,
            remedies: [
              {
                label: `take a ${larger}`,
                make: () => ({ trace: withPiece(trace, hook.id, (old) => ({ ...old, size: larger }) as typeof old) }),
              },
            ],
          },
        ]
      if (!hookDimensions(catalogue, hook.pattern, hook.size)?.extrapolated) return []
      return [
        {
          subject: hook.id,
          severity: 'note',
          why: say`Size ${hook.size} lies beyond the table of hooks: gape and wire of ${called(trace, hook.id)} are carried on from its end. Measure it.`,
          figure: 1,
          remedies: [],
        },
      ]
    }),
}

/** How many times too small a hook is for what is on it, or too weak for what it is on; up to 1 it is neither. */
function shortfallOf(judged: Judged, hook: HookPiece): number {
  const { trace, catalogue } = judged.setup
  const dimensions = hookDimensions(catalogue, hook.pattern, hook.size)
  if (!dimensions) return 0
  const baitM = Math.max(
    0,
    ...hungFrom(trace, hook.id)
      .filter(({ role }) => role === 'bait')
      .map((bait) => Math.cbrt(massOfKg(catalogue, bait) / BAIT_DENSITY_KG_PER_M3)),
  )
  const line = lineAbove(judged, hook)
  const straightensN = straighteningLoadN(hook.wireM ?? dimensions.wireM, dimensions.gapeM)
  return Math.max((LEAST_GAPE * baitM) / dimensions.gapeM, line ? (LEAST_OF_LINE * line.strengthN) / straightensN : 0)
}

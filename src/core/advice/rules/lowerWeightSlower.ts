import type { Catalogue } from '../../catalogue/catalogue.ts'
import { withFields } from '../../edit/changes.ts'
import { type Sinker, weightOfSinker } from '../../setup/settling/settling.ts'
import { type Falling, fallSpeedMperS, sinkOrder } from '../../setup/settling/sinkOrder.ts'
import { say, speed } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Weights are stepped by so much, up to so much, kg. */
const STEP_KG = 0.01
const MAX_KG = 5

/** Two weights on one rig: the lower sinks no faster than the upper, as a release weight slower than the hold-down, and they foul. */
export const lowerWeightSlower: Rule = {
  id: 'lower-weight-slower',
  check: ({ setup }) => {
    const { trace, catalogue, conditions } = setup
    if (conditions.castStyle !== 'none') return []
    const falling = sinkOrder(setup)
    if (!falling || falling.lower.speedMperS > falling.upper.speedMperS) return []
    const { lower, upper } = falling
    const replaced = (id: string, change: Partial<Sinker>) => () => ({
      trace: withFields(trace, id, change),
    })
    const heavierKg = outrunning(catalogue, lower, upper.speedMperS)
    return [
      {
        subject: lower.sinker.id,
        severity: 'fault',
        why: say`${called(trace, lower.sinker.id)} sinks at ${speed(lower.speedMperS)}, slower than ${called(trace, upper.sinker.id)} above it at ${speed(upper.speedMperS)}. The upper one overtakes it and they tangle.`,
        figure: upper.speedMperS / lower.speedMperS,
        remedies: [
          ...(lower.sinker.shape === 'bomb'
            ? []
            : [
                {
                  label: 'make the lower sinker a bomb, which sinks faster',
                  make: replaced(lower.sinker.id, { shape: 'bomb' }),
                },
              ]),
          ...(catalogue.sinkers[upper.sinker.shape].flight >= catalogue.sinkers.flat.flight
            ? []
            : [
                {
                  label: 'make the upper sinker flat, which sinks slower',
                  make: replaced(upper.sinker.id, { shape: 'flat' }),
                },
              ]),
          ...(heavierKg === undefined
            ? []
            : [
                {
                  label: 'use a lower sinker heavy enough to stay ahead',
                  make: replaced(lower.sinker.id, { massKg: heavierKg }),
                },
              ]),
        ],
      },
    ]
  },
}

/** The lightest lower weight of its shape that outruns a speed; undefined where none within reason does. */
function outrunning(catalogue: Catalogue, { sinker, areaM2 }: Falling, speedMperS: number): number | undefined {
  const drawnM2 = areaM2 - weightOfSinker(catalogue, sinker).fallAreaM2
  for (let massKg = Math.ceil(sinker.massKg / STEP_KG) * STEP_KG; massKg <= MAX_KG; massKg += STEP_KG) {
    const heavier = { ...sinker, massKg: Math.round(massKg / STEP_KG) * STEP_KG }
    if (fallSpeedMperS(catalogue, heavier, weightOfSinker(catalogue, heavier).fallAreaM2 + drawnM2) > speedMperS)
      return heavier.massKg
  }
  return undefined
}

import { HAND_OVER_WEIGHT } from '../../moments/thresholds.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'

/** The fish is too heavy to lift by this trace: net it, or lift a smaller one. */
export const liftTooHeavy: Rule = {
  id: 'lift-too-heavy',
  check: ({ moments: { hand }, setup: { conditions } }) => {
    if (!hand || hand.figure.value >= HAND_OVER_WEIGHT.holds) return []
    const liftKg = Math.floor((conditions.fishMassKg * hand.figure.value * 10) / (HAND_OVER_WEIGHT.holds + 0.01)) / 10
    return [
      {
        severity: hand.figure.value < HAND_OVER_WEIGHT.watch ? 'fault' : 'caution',
        why: say`The weakest from the hand to the hook bears ${hand.figure.value.toFixed(1)} times the fish; ${HAND_OVER_WEIGHT.holds} are wanted for a lift.`,
        figure: HAND_OVER_WEIGHT.holds / hand.figure.value,
        remedies:
          liftKg >= 0.1
            ? [
                {
                  label: 'net it, and lift only what this trace lifts',
                  make: () => ({ conditions: { ...conditions, fishMassKg: liftKg } }),
                },
              ]
            : [],
      },
    ]
  },
}

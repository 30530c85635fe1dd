import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'

/** The fish is too heavy to lift by this trace: net it, or lift a smaller one. */
export const liftTooHeavy: Rule = {
  id: 'lift-too-heavy',
  check: ({ hand, workings: { conditions } }) => {
    if (!hand || hand.figure.value >= 3) return []
    const liftKg = Math.floor((conditions.fishMassKg * hand.figure.value * 10) / 3.01) / 10
    return [
      {
        severity: hand.figure.value < 2 ? 'fault' : 'caution',
        why: say`The weakest from the hand to the hook bears ${hand.figure.value.toFixed(1)} times the fish; 3 are wanted for a lift.`,
        figure: 3 / hand.figure.value,
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

import { HAND_OVER_WEIGHT } from '../../moments/thresholds.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** The fish is too heavy to lift by this trace: net it, or lift a smaller one. */
export const liftTooHeavy: Rule = {
  id: 'lift-too-heavy',
  check: ({ moments: { hand }, setup: { conditions } }) => {
    if (!hand || hand.figure.value >= HAND_OVER_WEIGHT.holds) return []
    return [
      {
        severity: hand.figure.value < HAND_OVER_WEIGHT.watch ? 'fault' : 'caution',
        why: say`The weakest link from the hand to the hook holds ${hand.figure.value.toFixed(1)} times ${conditions.landing === 'lift' ? 'the fish' : 'its share of the fish'}; it should hold ${HAND_OVER_WEIGHT.holds} times.`,
        figure: HAND_OVER_WEIGHT.holds / hand.figure.value,
        remedies:
          conditions.landing === 'net'
            ? []
            : [{ label: 'net it', make: () => ({ conditions: { ...conditions, landing: 'net' as const } }) }],
      },
    ]
  },
}

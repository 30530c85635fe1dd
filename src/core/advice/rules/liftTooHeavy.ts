import type { Landing } from '../../catalogue/ids.ts'
import type { Conditions } from '../../documents/conditions.ts'
import { gradeAtLeast } from '../../moments/moment.ts'
import { MAX_NETTED_KG } from '../../purpose/landing.ts'
import { figure, say } from '../../units/phrase.ts'
import { type Remedy, type Rule, SEVERITY_OF } from '../finding.ts'

/** The fish pulls or weighs too much for this trace as it is landed: land it another way, or a smaller one. */
export const liftTooHeavy: Rule = {
  id: 'lift-too-heavy',
  explains: ['hand'],
  check: ({ moments: { hand }, setup: { conditions } }) => {
    if (!hand || conditions.fishAssumed || hand.overPull >= hand.limits.holds) return []
    return [
      {
        severity: SEVERITY_OF[gradeAtLeast(hand.overPull, hand.limits)],
        why: say`The weakest link from the hand to the hook holds ${figure(hand.overPull, 1)} times ${conditions.landing === 'lift' ? 'the fish' : 'the pull of the fish'}; it should hold ${hand.limits.holds} times.`,
        figure: hand.limits.holds / hand.overPull,
        remedies: otherWays(conditions),
      },
    ]
  },
}

const WAYS: readonly { landing: Landing; label: string; suits: (conditions: Conditions) => boolean }[] = [
  { landing: 'net', label: 'net it', suits: ({ fishMassKg }) => fishMassKg <= MAX_NETTED_KG },
  {
    landing: 'beach',
    label: 'draw it up the beach',
    suits: ({ water, castStyle }) => (water ? water.method === 'shore' : castStyle !== 'none'),
  },
  { landing: 'leadered', label: 'take the leader by hand', suits: ({ water }) => water?.method !== 'shore' },
]

function otherWays(conditions: Conditions): Remedy[] {
  if (conditions.landing !== 'lift' && conditions.landing !== 'net') return []
  return WAYS.filter(({ landing, suits }) => landing !== conditions.landing && suits(conditions)).map(({ landing, label }) => ({
    label,
    make: () => ({ conditions: { ...conditions, landing } }),
  }))
}

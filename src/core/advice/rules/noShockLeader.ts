import { woundRef } from '../../documents/linkRef.ts'
import { isLine, parentId } from '../../documents/pieces.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { addPart } from '../../edit/addPart.ts'
import { withLength } from '../../edit/changes.ts'
import { placesAt } from '../../edit/places.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { freeLine } from '../../setup/outfitLines.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'
import { gentlerCast } from './castTooHard.ts'

/** The main line takes the cast and does not bear it: no shock leader, or one that ends short of the reel. */
export const noShockLeader: Rule = {
  id: 'no-shock-leader',
  check: (judged) => {
    const {
      moments: { cast },
      setup,
    } = judged
    const { trace, outfit } = setup
    if (!cast || cast.verdict === 'holds' || cast.beginsAt !== 'main') return []
    const leader = trace.pieces.filter(isLine).find(({ attach, role }) => role === 'leader' && parentId(attach) === OUTFIT)
    const neededM = Math.ceil(cast.leaderNeededM * 2) / 2
    return [
      {
        severity: cast.verdict === 'fails' ? 'fault' : 'caution',
        why: leader
          ? say`The leader is ${length(cast.leaderM)}; ${length(cast.leaderNeededM)} would reach the reel, so the main line takes a cast it does not bear.`
          : say`There is no shock leader: the ${freeLine(outfit).material} main line takes a cast it does not bear.`,
        figure: CAST_OVER_PEAK.holds / cast.figure.value,
        remedies: [
          leader
            ? {
                label: 'make the leader long enough to reach the reel',
                make: () => ({ trace: withLength(trace, leader.id, neededM) }),
              }
            : {
                label: 'add a shock leader that reaches the reel',
                make: () => {
                  const [place] = placesAt(trace, woundRef('main'))
                  const added = place && addPart(setup, place, 'leader')
                  return added?.ok ? { trace: withLength(added.trace, added.chosen, neededM) } : undefined
                },
              },
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

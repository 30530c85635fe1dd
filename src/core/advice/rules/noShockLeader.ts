import { overPull } from '../../moments/cast.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { length, say } from '../../units/phrase.ts'
import { gentlerCast, shockLeader, shortLinks } from '../castRemedies.ts'
import type { Rule } from '../finding.ts'
import { outfitLeader, partsOfLink } from '../remedies.ts'

/** The outfit’s own line takes the cast and does not bear it: no shock leader, or one that ends short of the reel. */
export const noShockLeader: Rule = {
  id: 'no-shock-leader',
  explains: ['cast'],
  check: (judged) => {
    const {
      moments: { cast },
      setup: { trace, outfit },
    } = judged
    const short = cast ? shortLinks(cast).filter(({ ref }) => ref.at === 'wound' || ref.at === 'woundJoint') : []
    if (!cast || short.length === 0) return []
    const times = Math.min(...short.map(overPull))
    const leader = outfitLeader(trace)
    return [
      {
        about: [...short.flatMap((link) => partsOfLink(judged, link)), ...(leader ? [leader.id] : [])],
        severity: times < CAST_OVER_PEAK.watch ? 'fault' : 'caution',
        why: leader
          ? say`The leader is ${length(cast.leaderM)}; ${length(cast.leaderNeededM)} would reach the reel. Now the ${freeLine(outfit).material} on the reel takes a cast it cannot hold.`
          : say`There is no shock leader. The ${freeLine(outfit).material} main line takes a cast it cannot hold.`,
        figure: CAST_OVER_PEAK.holds / times,
        remedies: [shockLeader(judged, cast), ...gentlerCast(judged)],
      },
    ]
  },
}

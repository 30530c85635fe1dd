import { withLength } from '../../edit/changes.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, outfitLeader } from '../remedies.ts'

/** The hand does not reach down to the trace, and braid cuts it. */
export const leaderOutOfReach: Rule = {
  id: 'leader-out-of-reach',
  explains: ['hand'],
  check: ({ moments: { hand }, setup: { trace, conditions } }) => {
    const path = hand?.paths.find(({ outOfReach }) => outOfReach)
    if (!hand || !path) return []
    const leader = outfitLeader(trace)
    const shortM = path.atM - path.traceM
    return [
      {
        subject: path.end,
        severity: 'caution',
        why: say`The hand takes hold ${length(path.atM)} above the hook, and the trace is ${length(path.traceM)}. Braid is left to hold: it cuts.`,
        figure: path.atM / path.traceM,
        remedies: [
          ...(leader
            ? [
                {
                  label: `make ${called(trace, leader.id)} long enough for the hand`,
                  make: () => ({ trace: withLength(trace, leader.id, Math.ceil(10 * (leader.lengthM + shortM)) / 10) }),
                },
              ]
            : []),
          { label: 'net it', make: () => ({ conditions: { ...conditions, landing: 'net' as const } }) },
        ],
      },
    ]
  },
}

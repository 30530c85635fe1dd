import { withLength } from '../../edit/changes.ts'
import { LONGEST_DROP_M } from '../../moments/thresholds.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A hold-down on a drop over 1.5 m does not come in with one lift. */
export const dropTooLong: Rule = {
  id: 'drop-too-long',
  explains: ['hand'],
  check: ({ moments: { hand }, setup: { trace } }) => {
    const drop = hand?.longDrop
    if (!drop) return []
    return [
      {
        subject: drop.id,
        severity: 'caution',
        why: say`${called(trace, drop.id)} is ${length(drop.lengthM)}. Over ${LONGEST_DROP_M.toString()} m you cannot lift the sinker in one go.`,
        figure: drop.lengthM / LONGEST_DROP_M,
        remedies: [
          { label: `shorten it to ${LONGEST_DROP_M} m`, make: () => ({ trace: withLength(trace, drop.id, LONGEST_DROP_M) }) },
        ],
      },
    ]
  },
}

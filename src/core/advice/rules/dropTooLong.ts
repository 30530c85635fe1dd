import { withLength } from '../../trace/edit.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** A hold-down on a drop over 1.5 m does not come in with one lift. */
export const dropTooLong: Rule = {
  id: 'drop-too-long',
  check: ({ hand, workings: { trace } }) => {
    const drop = hand?.longDrop
    if (!drop) return []
    return [
      {
        subject: drop.id,
        severity: 'caution',
        why: say`${called(trace, drop.id)} is ${length(drop.lengthM)}: over 1.5 m the sinker does not come in with one lift.`,
        figure: drop.lengthM / 1.5,
        remedies: [{ label: 'shorten it to 1.5 m', make: () => ({ trace: withLength(trace, drop.id, 1.5) }) }],
      },
    ]
  },
}

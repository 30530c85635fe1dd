import { isLine } from '../../documents/pieces.ts'
import { withLength } from '../../edit/changes.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** More hangs beyond the tip ring than the rod held up brings. */
export const tooLongForRod: Rule = {
  id: 'too-long-for-rod',
  explains: ['hand'],
  check: ({ moments: { hand }, setup: { trace, conditions, tracePath } }) =>
    (hand?.paths ?? []).flatMap((path) => {
      if (!path.tooLong) return []
      const excessM = path.beyondTipM - path.rodReachM
      const lines = tracePath(path.end).flatMap((element) => (element.kind === 'line' && !element.again ? [element.line] : []))
      const longest = lines.filter(isLine).toSorted((a, b) => b.lengthM - a.lengthM)[0]
      const leftM = longest ? Math.floor((longest.lengthM - excessM) * 10) / 10 : 0
      return [
        {
          subject: path.end,
          severity: 'caution' as const,
          why: say`${length(path.beyondTipM)} hang beyond the tip ring; the rod reaches ${length(path.rodReachM)}. The fish stays out of reach.`,
          figure: path.beyondTipM / path.rodReachM,
          remedies: [
            ...(longest && leftM > 0.1
              ? [{ label: `shorten ${called(trace, longest.id)}`, make: () => ({ trace: withLength(trace, longest.id, leftM) }) }]
              : []),
            { label: 'take the leader by hand', make: () => ({ conditions: { ...conditions, landing: 'leadered' as const } }) },
          ],
        },
      ]
    }),
}

import { withLength } from '../../edit/changes.ts'
import { clippedDown } from '../../moments/castPath.ts'
import { endsOf, lineAlongM } from '../../soundness/paths.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A bait that trails the sinker by so much that in the cast it drags on the ground behind the angler, or winds about the rod. */
export const trailTooLong: Rule = {
  id: 'trail-too-long',
  check: ({ moments: { cast }, setup: { trace, outfit, conditions, tracePath } }) => {
    if (!cast) return []
    const linesTo = (id: string) => tracePath(id).flatMap((element) => (element.kind === 'line' ? [element] : []))
    const clipped = clippedDown(trace)
    const flown = new Set(linesTo(cast.carrier).map(({ id }) => id))
    const mostM = outfit.rod.lengthM - conditions.dropM
    return endsOf(trace).flatMap((end) => {
      const trail = linesTo(end.id).filter(({ id }) => !flown.has(id))
      const trailM = lineAlongM(trail)
      const longest = trail.toSorted((a, b) => b.line.lengthM - a.line.lengthM)[0]?.line
      if (clipped.has(end.id) || !longest || trailM <= mostM) return []
      const leftM = Math.floor((longest.lengthM - (trailM - mostM)) * 10) / 10
      return [
        {
          subject: end.id,
          severity: 'caution' as const,
          why: say`${called(trace, end.id)} trails ${length(trailM)} behind the sinker. With ${length(conditions.dropM)} below the tip it drags on the ground under a ${length(outfit.rod.lengthM)} rod.`,
          figure: trailM / Math.max(0.1, mostM),
          remedies:
            leftM > 0.1
              ? [{ label: `shorten ${called(trace, longest.id)}`, make: () => ({ trace: withLength(trace, longest.id, leftM) }) }]
              : [],
        },
      ]
    })
  },
}

import { parentId, pieceNamed } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import { withFields } from '../../edit/changes.ts'
import { replacePart } from '../../edit/replacePart.ts'
import { twistsOf } from '../../setup/settling/twist.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** What spins, with no swivel near enough that turns under its load, twists the line. */
export const baitSpins: Rule = {
  id: 'bait-spins',
  explains: ['take'],
  check: ({ setup }) =>
    twistsOf(setup).flatMap(({ id, swivel }) => {
      if (swivel?.takes) return []
      const { trace } = setup
      const spinning = pieceNamed(trace, id)
      const line = setup
        .tracePath(spinning.role === 'bait' ? parentId(spinning.attach) : id)
        .findLast((each) => each.kind === 'line')?.line
      return [
        {
          subject: id,
          severity: 'caution',
          why: swivel
            ? say`${called(trace, id)} spins, and ${called(trace, swivel.id)}, ${length(swivel.awayM)} above it, does not take the twist.`
            : say`${called(trace, id)} spins, and no swivel takes the twist. The line twists.`,
          figure: 1,
          remedies: [
            ...(spinning.role === 'bait'
              ? [
                  {
                    label: 'trim its tail so it hangs straight',
                    make: () => ({ trace: withFields(trace, id, { trimmed: true }) }),
                  },
                ]
              : []),
            ...(swivel
              ? [byEdit('use a ball-bearing swivel instead', () => replacePart(setup, swivel.id, 'ballBearingSwivel'))]
              : []),
            ...(line
              ? [
                  byEdit('add a ball-bearing swivel above it', () =>
                    addPart(setup, { at: 'end', of: parentId(line.attach), takes: line.id }, 'ballBearingSwivel'),
                  ),
                ]
              : []),
          ],
        },
      ]
    }),
}

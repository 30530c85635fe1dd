import { lineById, parentId, pieceById } from '../../documents/pieces.ts'
import type { Piece } from '../../documents/trace.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { sliding } from '../../edit/attach.ts'
import { freeId } from '../../edit/changes.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** More hangs beyond it than the rod brings, so a swivel is wound into the tip ring, with no bead to spare it. */
export const noBeadAtTip: Rule = {
  id: 'no-bead-at-tip',
  check: ({ moments: { hand }, setup: { trace } }) => {
    const path = hand?.deciding
    const stop = path?.stopsAt.at === 'piece' ? pieceById(trace, path.stopsAt.id) : undefined
    if (!path?.tooLong || path.beadAtTip || stop?.role !== 'hardware' || stop.attach.how !== 'joined') return []
    const above = parentId(stop.attach)
    const line = lineById(trace, above)
    if (above !== OUTFIT && !line) return []
    const bead: Piece = {
      id: freeId(trace, 'bead'),
      role: 'hardware',
      type: 'bead',
      attach: sliding(above, line?.lengthM ?? 0, { below: stop.id }),
    }
    return [
      {
        subject: stop.id,
        severity: 'note',
        why: say`${called(trace, stop.id)} meets the tip ring bare: a bead above it spares the ring.`,
        figure: 1,
        remedies: [
          {
            label: 'put a bead above it',
            make: () => ({
              trace: { ...trace, pieces: trace.pieces.flatMap((piece) => (piece === stop ? [bead, stop] : [piece])) },
            }),
          },
        ],
      },
    ]
  },
}

import { freeId } from '../../trace/edit.ts'
import { sliding } from '../../trace/hang.ts'
import { isLine, OUTFIT, type Piece, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** A swivel is wound into the tip ring with no bead to spare it. */
export const noBeadAtTip: Rule = {
  id: 'no-bead-at-tip',
  check: ({ hand, workings: { trace } }) => {
    const path = hand?.deciding
    const stop = trace.pieces.find(({ id }) => id === path?.stopsAt)
    if (!path || path.beadAtTip || stop?.role !== 'hardware' || stop.attach.how !== 'joined') return []
    const above = parentId(stop.attach)
    const line = trace.pieces.find(({ id }) => id === above)
    if (above !== OUTFIT && !isLine(line)) return []
    const bead: Piece = {
      id: freeId(trace, 'bead'),
      role: 'hardware',
      type: 'bead',
      attach: sliding(above, isLine(line) ? line.lengthM : 0, { below: stop.id }),
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

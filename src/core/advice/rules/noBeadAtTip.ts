import { lineById, parentId, pieceById } from '../../documents/pieces.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { sliding } from '../../edit/attach.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withBead } from '../remedies.ts'

/** Share of what the rod held up brings, from which a trace is wound in until its swivel is at the ring. Ours. */
const WOUND_TIGHT = 0.6

/** A swivel that is wound into the tip ring, with no bead before it to spare the ring and the knot. */
export const noBeadAtTip: Rule = {
  id: 'no-bead-at-tip',
  check: ({ moments: { hand }, setup: { trace } }) => {
    const path = hand?.deciding
    const stop = path?.stopsAt.at === 'piece' ? pieceById(trace, path.stopsAt.id) : undefined
    if (
      !path ||
      path.beyondTipM < WOUND_TIGHT * path.rodReachM ||
      path.beadAtTip ||
      stop?.role !== 'hardware' ||
      stop.attach.how !== 'joined'
    )
      return []
    const above = parentId(stop.attach)
    const line = lineById(trace, above)
    if (above !== OUTFIT && !line) return []
    return [
      {
        subject: stop.id,
        severity: 'note',
        why: say`${called(trace, stop.id)} hits the tip ring. A bead above it protects the ring.`,
        figure: 1,
        remedies: [
          withBead(trace, stop, 'before', sliding(above, line?.lengthM ?? 0, { below: stop.id }), 'put a bead above it'),
        ],
      },
    ]
  },
}

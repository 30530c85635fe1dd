import { lineById, pieceById } from '../../documents/pieces.ts'
import { beadBetween } from '../../edit/along.ts'
import { sliding } from '../../edit/attach.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withBead } from '../remedies.ts'

/** A running sinker's eye hammers the knot below it; a bead spares it. */
export const sinkerChafesKnot: Rule = {
  id: 'sinker-chafes-knot',
  check: ({ setup: { trace } }) =>
    trace.pieces.flatMap((piece) => {
      const { attach } = piece
      if (piece.role !== 'sinker' || attach.how !== 'sliding' || attach.stops.below === undefined) return []
      const stop = pieceById(trace, attach.stops.below)
      if (stop?.attach.how !== 'joined' || beadBetween(trace, piece.id)) return []
      const endM = lineById(trace, attach.on)?.lengthM ?? 0
      return [
        {
          subject: piece.id,
          about: [piece.id, stop.id],
          severity: 'note',
          why: say`${called(trace, piece.id)} runs onto the knot at ${called(trace, stop.id)} and damages it.`,
          figure: 1,
          remedies: [withBead(trace, piece, 'after', sliding(attach.on, endM, { below: attach.stops.below }))],
        },
      ]
    }),
}

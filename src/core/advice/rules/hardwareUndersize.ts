import { hardwareFor, hardwareOf } from '../../gear/hardware.ts'
import { withPiece } from '../../trace/edit.ts'
import { pieceOfLink } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'
import { called, pieceOf } from '../remedies.ts'

/** A swivel, snap or ring is the weakest link: it bends out before a knot goes. */
export const hardwareUndersize: Rule = {
  id: 'hardware-undersize',
  check: (judged) => {
    const seen = new Set<string>()
    return (judged.snag?.paths ?? []).flatMap(({ links }) => {
      const weakest = links.reduce((low, link) => (link.strengthN < low.strengthN ? link : low))
      const piece = pieceOf(judged, pieceOfLink(weakest.id))
      if (piece?.role !== 'hardware' || weakest.kind !== 'part' || seen.has(piece.id)) return []
      seen.add(piece.id)
      const nextN = Math.min(...links.filter((link) => link !== weakest).map(({ strengthN }) => strengthN))
      const size = hardwareFor(piece.type, nextN)
      return [
        {
          subject: piece.id,
          severity: 'caution' as const,
          why: say`${called(judged.workings.trace, piece.id)} holds ${strength(weakest.strengthN)}, less than any knot above it: it bends out first.`,
          figure: nextN / weakest.strengthN,
          remedies: size
            ? [
                {
                  label: `take a ${hardwareOf(piece.type).name} of size ${size}`,
                  make: () => ({
                    trace: withPiece(judged.workings.trace, piece.id, (old) => {
                      const { strengthN: _own, ...rest } = old as typeof piece
                      return { ...rest, size }
                    }),
                  }),
                },
              ]
            : [],
        },
      ]
    })
  },
}

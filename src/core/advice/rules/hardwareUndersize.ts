import { fittedTo } from '../../catalogue/hardware.ts'
import { pieceIdOf } from '../../documents/linkRef.ts'
import { pathsOf } from '../../moments/judge.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, fittedRemedy, ownPiece } from '../remedies.ts'

/** A swivel, snap or ring is the weakest link: it bends out before a knot goes. */
export const hardwareUndersize: Rule = {
  id: 'hardware-undersize',
  check: (judged) => {
    const seen = new Set<string>()
    return pathsOf(judged).flatMap(({ links, weakest }) => {
      const piece = ownPiece(judged, pieceIdOf(weakest.ref))
      if (piece?.role !== 'hardware' || weakest.kind !== 'part' || seen.has(piece.id)) return []
      seen.add(piece.id)
      const nextN = Math.min(...links.filter((link) => link !== weakest).map(({ strengthN }) => strengthN))
      const remedy = fittedRemedy(judged, piece, fittedTo(judged.setup.catalogue, piece.type, nextN))
      return [
        {
          subject: piece.id,
          severity: 'caution' as const,
          why: say`${called(judged.setup.trace, piece.id)} holds ${strength(weakest.strengthN)}, less than any knot above it. It opens first.`,
          figure: nextN / weakest.strengthN,
          remedies: remedy ? [remedy] : [],
        },
      ]
    })
  },
}

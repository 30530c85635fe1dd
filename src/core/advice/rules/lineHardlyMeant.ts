import { isLine, labelledN, parentId, pieceById } from '../../documents/pieces.ts'
import type { LinePiece, Piece } from '../../documents/trace.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { say, strength } from '../../units/phrase.ts'
import { QUANTITIES } from '../../units/quantities.ts'
import type { Judged, Rule } from '../finding.ts'
import { called, restrung } from '../remedies.ts'

/** Times the line above it beyond which a line is probably a mistake. Ours: a shock leader on a light main goes to eight. */
const MAX_TIMES = 10
const KG_IN_LB = (QUANTITIES.strength.units.kg ?? 1) / QUANTITIES.strength.units.lb

/** A leader of 300 kg on a 50 lb main: kilograms typed for pounds, or a nought too many. */
export const lineHardlyMeant: Rule = {
  id: 'line-hardly-meant',
  check: (judged) =>
    judged.setup.trace.pieces.filter(isLine).flatMap((line) => {
      const aboveN = strengthAboveN(judged, line)
      const times = line.strengthN / aboveN
      if (times <= MAX_TIMES) return []
      const { trace } = judged.setup
      return [
        {
          subject: line.id,
          severity: 'caution' as const,
          why: say`${called(trace, line.id)} of ${strength(line.strengthN)} is ${Math.round(times)} times as strong as the line above it, ${strength(aboveN)}. Check its unit.`,
          figure: times,
          remedies:
            times / KG_IN_LB <= MAX_TIMES
              ? [restrung(judged, line, line.strengthN / KG_IN_LB, 'change kilograms to pounds')]
              : [],
        },
      ]
    }),
}

/** Strength of the next line towards the reel. */
function strengthAboveN({ setup: { trace, outfit } }: Judged, line: LinePiece): number {
  let above: Piece | undefined = line
  while (above) {
    const parent: string = parentId(above.attach)
    if (parent === OUTFIT) return freeLine(outfit).strengthN
    above = pieceById(trace, parent)
    if (isLine(above)) return labelledN(above)
  }
  return freeLine(outfit).strengthN
}

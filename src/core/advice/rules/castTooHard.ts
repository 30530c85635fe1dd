import { CAST_STYLE_IDS } from '../../catalogue/ids.ts'
import { nextLabelN } from '../../catalogue/labels.ts'
import { pieceIdOf } from '../../documents/linkRef.ts'
import { isLine, lineById, parentId } from '../../documents/pieces.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import type { Judged, Remedy, Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'
import { called, ownPiece, restrung } from '../remedies.ts'

const STYLES = CAST_STYLE_IDS.filter((style) => style !== 'none')

/** A style of cast that pulls less, gentlest last. */
export function gentlerCast({ setup: { conditions, catalogue } }: Judged): Remedy[] {
  if (conditions.castStyle === 'none') return []
  return STYLES.slice(0, STYLES.indexOf(conditions.castStyle))
    .toReversed()
    .map((castStyle) => ({
      label: `cast it gentler: ${catalogue.castStyles[castStyle].name}`,
      make: () => ({ conditions: { ...conditions, castStyle } }),
    }))
}

/** The weakest link on the cast path is under three times the peak. */
export const castTooHard: Rule = {
  id: 'cast-too-hard',
  check: (judged) => {
    const {
      moments: { cast },
      setup,
    } = judged
    if (!cast || cast.verdict === 'holds' || cast.beginsAt === 'main') return []
    const piece = ownPiece(judged, pieceIdOf(cast.decides))
    const line = piece && (isLine(piece) ? piece : lineById(setup.trace, parentId(piece.attach)))
    return [
      {
        severity: cast.verdict === 'fails' ? 'fault' : 'caution',
        why: say`The cast peaks at ${strength(cast.peakN)}; the weakest link bears ${cast.figure.value.toFixed(1)} times that, and ${CAST_OVER_PEAK.holds} are wanted.`,
        figure: CAST_OVER_PEAK.holds / cast.figure.value,
        remedies: [
          ...(line
            ? [restrung(judged, line, nextLabelN(line.strengthN, 1, 'lb'), `step ${called(setup.trace, line.id)} up a label`)]
            : []),
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

import { labelAtLeastN } from '../../catalogue/labels.ts'
import { pieceIdOf } from '../../documents/linkRef.ts'
import { isLine, jointOf, lineById, parentId } from '../../documents/pieces.ts'
import { restsOnPulls } from '../../joints/ownFigures.ts'
import { mainLine } from '../../outfits/outfitLines.ts'
import { say, strength } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { called, lineAbove, ownPiece, partsOfLink, restrung, retied, stouterKnot, withUsualTurns } from '../remedies.ts'
import { linesAt, oddTurns } from '../turns.ts'

/** Share of line class under which a chain has been let go weaker than its main line deserves. */
const LET_GO = 0.5

/** A line lighter than its knots allow: the weakest joint keeps less than half of the line class. */
export const chainTooWeakForDrag: Rule = {
  id: 'lighter-than-its-knots-allow',
  explains: ['run'],
  check: (judged) => {
    const {
      moments: { run },
      setup,
    } = judged
    const { trace, outfit } = setup
    if (!run || run.deciding.byDrag === 'holds') return []
    const { weakest } = run.deciding
    const piece = ownPiece(judged, pieceIdOf(weakest.ref))
    const joint = piece && jointOf(piece)
    if (!piece || !joint || weakest.kind !== 'joint') return []
    const share = weakest.strengthN / mainLine(outfit).strengthN
    if (share >= LET_GO) return []
    const better = stouterKnot(judged, piece)
    const above = lineAbove(judged, piece)
    const thin = isLine(piece) && (!above || piece.strengthN < above.strengthN) ? piece.id : parentId(piece.attach)
    const line = lineById(trace, thin)
    const odd = oddTurns(judged, joint, linesAt(judged, piece))
    const few = odd?.isFew ? odd : undefined
    const cause = few ? `It has ${few.turns} turns; ${few.usual} are usual.` : 'The line there is too light for its knots.'
    return [
      {
        subject: piece.id,
        about: partsOfLink(judged, weakest),
        severity: SEVERITY_OF[run.deciding.byDrag],
        why: say`The knot at ${called(trace, piece.id)} holds ${strength(weakest.strengthN)}, ${Math.round(share * 100)} % of the line class. ${cause}${restsOnPulls(setup, weakest.ref)}`,
        figure: 1 / share,
        remedies: [
          ...(few ? [withUsualTurns(trace, piece.id, few.usual)] : []),
          ...(better ? [retied(judged, piece.id, better)] : []),
          ...(line
            ? [
                restrung(
                  judged,
                  line,
                  labelAtLeastN((1.02 * line.strengthN) / run.margin),
                  `use a stronger line for ${called(trace, line.id)}, so the drag holds`,
                ),
              ]
            : []),
        ],
      },
    ]
  },
}

import { pieceIdOf } from '../../documents/linkRef.ts'
import { jointOf } from '../../documents/pieces.ts'
import { restsOnPulls } from '../../joints/ownFigures.ts'
import { nearestToGiving, overPull } from '../../moments/cast.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { mass, say, strength } from '../../units/phrase.ts'
import { gentlerCast, shortOfTrace, stouterLines, stouterPart } from '../castRemedies.ts'
import type { Rule } from '../finding.ts'
import { called, partsOfLink, retied, stouterKnot } from '../remedies.ts'

/** A link of the trace holds less than three times what the cast puts on it. */
export const castTooHard: Rule = {
  id: 'cast-too-hard',
  explains: ['cast'],
  check: (judged) => {
    const {
      moments: { cast },
      setup: { trace, catalogue, conditions },
    } = judged
    const short = cast ? shortOfTrace(judged, cast) : []
    const weakest = nearestToGiving(short)
    if (!cast || !weakest || conditions.castStyle === 'none') return []
    const times = overPull(weakest)
    const piece = trace.pieces.find(({ id }) => id === pieceIdOf(weakest.ref))
    const name = piece ? called(trace, piece.id) : 'the release clip'
    const what = weakest.ref.at === 'joint' ? `The knot at ${name}` : `${name[0]!.toUpperCase()}${name.slice(1)}`
    const joint = piece && weakest.ref.at === 'joint' ? jointOf(piece) : undefined
    const loop =
      joint && catalogue.connections[joint.connection].joins === 'end-loop' ? ' A loop is weaker than the line above it.' : ''
    const better = piece && joint && stouterKnot(judged, piece)
    return [
      {
        about: partsOfLink(judged, weakest),
        severity: times < CAST_OVER_PEAK.watch ? 'fault' : 'caution',
        why: say`In this cast (${catalogue.castStyles[conditions.castStyle].name}) ${mass(weakest.massKg)} pulls ${strength(weakest.loadN)}. ${what} should hold ${strength(CAST_OVER_PEAK.holds * weakest.loadN)} and holds ${strength(weakest.strengthN)}.${loop}${restsOnPulls(judged.setup, weakest.ref)}`,
        figure: CAST_OVER_PEAK.holds / times,
        remedies: [
          ...(piece && better ? [retied(judged, piece.id, better)] : []),
          ...stouterPart(judged, cast),
          ...stouterLines(judged, cast),
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

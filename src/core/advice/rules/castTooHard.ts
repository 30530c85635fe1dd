import { pieceIdOf } from '../../documents/linkRef.ts'
import { nearestToGiving, overPull } from '../../moments/cast.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { restsOnPulls } from '../../setup/ownFigures.ts'
import { mass, say, strength } from '../../units/phrase.ts'
import { gentlerCast, shortLinks, stouterLines } from '../castRemedies.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A link of the trace bears less than three times what the cast puts on it. */
export const castTooHard: Rule = {
  id: 'cast-too-hard',
  check: (judged) => {
    const {
      moments: { cast },
      setup: { trace, catalogue, conditions },
    } = judged
    const short = cast ? shortLinks(cast).filter(({ ref }) => ref.at !== 'wound' && ref.at !== 'woundJoint') : []
    const weakest = nearestToGiving(short)
    if (!cast || !weakest || conditions.castStyle === 'none') return []
    const times = overPull(weakest)
    const piece = trace.pieces.find(({ id }) => id === pieceIdOf(weakest.ref))
    const name = piece ? called(trace, piece.id) : 'the release clip'
    const what = weakest.ref.at === 'joint' ? `The joint of ${name}` : `${name[0]!.toUpperCase()}${name.slice(1)}`
    return [
      {
        severity: times < CAST_OVER_PEAK.watch ? 'fault' : 'caution',
        why: say`${what} bears ${strength(weakest.strengthN)}; ${mass(weakest.massKg)} beyond it pull with ${strength(weakest.loadN)} in the cast (${catalogue.castStyles[conditions.castStyle].name}), and ${CAST_OVER_PEAK.holds} times that is wanted.${restsOnPulls(judged.setup, weakest.ref)}`,
        figure: CAST_OVER_PEAK.holds / times,
        remedies: [...stouterLines(judged, cast), ...gentlerCast(judged)],
      },
    ]
  },
}

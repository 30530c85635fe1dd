import type { CastStyle } from '../../cast/styles.ts'
import { CAST_STYLES } from '../../cast/styles.ts'
import { nextLabelN } from '../../gear/labels.ts'
import { isLine, pieceOfLink, type Trace } from '../../trace/schema.ts'
import type { Judged, Remedy, Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'
import { called, lineAbove, pieceOf, restrung } from '../remedies.ts'

const STYLES = Object.keys(CAST_STYLES) as CastStyle[]

/** A style of cast that pulls less, gentlest last. */
export function gentlerCast({ workings: { conditions } }: Judged): Remedy[] {
  if (conditions.castStyle === 'none') return []
  return STYLES.slice(0, STYLES.indexOf(conditions.castStyle))
    .toReversed()
    .map((castStyle) => ({
      label: `cast it gentler: ${CAST_STYLES[castStyle].name}`,
      make: () => ({ conditions: { ...conditions, castStyle } }),
    }))
}

/** The weakest link on the cast path is under three times the peak. */
export const castTooHard: Rule = {
  id: 'cast-too-hard',
  check: (judged) => {
    const { cast, workings } = judged
    if (!cast || cast.verdict === 'holds' || cast.beginsAt === 'main') return []
    const piece = pieceOf(judged, pieceOfLink(cast.decides))
    const id = !piece ? undefined : isLine(piece) ? piece.id : idOfLine(lineAbove(judged, piece), workings.trace)
    const line = workings.trace.pieces.filter(isLine).find((each) => each.id === id)
    return [
      {
        severity: cast.verdict === 'fails' ? 'fault' : 'caution',
        why: say`The cast peaks at ${strength(cast.peakN)}; the weakest link bears ${cast.figure.value.toFixed(1)} times that, and 3 are wanted.`,
        figure: 3 / cast.figure.value,
        remedies: [
          ...(line
            ? [
                restrung(
                  judged,
                  line.id,
                  nextLabelN(line.strengthN, 1, 'lb'),
                  `step ${called(workings.trace, line.id)} up a label`,
                ),
              ]
            : []),
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

const idOfLine = (line: object | undefined, trace: Trace) => trace.pieces.find((piece) => piece === line)?.id

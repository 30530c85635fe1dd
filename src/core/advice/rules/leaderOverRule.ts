import { hookDimensions } from '../../catalogue/hooks.ts'
import type { LinePiece, Piece } from '../../documents/trace.ts'
import { withLength } from '../../edit/changes.ts'
import { length, say } from '../../units/phrase.ts'
import type { Found, Judged, Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Share of a limit from which it is said how near it is: a knot tied anew takes it over. Ours. */
const NEARLY = 0.97

/** The lines to a hook or lure, what they and the hooks and lures on the way measure together, m, and the double before them. */
type Way = { leader: LinePiece[]; leaderM: number; double: LinePiece | undefined }

/** The way from the double or the main line to the hook or lure that lies furthest, as finished. */
function furthest({ setup: { ends, tracePath, catalogue } }: Judged): Way {
  const lengthOf = (piece: Piece) =>
    piece.role === 'hook'
      ? (hookDimensions(catalogue, piece.pattern, piece.size)?.shankM ?? 0)
      : piece.role === 'lure'
        ? (piece.lengthM ?? 0)
        : 0
  const ways = ends
    .filter(({ role }) => role !== 'sinker')
    .map(({ id }) => {
      const path = tracePath(id)
      const lines = path.flatMap((element) => (element.kind === 'line' && !element.again ? [element.line] : []))
      const leader = lines.filter(({ role }) => role !== 'double')
      const tackleM = path.reduce((sum, element) => sum + (element.kind === 'part' ? lengthOf(element.piece) : 0), 0)
      return { leader, leaderM: summed(leader) + tackleM, double: lines.find(({ role }) => role === 'double') }
    })
  return ways.toSorted((a, b) => b.leaderM - a.leaderM)[0] ?? { leader: [], leaderM: 0, double: undefined }
}

const summed = (lines: readonly LinePiece[]) => lines.reduce((sum, { lengthM }) => sum + lengthM, 0)

/** Leader, double, or both together longer than the rule in force allows, or all but: finished lengths, from the double or main line to the hook. */
export const leaderOverRule: Rule = {
  id: 'leader-over-rule',
  check: (judged) => {
    const { ruleSet } = judged
    if (!ruleSet) return []
    const { leader, leaderM, double } = furthest(judged)
    const longest = leader.toSorted((a, b) => b.lengthM - a.lengthM)[0]
    const doubleM = double?.lengthM ?? 0
    const parts = [
      ...against(judged, longest, leaderM, ruleSet.maxLeaderM, 'The leader, from main line or double to the hook, is'),
      ...against(judged, double, doubleM, ruleSet.maxDoubleM, 'The double is'),
    ]
    const both = against(judged, longest ?? double, leaderM + doubleM, ruleSet.maxCombinedM, 'Leader and double together are')
    // A limit that is broken matters more than one that is nearly reached.
    const isOver = ({ severity }: Found) => severity !== 'note'
    if (parts.some(isOver) || !both.some(isOver)) return parts.length > 0 ? parts : both
    return both
  },
}

function against(
  { ruleSet, setup: { trace } }: Judged,
  line: LinePiece | undefined,
  lengthM: number,
  mostM: number | undefined,
  what: string,
): Found[] {
  if (!line || !ruleSet || mostM === undefined || lengthM < NEARLY * mostM) return []
  const overM = lengthM - mostM
  const left = Math.floor((line.lengthM - overM) * 1000) / 1000
  return [
    {
      subject: line.id,
      severity: overM > 0 ? 'caution' : 'note',
      why: say`${what} ${length(lengthM)}; the limit is ${length(mostM)} in “${ruleSet.name}”, last checked ${ruleSet.checkedOn}. The local rules decide.`,
      figure: lengthM / mostM,
      remedies:
        overM > 0 && left > 0.1
          ? [
              {
                label: `shorten ${called(trace, line.id)} to fit the rule`,
                make: () => ({ trace: withLength(trace, line.id, Math.min(left, line.lengthM - overM - 0.04 * mostM)) }),
              },
            ]
          : [],
    },
  ]
}

import { isLine } from '../../documents/pieces.ts'
import type { LinePiece, Trace } from '../../documents/trace.ts'
import { withLength } from '../../edit/changes.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'
import { called } from '../remedies.ts'

const ofRole = (trace: Trace, role: LinePiece['role']) =>
  trace.pieces
    .filter(isLine)
    .filter((line) => line.role === role)
    .toSorted((a, b) => b.lengthM - a.lengthM)

/** Leader, double, or both together longer than the rule in force allows. Finished lengths count. */
export const leaderOverRule: Rule = {
  id: 'leader-over-rule',
  check: ({ ruleSet, setup: { trace } }) => {
    if (!ruleSet) return []
    const [leader, double] = [ofRole(trace, 'leader')[0], ofRole(trace, 'double')[0]]
    const over = (line: LinePiece | undefined, lengthM: number, mostM: number | undefined, what: string) =>
      line && mostM !== undefined && lengthM > mostM
        ? [
            {
              subject: line.id,
              severity: 'caution' as const,
              why: say`${what} ${length(lengthM)} against ${length(mostM)} in “${ruleSet.name}”, last checked ${ruleSet.checkedOn}: the local book decides.`,
              figure: lengthM / mostM,
              remedies:
                line.lengthM - (lengthM - mostM) > 0.1
                  ? [
                      {
                        label: `shorten ${called(trace, line.id)} to fit the rule`,
                        make: () => ({
                          trace: withLength(trace, line.id, Math.floor((line.lengthM - (lengthM - mostM)) * 1000) / 1000),
                        }),
                      },
                    ]
                  : [],
            },
          ]
        : []
    const both = (leader?.lengthM ?? 0) + (double?.lengthM ?? 0)
    const parts = [
      ...over(leader, leader?.lengthM ?? 0, ruleSet.maxLeaderM, 'The leader is'),
      ...over(double, double?.lengthM ?? 0, ruleSet.maxDoubleM, 'The double is'),
    ]
    return parts.length > 0 ? parts : over(leader ?? double, both, ruleSet.maxCombinedM, 'Leader and double together are')
  },
}

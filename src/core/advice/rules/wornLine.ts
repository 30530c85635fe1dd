import { isLine } from '../../documents/pieces.ts'
import type { LinePiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, WOUND_NAMES } from '../remedies.ts'

/** Share of its strength under which a line is cut back and tied anew. Ours. */
const WORN = 0.8

/** Line that has been nicked, sunned or fished hard. */
export const wornLine: Rule = {
  id: 'worn-line',
  check: ({ setup: { trace, outfit } }) => [
    ...outfit.wound.flatMap((line) =>
      line.condition === undefined || line.condition >= WORN
        ? []
        : [
            {
              subject: line.role,
              severity: 'caution' as const,
              why: say`${WOUND_NAMES[line.role]} has ${Math.round(line.condition * 100)} % of its strength. Reverse it or wind on new line.`,
              figure: 1 / line.condition,
              remedies: [],
            },
          ],
    ),
    ...trace.pieces.flatMap((line) => {
      if (!isLine(line) || line.condition === undefined || line.condition >= WORN) return []
      return [
        {
          subject: line.id,
          severity: 'caution' as const,
          why: say`${called(trace, line.id)} has ${Math.round(line.condition * 100)} % of its strength. Cut it back and re-tie.`,
          figure: 1 / line.condition,
          remedies: [
            {
              label: 'mark it as new line',
              make: () => ({
                trace: withPiece(trace, line.id, (old) => {
                  const { condition: _worn, ...rest } = old as LinePiece
                  return rest
                }),
              }),
            },
          ],
        },
      ]
    }),
  ],
}

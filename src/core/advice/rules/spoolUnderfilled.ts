import { figure, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** Below this share of capacity a spool casts badly, and its drag rises steeply as line leaves. Nominal. */
const MIN_FILL = 0.7

/** A half-empty spool. */
export const spoolUnderfilled: Rule = {
  id: 'spool-underfilled',
  check: ({ setup: { spool } }) =>
    spool.fillShare >= MIN_FILL
      ? []
      : [
          {
            severity: 'caution',
            why: say`The spool is ${(spool.fillShare * 100).toFixed(0)} % full. It casts short, and with this line out the drag has grown ${figure(spool.dragGrowth, 2)} times.`,
            figure: 1 / spool.fillShare,
            remedies: [],
          },
        ],
}

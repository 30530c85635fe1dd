import type { Rule } from './advice.ts'

/** Below this share of capacity a spool casts badly, and its drag rises steeply as line leaves. Nominal. */
const LEAST_FILL = 0.7

export const spoolUnderfilled: Rule = ({ spool }) => {
  if (spool.fillShare >= LEAST_FILL) return undefined
  return {
    id: 'spool-underfilled',
    severity: 'caution',
    why: `The spool is ${(spool.fillShare * 100).toFixed(0)} % full: it casts short, and with this line out the drag has grown ${spool.dragGrowth.toFixed(2)} times.`,
  }
}

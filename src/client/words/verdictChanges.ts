import type { Verdict } from '../../core/moments/moment.ts'
import { MOMENT_NAMES, type MomentName } from '../../core/moments/moments.ts'
import { momentName } from './momentNames.ts'

/** Verdicts by moment; none for a moment that does not apply. */
export type Verdicts = Partial<Record<MomentName, Verdict>>

/** What of the verdicts changed, as one sentence for a screen reader: “Cast now fails, Run now watch.” Empty if nothing did. */
export function verdictChanges(before: Verdicts, after: Verdicts): string {
  const changed = MOMENT_NAMES.filter((name) => before[name] !== after[name])
  const words = changed.map((name) => `${momentName(name)} now ${after[name] ?? 'not judged'}`)
  return words.length === 0 ? '' : `${words.join(', ')}.`
}

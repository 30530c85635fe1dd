import type { Gear } from '../documents/gear.ts'
import type { Trace } from '../documents/trace.ts'
import { fromBox } from '../edit/fromBox.ts'
import { judge } from '../moments/judge.ts'
import type { Verdict } from '../moments/moment.ts'
import { MOMENT_NAMES, type MomentName } from '../moments/moments.ts'
import type { Setup } from '../setup/setup.ts'
import type { Need } from './needs.ts'

/** What a substitute does to a trace: how its verdicts change, or why it cannot be made with it. */
export type Substitution =
  | { ok: true; trace: Trace; changes: { moment: MomentName; before: Verdict; after: Verdict }[] }
  | { ok: false; why: string }

/** The trace with an item in the place of every piece of a need, judged beside the design. */
export function substitute(setup: Setup, need: Need, gear: Gear): Substitution {
  let { trace } = setup
  for (const id of need.pieces) {
    const result = fromBox({ ...setup, trace }, id, gear)
    if (!result.ok) return result
    trace = result.trace
  }
  const [before, after] = [judge(setup).moments, judge({ ...setup, trace }).moments]
  const changes = MOMENT_NAMES.flatMap((moment) => {
    const [was, is] = [before[moment]?.verdict, after[moment]?.verdict]
    return was !== undefined && is !== undefined && was !== is ? [{ moment, before: was, after: is }] : []
  })
  return { ok: true, trace, changes }
}

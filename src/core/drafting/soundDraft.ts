import { advise } from '../advice/advise.ts'
import type { Finding } from '../advice/finding.ts'
import { type Advised, type TriedRemedy, tryRemedies } from '../advice/tryRemedies.ts'
import { type Draft, draft, type Order } from '../families/draft.ts'
import { judge } from '../moments/judge.ts'

/** Remedies that a draft takes at most before it is left as it is. */
const MAX_REMEDIES = 6

/** A draft with what was done to it so that nothing is found against it, and what is found all the same. */
export type SoundDraft = Draft & { done: string[]; findings: readonly Finding[] }

/**
 * A draft, and then the first remedy of each finding above a note that costs nothing elsewhere, until none is left or none helps.
 * @throws CoreError where the spool cannot give the line out.
 */
export function soundDraft(order: Order): SoundDraft {
  const { outfit, catalogue, ruleSet } = order
  let made = draft(order)
  const done: string[] = []
  const look = (): Advised => {
    const judgement = judge({ trace: made.trace, conditions: made.conditions, outfit, catalogue })
    return { judgement, findings: advise(judgement, ruleSet), ruleSet }
  }
  let seen = look()
  while (done.length < MAX_REMEDIES) {
    const remedy = freeRemedy(seen)
    if (!remedy) break
    made = { ...made, trace: remedy.trace, conditions: remedy.conditions }
    done.push(remedy.label)
    seen = look()
  }
  return { ...made, done, findings: seen.findings }
}

/** The first remedy that costs nothing elsewhere, of the worst finding that has one: each is judged whole, so no more are tried. */
function freeRemedy(seen: Advised): TriedRemedy | undefined {
  for (const finding of seen.findings) {
    if (finding.severity === 'note') continue
    for (const remedy of finding.remedies) {
      const [tried] = tryRemedies({ ...finding, remedies: [remedy] }, seen)
      if (tried && tried.lowers.length === 0 && tried.brings.every(({ severity }) => severity === 'note')) return tried
    }
  }
  return undefined
}

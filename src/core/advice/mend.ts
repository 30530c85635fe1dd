import { CoreError } from '../errors.ts'
import { type Evaluation, evaluate, momentsOf } from '../moments/evaluate.ts'
import type { MomentName, Verdict } from '../moments/moment.ts'
import type { Conditions } from '../trace/conditions.ts'
import { fitIssues } from '../trace/fitsOutfit.ts'
import type { Outfit } from '../trace/outfit.ts'
import { soundnessIssues } from '../trace/parseTrace.ts'
import type { RuleSet } from '../trace/ruleSet.ts'
import type { Trace } from '../trace/schema.ts'
import type { Finding, Remedy, Severity } from './finding.ts'

/** What is judged: a trace, the outfit it is tied to, how it is fished, and the rule set in force. */
export type Content = { trace: Trace; outfit: Outfit; conditions: Conditions; ruleSet?: RuleSet | undefined }

/** A remedy tried: what it makes, and what it costs elsewhere. */
export type Mending = {
  label: string
  trace: Trace
  conditions: Conditions
  /** Moments whose verdict it lowers; never to `fails`. */
  lowers: { moment: MomentName; from: Verdict; to: Verdict }[]
  /** Findings that it brings, or makes worse. */
  brings: Finding[]
}

const RANK: Record<Verdict, number> = { holds: 0, watch: 1, fails: 2 }
const GRAVITY: Record<Severity, number> = { note: 0, caution: 1, fault: 2 }

/**
 * The remedies of a finding that mend it: tried one by one, each kept only where the trace stays sound and fits the outfit, the
 * finding is gone, and no moment that did not fail fails. Those that lower nothing and bring nothing come first.
 */
export function mendingsOf(finding: Finding, content: Content, before: Evaluation): Mending[] {
  return finding.remedies.flatMap((remedy) => tried(remedy, finding, content, before) ?? []).toSorted((a, b) => cost(a) - cost(b))
}

/** A verdict lowered weighs more than any finding brought; notes do not count. */
const cost = ({ lowers, brings }: Mending) => 100 * lowers.length + brings.filter(({ severity }) => severity !== 'note').length

function tried(remedy: Remedy, finding: Finding, content: Content, before: Evaluation): Mending | undefined {
  const made = remedy.make()
  if (!made) return undefined
  const { outfit, ruleSet } = content
  const [trace, conditions] = [made.trace ?? content.trace, made.conditions ?? content.conditions]
  if (soundnessIssues(trace).length > 0 || fitIssues(trace, outfit).length > 0) return undefined
  const after = evaluated(trace, outfit, conditions, ruleSet)
  if (!after || after.findings.some(({ id }) => id === finding.id)) return undefined
  const was = new Map(momentsOf(before).map(({ moment, verdict }) => [moment, verdict]))
  const lowers = momentsOf(after).flatMap(({ moment, verdict }) => {
    const from = was.get(moment)
    return from !== undefined && RANK[verdict] > RANK[from] ? [{ moment, from, to: verdict }] : []
  })
  if (lowers.some(({ to }) => to === 'fails')) return undefined
  return { label: remedy.label, trace, conditions, lowers, brings: after.findings.filter((found) => isWorse(found, before)) }
}

function isWorse(found: Finding, before: Evaluation): boolean {
  const old = before.findings.find(({ id }) => id === found.id)
  return !old || GRAVITY[found.severity] > GRAVITY[old.severity] || found.figure > old.figure * (1 + 1e-9)
}

/** A remedy may ask for more than the core can reckon; then it is none. */
function evaluated(trace: Trace, outfit: Outfit, conditions: Conditions, ruleSet: RuleSet | undefined): Evaluation | undefined {
  try {
    return evaluate(trace, outfit, conditions, ruleSet)
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

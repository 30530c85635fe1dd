import type { Conditions } from '../documents/conditions.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import type { Trace } from '../documents/trace.ts'
import { CoreError } from '../errors.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import { inOneGo, type Steps } from '../math/steps.ts'
import { type Judgement, judgeInSteps, resultsOf } from '../moments/judge.ts'
import { VERDICT_RANK, type Verdict } from '../moments/moment.ts'
import type { MomentName } from '../moments/moments.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { soundnessIssues } from '../soundness/soundness.ts'
import { advise } from './advise.ts'
import { type Finding, type Remedy, SEVERITY_RANK } from './finding.ts'
import { eachByItself } from './tellOnce.ts'

/** A remedy tried: what it makes, and what it costs elsewhere. */
export type TriedRemedy = {
  label: string
  trace: Trace
  conditions: Conditions
  /** Moments whose verdict it lowers; never to `fails`. */
  lowers: { moment: MomentName; from: Verdict; to: Verdict }[]
  /** Findings that it brings, or makes worse. */
  brings: Finding[]
}

/** A setup as it is, with what is said and found of it. */
export type Advised = { judgement: Judgement; findings: readonly Finding[]; ruleSet: RuleSet | undefined }

/**
 * The remedies of a finding that fix it: tried one by one, each kept only where the trace stays sound and fits the outfit, the
 * finding is gone, and no moment that did not fail fails. Those that lower nothing and bring nothing come first;
 * what brings something as bad is left out where another does not: two findings of one part would each undo the other's.
 */
export const tryRemedies = (finding: Finding, before: Advised): TriedRemedy[] => inOneGo(tryRemediesInSteps(finding, before))

/** The same in small steps. */
export function* tryRemediesInSteps(finding: Finding, before: Advised): Steps<TriedRemedy[]> {
  const all: TriedRemedy[] = []
  for (const remedy of finding.remedies) {
    const made = yield* tried(remedy, finding, before)
    if (made) all.push(made)
  }
  const isAsBad = ({ severity }: Finding) => severity !== 'note' && SEVERITY_RANK[severity] >= SEVERITY_RANK[finding.severity]
  const better = all.filter(({ brings }) => !brings.some(isAsBad))
  return (better.length > 0 ? better : all).toSorted((a, b) => cost(a) - cost(b))
}

/** A figure that grows by less is shown as the same. */
const ROUNDED = 5e-3

/** A verdict lowered weighs more than any finding brought; notes do not count. */
const cost = ({ lowers, brings }: TriedRemedy) =>
  100 * lowers.length + brings.filter(({ severity }) => severity !== 'note').length

function* tried(remedy: Remedy, finding: Finding, before: Advised): Steps<TriedRemedy | undefined> {
  const made = remedy.make()
  if (!made) return undefined
  const { outfit, catalogue, trace, conditions } = before.judgement.setup
  const setup: Setup = { outfit, catalogue, trace: made.trace ?? trace, conditions: made.conditions ?? conditions }
  if (soundnessIssues(setup.trace, catalogue).length > 0 || fitIssues(setup).length > 0) return undefined
  yield
  const after = yield* advised(setup, before.ruleSet)
  const found = after && eachByItself(after.findings)
  if (!after || !found || found.some(({ id }) => id === finding.id)) return undefined
  const was = new Map(resultsOf(before.judgement).map(({ moment, verdict }) => [moment, verdict]))
  const lowers = resultsOf(after.judgement).flatMap(({ moment, verdict }) => {
    const from = was.get(moment)
    return from !== undefined && VERDICT_RANK[verdict] > VERDICT_RANK[from] ? [{ moment, from, to: verdict }] : []
  })
  if (lowers.some(({ to }) => to === 'fails')) return undefined
  const known = eachByItself(before.findings)
  const brings = found.filter((each) => isWorse(each, known))
  return { label: remedy.label, trace: setup.trace, conditions: setup.conditions, lowers, brings }
}

function isWorse(found: Finding, before: readonly Finding[]): boolean {
  const old = before.find(({ id }) => id === found.id)
  if (!old || SEVERITY_RANK[found.severity] > SEVERITY_RANK[old.severity]) return true
  return found.figure > old.figure * (1 + ROUNDED)
}

/** A remedy may ask for more than the core can calculate; then it is none. */
function* advised(setup: Setup, ruleSet: RuleSet | undefined): Steps<Advised | undefined> {
  try {
    const judgement = yield* judgeInSteps(prepareSetup(setup))
    yield
    return { judgement, findings: advise(judgement, ruleSet), ruleSet }
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

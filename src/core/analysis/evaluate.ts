import { advise } from '../advice/advise.ts'
import type { Finding } from '../advice/finding.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import { inOneGo, type Steps } from '../math/steps.ts'
import { type Judgement, judgeInSteps, pathsOf } from '../moments/judge.ts'
import { type EndPath, type PreparedSetup, prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'

/** Everything the bench shows of one setup: what the moments say, every path to an end, and what is found. */
export type Evaluation = Judgement & { paths: EndPath[]; findings: Finding[] }

/**
 * Judges a setup through every moment that applies, and advises on it.
 * The trace must be sound (`parseTrace`) and fit the outfit (`fitIssues`).
 * @param ruleSet the rule set in force, for the findings that remind of it.
 * @throws CoreError where the spool cannot give the line out, or a slider has nothing to bear on.
 */
export const evaluate = (setup: Setup, ruleSet?: RuleSet): Evaluation => evaluatePrepared(prepareSetup(setup), ruleSet)

/** The same from a prepared setup. */
export const evaluatePrepared = (prepared: PreparedSetup, ruleSet?: RuleSet): Evaluation =>
  inOneGo(evaluateInSteps(prepared, ruleSet))

/** The same in small steps: one path or one moment a step, then the findings. */
export function* evaluateInSteps(prepared: PreparedSetup, ruleSet?: RuleSet): Steps<Evaluation> {
  const judgement = yield* judgeInSteps(prepared)
  return { ...judgement, paths: pathsOf(judgement), findings: advise(judgement, ruleSet) }
}

import { advise } from '../advice/advise.ts'
import type { Finding } from '../advice/finding.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import { type JudgedPath, type Judgement, judgePrepared, pathsOf } from '../moments/judge.ts'
import { MOMENT_NAMES, type Moments } from '../moments/moments.ts'
import { type PreparedSetup, prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'

/** Everything the bench shows of one setup: what the moments say, every path to an end, and what is found. */
export type Evaluation = Judgement & { paths: JudgedPath[]; findings: Finding[] }

/**
 * Judges a setup through every moment that applies, and advises on it.
 * The trace must be sound (`parseTrace`) and fit the outfit (`fitIssues`).
 * @param ruleSet the rule set in force, for the findings that remind of it.
 * @throws CoreError where the spool cannot give the line out, or a slider has nothing to bear on.
 */
export const evaluate = (setup: Setup, ruleSet?: RuleSet): Evaluation => evaluatePrepared(prepareSetup(setup), ruleSet)

/** The same from a prepared setup. */
export function evaluatePrepared(prepared: PreparedSetup, ruleSet?: RuleSet): Evaluation {
  const steps = evaluateInSteps(prepared, ruleSet)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

/** The same in small steps, so that a page can draw and take input between them: one path or one moment a step, then the findings. */
export function* evaluateInSteps(prepared: PreparedSetup, ruleSet?: RuleSet): Generator<void, Evaluation> {
  for (const { id } of prepared.ends) {
    prepared.path(id)
    yield
  }
  const moments: Moments = {}
  for (const name of MOMENT_NAMES) {
    Object.assign(moments, judgePrepared(prepared, [name]).moments)
    yield
  }
  const judgement = { setup: prepared, moments }
  return { ...judgement, paths: pathsOf(judgement), findings: advise(judgement, ruleSet) }
}

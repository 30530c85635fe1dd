import { useDeferredValue, useMemo } from 'react'
import { type Evaluation, evaluate, evaluateInSteps, evaluatePrepared } from '../../core/analysis/evaluate.ts'
import { tried, triedInSteps, type WorkedOut, workedOut } from '../../core/analysis/judged.ts'
import type { RuleSet } from '../../core/documents/ruleSet.ts'
import { type PreparedSetup, prepareSetup } from '../../core/setup/prepareSetup.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { useSteps } from '../jobs/useSteps.ts'

export type Evaluated = WorkedOut<Evaluation>

export const evaluated = (setup: Setup, ruleSet?: RuleSet): Evaluated => workedOut(setup, (each) => evaluate(each, ruleSet))

export function useEvaluation(setup: Setup, ruleSet?: RuleSet): Evaluated {
  return useMemo(() => evaluated(setup, ruleSet), [setup, ruleSet])
}

/** What the moments of a setup share, worked out as it changes. */
export const usePrepared = (setup: Setup): WorkedOut<PreparedSetup> => useMemo(() => workedOut(setup, prepareSetup), [setup])

/** A trace of more parts is judged in steps, and drawn after the field that changed it, so that it never holds up the typing. */
export const MAX_PARTS_AT_ONCE = 60

/**
 * The evaluation of a prepared setup, after the setup itself is drawn. A long trace keeps its last evaluation until the next one is
 * finished.
 * @returns undefined until the first evaluation of a long trace is finished.
 */
export function useLaterEvaluation(prepared: WorkedOut<PreparedSetup>, ruleSet: RuleSet | undefined): Evaluated | undefined {
  const later = useDeferredValue(prepared)
  const isLong = later.ok && later.value.trace.pieces.length > MAX_PARTS_AT_ONCE
  const atOnce = useMemo(() => {
    if (!later.ok) return later
    return isLong ? undefined : tried(() => evaluatePrepared(later.value, ruleSet))
  }, [later, isLong, ruleSet])
  const begin = useMemo(
    () => (isLong ? () => triedInSteps(evaluateInSteps(later.value, ruleSet)) : undefined),
    [later, isLong, ruleSet],
  )
  const inSteps = useSteps(begin)
  return atOnce ?? inSteps
}

import { useDeferredValue, useMemo } from 'react'
import { type Evaluation, evaluate, evaluatePrepared } from '../../core/analysis/evaluate.ts'
import { tried, type WorkedOut, workedOut } from '../../core/analysis/judged.ts'
import type { RuleSet } from '../../core/documents/ruleSet.ts'
import { type PreparedSetup, prepareSetup } from '../../core/setup/prepareSetup.ts'
import type { Setup } from '../../core/setup/setup.ts'

export type Evaluated = WorkedOut<Evaluation>

export const evaluated = (setup: Setup, ruleSet?: RuleSet): Evaluated => workedOut(setup, (each) => evaluate(each, ruleSet))

export function useEvaluation(setup: Setup, ruleSet?: RuleSet): Evaluated {
  return useMemo(() => evaluated(setup, ruleSet), [setup, ruleSet])
}

/** What the moments of a setup share, worked out as it changes. */
export const usePrepared = (setup: Setup): WorkedOut<PreparedSetup> => useMemo(() => workedOut(setup, prepareSetup), [setup])

/** What the moments say of a prepared setup, as soon as what was changed is drawn: it never holds up the drawing. */
export function useLaterEvaluation(prepared: WorkedOut<PreparedSetup>, ruleSet: RuleSet | undefined): Evaluated {
  const later = useDeferredValue(prepared)
  return useMemo(() => (later.ok ? tried(() => evaluatePrepared(later.value, ruleSet)) : later), [later, ruleSet])
}

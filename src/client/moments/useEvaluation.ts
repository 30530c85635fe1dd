import { useMemo } from 'react'
import { type Evaluation, evaluate } from '../../core/analysis/evaluate.ts'
import { type WorkedOut, workedOut } from '../../core/analysis/judged.ts'
import type { RuleSet } from '../../core/documents/ruleSet.ts'
import type { Setup } from '../../core/setup/setup.ts'

export type Evaluated = WorkedOut<Evaluation>

export const evaluated = (setup: Setup, ruleSet?: RuleSet): Evaluated => workedOut(setup, (each) => evaluate(each, ruleSet))

export function useEvaluation(setup: Setup, ruleSet?: RuleSet): Evaluated {
  return useMemo(() => evaluated(setup, ruleSet), [setup, ruleSet])
}

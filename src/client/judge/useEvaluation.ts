import { useMemo } from 'react'
import { CoreError } from '../../core/errors.ts'
import { type Evaluation, evaluate } from '../../core/moments/evaluate.ts'
import type { Conditions } from '../../core/trace/conditions.ts'
import { fitIssues } from '../../core/trace/fitsOutfit.ts'
import type { Outfit } from '../../core/trace/outfit.ts'
import { soundnessIssues } from '../../core/trace/parseTrace.ts'
import type { RuleSet } from '../../core/trace/ruleSet.ts'
import type { Trace } from '../../core/trace/schema.ts'

export type Judged = { ok: true; evaluation: Evaluation } | { ok: false; message: string }

/** Judges a trace, or says in a sentence why it cannot be judged as it stands. */
export function judge(trace: Trace, outfit: Outfit, conditions: Conditions, ruleSet?: RuleSet): Judged {
  const fault = [...soundnessIssues(trace), ...fitIssues(trace, outfit)][0]
  if (fault) return { ok: false, message: `This trace does not hold together: ${fault.message}.` }
  try {
    return { ok: true, evaluation: evaluate(trace, outfit, conditions, ruleSet) }
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: `${error.message}.` }
    throw error
  }
}

export function useEvaluation(trace: Trace, outfit: Outfit, conditions: Conditions, ruleSet?: RuleSet): Judged {
  return useMemo(() => judge(trace, outfit, conditions, ruleSet), [trace, outfit, conditions, ruleSet])
}

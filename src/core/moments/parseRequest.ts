import type { z } from 'zod'
import { type Conditions, conditionsSchema } from '../trace/conditions.ts'
import { fitIssues } from '../trace/fitsOutfit.ts'
import { type Outfit, outfitSchema } from '../trace/outfit.ts'
import { type Issue, parseTrace } from '../trace/parseTrace.ts'
import { type RuleSet, ruleSetSchema } from '../trace/ruleSet.ts'
import type { Trace } from '../trace/schema.ts'

export type Request = { trace: Trace; outfit: Outfit; conditions: Conditions; ruleSet?: RuleSet }

/** Reads `{ trace, outfit, conditions, ruleSet? }` as sound documents that fit each other, or says every fault with its path. */
export function parseRequest(value: unknown): { ok: true; request: Request } | { ok: false; issues: Issue[] } {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { ok: false, issues: [{ path: [], message: 'expected an object with trace, outfit and conditions' }] }
  const { trace, outfit, conditions, ruleSet } = value as Record<string, unknown>
  const parsedTrace = parseTrace(trace)
  const parsedOutfit = outfitSchema.safeParse(outfit)
  const parsedConditions = conditionsSchema.safeParse(conditions ?? {})
  const parsedRules = ruleSetSchema.optional().safeParse(ruleSet)
  if (parsedTrace.ok && parsedOutfit.success && parsedConditions.success && parsedRules.success) {
    const misfits = under('trace', fitIssues(parsedTrace.trace, parsedOutfit.data))
    if (misfits.length > 0) return { ok: false, issues: misfits }
    const request = { trace: parsedTrace.trace, outfit: parsedOutfit.data, conditions: parsedConditions.data }
    return { ok: true, request: { ...request, ...(parsedRules.data ? { ruleSet: parsedRules.data } : {}) } }
  }
  return {
    ok: false,
    issues: [
      ...under('trace', parsedTrace.ok ? [] : parsedTrace.issues),
      ...under('outfit', issuesOf(parsedOutfit)),
      ...under('conditions', issuesOf(parsedConditions)),
      ...under('ruleSet', issuesOf(parsedRules)),
    ],
  }
}

function issuesOf(parsed: z.ZodSafeParseResult<unknown>): Issue[] {
  if (parsed.success) return []
  return parsed.error.issues.map(({ path, message }) => ({
    path: path.map((key) => (typeof key === 'number' ? key : String(key))),
    message,
  }))
}

const under = (name: string, issues: readonly Issue[]): Issue[] =>
  issues.map(({ path, message }) => ({ path: [name, ...path], message }))

import type { Catalogue } from '../catalogue/catalogue.ts'
import { conditionsSchema } from '../documents/conditions.ts'
import { type Issue, under } from '../documents/issue.ts'
import { outfitSchema } from '../documents/outfit.ts'
import { readDocument } from '../documents/readDocument.ts'
import { type RuleSet, ruleSetSchema } from '../documents/ruleSet.ts'
import { upgrade } from '../documents/upgrade.ts'
import { CONDITIONS_VERSION } from '../documents/versions.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import type { Setup } from '../setup/setup.ts'
import { parseTrace } from '../soundness/parseTrace.ts'

export type Request = { setup: Setup; ruleSet?: RuleSet }

/**
 * Reads `{ trace, outfit, conditions, ruleSet? }`, of this format or earlier ones, as sound documents that fit each other, or says
 * every fault with its path.
 */
export function parseRequest(
  value: unknown,
  catalogue: Catalogue,
): { ok: true; request: Request } | { ok: false; issues: Issue[] } {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { ok: false, issues: [{ path: [], message: 'expected an object with trace, outfit and conditions' }] }
  const asked = value as Record<string, unknown>
  const trace = parseTrace(asked.trace, catalogue)
  const outfit = readDocument(upgrade('outfit', asked.outfit), outfitSchema, 'outfit')
  const conditions = readDocument(
    upgrade('conditions', asked.conditions ?? { formatVersion: CONDITIONS_VERSION }),
    conditionsSchema,
    'set of conditions',
  )
  const rules =
    asked.ruleSet === undefined ? undefined : readDocument(upgrade('ruleSet', asked.ruleSet), ruleSetSchema, 'rule set')
  const issues = [
    ...under('trace', trace.ok ? [] : trace.issues),
    ...under('outfit', outfit.ok ? [] : outfit.issues),
    ...under('conditions', conditions.ok ? [] : conditions.issues),
    ...under('ruleSet', rules && !rules.ok ? rules.issues : []),
  ]
  if (!trace.ok || !outfit.ok || !conditions.ok || (rules && !rules.ok)) return { ok: false, issues }
  const setup = { trace: trace.trace, outfit: outfit.value, conditions: conditions.value, catalogue }
  const misfits = under('trace', fitIssues(setup))
  if (misfits.length > 0) return { ok: false, issues: misfits }
  return { ok: true, request: { setup, ...(rules ? { ruleSet: rules.value } : {}) } }
}

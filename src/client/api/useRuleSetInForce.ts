import { useQuery } from '@tanstack/react-query'
import type { RuleSet } from '../../core/documents/ruleSet.ts'
import { crewSettingsQuery, ruleSetsQuery } from './documents.ts'

/** The rule set that findings remind of. Rules only remind: while they load, or cannot be had, everything goes on without. */
export function useRuleSetInForce(): RuleSet | undefined {
  const settings = useQuery(crewSettingsQuery).data
  const sets = useQuery(ruleSetsQuery).data
  return sets?.find(({ id }) => id === settings?.content.ruleSetId)?.content
}

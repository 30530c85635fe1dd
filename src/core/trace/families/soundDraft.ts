import { evaluate } from '../../moments/evaluate.ts'
import { QUANTITIES } from '../../units/quantities.ts'
import type { Conditions } from '../conditions.ts'
import { mainLine, type Outfit } from '../outfit.ts'
import type { Trace } from '../schema.ts'
import type { Family, Wishes } from './draft.ts'

/** Share of the line class most people set, and the share of the ceiling a draft keeps to. */
const USUAL_DRAG_SHARE = 0.3
const UNDER_CEILING = 0.9

/**
 * A first draft of a family with the drag set to suit: 30 % of line class, or less where the chain asks for it, in whole
 * half pounds as a scale reads.
 */
export function soundDraft(
  family: Family,
  wishes: Wishes,
  outfit: Outfit,
  conditions: Conditions,
): { trace: Trace; conditions: Conditions } {
  const trace = family.draft(wishes, outfit, conditions)
  const ceilingN = evaluate(trace, outfit, conditions).run?.figure.value ?? Number.POSITIVE_INFINITY
  const wantedN = Math.min(USUAL_DRAG_SHARE * mainLine(outfit).strengthN, UNDER_CEILING * ceilingN)
  const halfPoundN = QUANTITIES.strength.units.lb / 2
  return { trace, conditions: { ...conditions, dragN: Math.max(1, Math.floor(wantedN / halfPoundN)) * halfPoundN } }
}

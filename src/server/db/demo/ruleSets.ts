import type { z } from 'zod'
import type { ruleSetContent } from '../../../shared/ruleSets.ts'

/** Two rule sets of the scenario, both invented. */
export const DEMO_RULE_SETS: readonly z.input<typeof ruleSetContent>[] = [
  { name: 'Orran Sound, shore and charter', checkedOn: '2026-09-14', maxHooks: 6, inForce: true },
  {
    name: 'Sound open, boat classes',
    checkedOn: '2025-03-02',
    maxLeaderM: 9,
    maxDoubleM: 9,
    maxCombinedM: 12,
    maxHooks: 2,
    circleOnly: true,
    lightsAllowed: false,
  },
]

import type { z } from 'zod'
import type { ruleSetSchema } from '../../core/documents/ruleSet.ts'
import { RULE_SET_VERSION } from '../../core/documents/versions.ts'

/** Two rule sets of the scenario, both invented; the first is in force. */
export const DEMO_RULE_SETS: readonly z.input<typeof ruleSetSchema>[] = [
  { formatVersion: RULE_SET_VERSION, name: 'Orran Sound, shore and charter', checkedOn: '2026-09-14', maxHooks: 6 },
  {
    formatVersion: RULE_SET_VERSION,
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

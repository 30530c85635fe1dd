/** Unit costs that no other table carries, in plain units. Ours, for the scenario. */
export const UNIT_COSTS = { hook: 0.45, lure: 6, light: 1.5, float: 1.2 } as const

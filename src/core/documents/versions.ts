/** The format that each kind of document is written in; `upgrade.ts` lifts every earlier one. */
export const TRACE_VERSION = 4
export const OUTFIT_VERSION = 5
export const CONDITIONS_VERSION = 4
export const MARK_VERSION = 3
export const RULE_SET_VERSION = 2
export const GEAR_VERSION = 5
export const FISH_VERSION = 1
export const BATCH_VERSION = 1
export const TIED_VERSION = 1
export const CREW_SETTINGS_VERSION = 2
export const TRIP_VERSION = 1

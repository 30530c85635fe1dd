/** Every threshold that a verdict turns on, once. Nominal defaults of the craft unless said. */

/** Cast: weakest link over the peak pull. A cast is repeated hundreds of times on wet, worn line, with people near. */
export const CAST_OVER_PEAK = { holds: 3, watch: 2 }
/** Cast: share of the rule of 10 lb an ounce that is near enough to it: less than a step of the labels. Ours. */
export const NEAR_THE_RULE = 0.9
/** Run: drag over the ceiling up to which it is to be watched, and the survival at the peak under which it never holds. */
export const WATCH_OVER_CEILING = 1.15
export const SAFE_SURVIVAL = 0.98
/** Run and hand: chance that nothing goes in a sudden rush. */
export const RUSH_SURVIVAL = { holds: SAFE_SURVIVAL, watch: 0.5 }
/** Snag: chance that the weak link goes first, or that the break falls at the fuse or beyond it. */
export const WEAK_LINK_CHANCE = { holds: 0.98, watch: 0.9 }
export const FUSE_CHANCE = { holds: 0.9, watch: 0.6 }
/** Where no link reaches this chance of going first, chance decides. */
export const DECIDED_CHANCE = 0.9
/** Settle: share of the peak stream that at least holds for part of a session: from about four hours in six. Ours. */
export const PART_OF_THE_TIDE = 2 / 3
/** Settle: what a float carries over what hangs under it. Ours. */
export const FLOAT_OVER_LOAD = { holds: 1.15, watch: 1 }
/** Settle: what is towed is as deep as meant within this, or two and a half times it, m and as a share of the depth. Ours. */
export const OFF_DEPTH = { holds: 1, watch: 0.4, leastM: 0.5, share: 0.1 }
/** Settle: share of a retrieve over which some rate of winding keeps a lure where it is meant to swim. Ours. */
export const KEPT_SHARE = { holds: 0.6, watch: 0.3 }
/** Take: the share of a bait that linked hooks are to hold; of a live bait’s mass, of the gap, see `hookSuggest`. */
export const COVERAGE = { least: 0.6, most: 0.85 }
/** Hand: the weakest of the part in hand over the dead weight, where the fish is lifted or netted. */
export const HAND_OVER_WEIGHT = { holds: 3, watch: 2 }
/** Hand: the same over the pull of a fish that is never lifted: the hand or the drag gives before the line does. Ours. */
export const HAND_OVER_PULL = { holds: 1.5, watch: 1 }
/** Hand: a sinker on a longer drop does not come in with one lift, m. */
export const LONGEST_DROP_M = 1.5

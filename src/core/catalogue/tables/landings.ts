/** What a person holds on a leader, N: of 150 to 250 that are usual. Nominal. */
const HELD_ON_LEADER_N = 200

/**
 * How a fish is landed: what of its dead weight the chain bears, and at most, N (undefined: however heavy, for it hangs on the line); how much
 * farther than the rod’s own bringing it may lie, m (undefined: however long the trace, for it is not the rod that brings it); whether a
 * hand takes hold of the line. Nominal, ours.
 */
export const LANDINGS = {
  lift: { name: 'lifted on the line', share: 1, mostN: undefined, beyondRodM: 0, byHand: true },
  net: { name: 'netted', share: 0.25, mostN: undefined, beyondRodM: 1.5, byHand: false },
  gaff: { name: 'gaffed', share: 0.25, mostN: HELD_ON_LEADER_N, beyondRodM: 1.5, byHand: false },
  harpoon: { name: 'harpooned', share: 0.25, mostN: HELD_ON_LEADER_N, beyondRodM: undefined, byHand: false },
  leadered: { name: 'leader taken by hand', share: 0.6, mostN: HELD_ON_LEADER_N, beyondRodM: undefined, byHand: true },
  tailRope: { name: 'leader by hand, tail rope', share: 0.6, mostN: HELD_ON_LEADER_N, beyondRodM: undefined, byHand: true },
  alongside: { name: 'released alongside', share: 0.6, mostN: HELD_ON_LEADER_N, beyondRodM: undefined, byHand: true },
  beach: { name: 'drawn up a beach', share: 0.6, mostN: HELD_ON_LEADER_N, beyondRodM: undefined, byHand: false },
} as const

/** The pull that a person can hold on a leader, N; 150 to 250 are usual. Nominal. */
const HELD_ON_LEADER_N = 200

/**
 * How a fish is landed. `share`: the part of its dead weight that the chain carries; `mostN`: the most that it carries, undefined where
 * the fish hangs on the line. `beyondRodM`: how far past the rod’s reach the fish may lie, undefined where the rod does not bring it in.
 * `byHand`: a hand holds the line. Nominal, ours.
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

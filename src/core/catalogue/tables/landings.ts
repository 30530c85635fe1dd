/**
 * How a fish is landed: what of its dead weight the chain bears, how much farther than the rod’s own bringing it may lie, m (undefined:
 * however long the trace, for it is not the rod that brings it), and whether a hand takes hold of the line. Nominal, ours.
 */
export const LANDINGS = {
  lift: { name: 'lifted on the line', share: 1, beyondRodM: 0, byHand: true },
  net: { name: 'netted', share: 0.25, beyondRodM: 1.5, byHand: false },
  gaff: { name: 'gaffed', share: 0.25, beyondRodM: 1.5, byHand: false },
  leadered: { name: 'leader taken by hand', share: 0.6, beyondRodM: undefined, byHand: true },
  tailRope: { name: 'leader by hand, tail rope', share: 0.6, beyondRodM: undefined, byHand: true },
  beach: { name: 'drawn up a beach', share: 0.6, beyondRodM: undefined, byHand: false },
} as const

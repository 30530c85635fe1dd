/**
 * Ways a bait is put on a hook: what it is for (a live bait, a dead one, a soft lure), and the share of its depth that then lies in the
 * gap, where that is less than of a bait hooked through. Nominal, ours.
 */
export const RIGGINGS = {
  nose: { of: 'live', buried: 0.08 },
  throat: { of: 'live', buried: 0.1 },
  back: { of: 'live', buried: 0.12 },
  tail: { of: 'live', buried: 0.1 },
  bridled: { of: 'live', buried: 0 },
  seam: { of: 'dead', buried: 0.3 },
  edge: { of: 'dead', buried: 0.2 },
  bound: { of: 'dead', buried: 0.15 },
  stitched: { of: 'dead', buried: 0.1 },
  threaded: { of: 'dead', buried: 0.35 },
  pointUp: { of: 'dead', buried: 0.15 },
  skin: { of: 'soft', buried: 0.35 },
  flush: { of: 'soft', buried: 0.5 },
  ring: { of: 'soft', buried: 0.15 },
} as const

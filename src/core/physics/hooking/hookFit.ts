export type HookFitInput = {
  gapeM: number
  /** Thickness of bait that lies in the gap. */
  buriedM: number
  hookMassKg: number
  baitMassKg: number
  hookWidthM: number
  mouthWidthM: number
  loadN: number
  straightensAtN: number
}

/** Ratios, none of them bounded: `freeGape` below 0 where more bait lies in the gap than it is wide. */
export type HookFit = { freeGape: number; massShare: number; widthShare: number; straightenMargin: number }

/**
 * How a hook fits its bait, the mouth it is to go in, and the load it meets.
 * @returns `(gape − buried)/gape`, hook over bait by mass, hook over mouth by width, straightening load over load: ratios.
 * Source: geometry.
 */
export function hookFit(input: HookFitInput): HookFit {
  return {
    freeGape: (input.gapeM - input.buriedM) / input.gapeM,
    massShare: input.hookMassKg / input.baitMassKg,
    widthShare: input.hookWidthM / input.mouthWidthM,
    straightenMargin: input.straightensAtN / input.loadN,
  }
}

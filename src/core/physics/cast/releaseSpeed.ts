/** How sharply a rod that is not well loaded throws less fast. Nominal, ours. */
const FALL_OFF = 0.4

/**
 * Speed that a rod releases a weight at: fastest at the weight it throws best, `v = v_style (2x / (1 + x²))^0.4`; a light weight does
 * not load the rod, a heavy one slows it.
 * @param styleMperS speed of the style of cast at the rod's best weight, m/s.
 * @param shareOfBest x: mass that flies over the rod's best, above 0.
 * @returns m/s.
 * Source: nominal, ours.
 */
export function releaseSpeedMperS(styleMperS: number, shareOfBest: number): number {
  return styleMperS * ((2 * shareOfBest) / (1 + shareOfBest ** 2)) ** FALL_OFF
}

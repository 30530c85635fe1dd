/** Below this height over the bed the current is taken as even, m: the boundary layer's own scale. */
export const BED_LAYER_M = 0.2

/** Speed of the current by height over the bed, m/s. */
export type CurrentProfile = (heightM: number) => number

/**
 * Current over the bed by a power of the height, `u(z) = u_surface (max(z, 0.2 m) / depth)^n`.
 * @param profileExponent 1/7 over a sea bed, 0 for an even current.
 * Source: R. Soulsby, Dynamics of Marine Sands (1997).
 */
export function powerProfile(surfaceCurrentMperS: number, depthM: number, profileExponent: number): CurrentProfile {
  if (profileExponent === 0) return () => surfaceCurrentMperS
  return (heightM) => surfaceCurrentMperS * (Math.max(heightM, BED_LAYER_M) / depthM) ** profileExponent
}

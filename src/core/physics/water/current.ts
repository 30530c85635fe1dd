/** Below this height over the bed the current is taken as even, m: the boundary layer's own scale. */
export const BED_LAYER_M = 0.2

/** Speed of the current by height over the bed, m/s. */
export type CurrentProfile = (heightM: number) => number

/**
 * Current over the bed by a power of the height, `u(z) = u_surface (max(z, 0.2 m) / depth)^n`; a wind over the sea likewise.
 * @param profileExponent 1/7 over a sea bed, 0 for an even current.
 * @param evenUnderM the height under which it grows no weaker, m.
 * Source: R. Soulsby, Dynamics of Marine Sands (1997).
 */
export function powerProfile(
  surfaceCurrentMperS: number,
  depthM: number,
  profileExponent: number,
  evenUnderM = BED_LAYER_M,
): CurrentProfile {
  if (profileExponent === 0) return () => surfaceCurrentMperS
  // Half the time that a power takes: a line asks thousands of times.
  return (heightM) => surfaceCurrentMperS * Math.exp(profileExponent * Math.log(Math.max(heightM, evenUnderM) / depthM))
}

/** Current by a table of heights and speeds, lowest first: straight between them, even below the first and above the last. */
export function tableProfile(rows: readonly { heightM: number; speedMperS: number }[]): CurrentProfile {
  return (heightM) => {
    const at = rows.findIndex((row) => row.heightM >= heightM)
    if (at <= 0) return (at === 0 ? rows[0] : rows.at(-1))!.speedMperS
    const [low, high] = [rows[at - 1]!, rows[at]!]
    return low.speedMperS + ((heightM - low.heightM) / (high.heightM - low.heightM)) * (high.speedMperS - low.speedMperS)
  }
}

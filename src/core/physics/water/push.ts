/**
 * Push of a stream on something, N, with the stream's sign.
 * @param dragAreaM2 drag coefficient times area, m².
 * Source: quadratic drag, `½ρ CdA |u| u`; S. F. Hoerner, Fluid-Dynamic Drag (1965).
 */
export function pushN(dragAreaM2: number, speedMperS: number, waterDensityKgperM3: number): number {
  return 0.5 * waterDensityKgperM3 * dragAreaM2 * Math.abs(speedMperS) * speedMperS
}

import { QUANTITIES } from '../units/quantities.ts'
import type { Catalogue } from './catalogue.ts'
import type { Material } from './ids.ts'

/** Spread (coefficient of variation) of a line’s strength about its label: 0.04 within a spool, 0.06 of labels against the truth. Nominal. */
export const LINE_SPREAD = 0.07
/** The same about what its own spool was pulled at. */
export const PULLED_SPREAD = 0.04

/**
 * Diameter of a line from its strength, `d = √(4F/πσ)`, where none was measured; single-strand wire by its numbers, between
 * which it is interpolated.
 * @returns diameter, m. Nominal: σ is a typical value of the material, and a wrong diameter counts by its square.
 */
export function nominalDiameterM(catalogue: Catalogue, material: Material, strengthN: number): number {
  return (
    (material === 'wire' ? wireDiameterM(catalogue, strengthN) : undefined) ??
    Math.sqrt((4 * strengthN) / (Math.PI * catalogue.materials[material].stressPa))
  )
}

/** Between the printed numbers; undefined outside them, where the stress of the material decides. */
function wireDiameterM({ wireNumbers }: Catalogue, strengthN: number): number | undefined {
  const strengthLb = strengthN / QUANTITIES.strength.units.lb
  const upper = wireNumbers.findIndex((row) => row.strengthLb >= strengthLb * (1 - 1e-9))
  const [below, above] = [wireNumbers[Math.max(0, upper - 1)], wireNumbers[upper]]
  if (!below || !above || strengthLb < below.strengthLb * (1 - 1e-9)) return undefined
  const share = above === below ? 0 : (strengthLb - below.strengthLb) / (above.strengthLb - below.strengthLb)
  return (below.diameterMm + share * (above.diameterMm - below.diameterMm)) / 1000
}

/** What a line is made of, how strong its label says it is, and how thick it was measured. */
export type LineSpec = { material: Material; strengthN: number; diameterM?: number | undefined }

/** How many times more a line is labelled than its material bears at its measured diameter, where that is too good to be true. */
export function timesTooGood({ materials }: Catalogue, line: LineSpec): number | undefined {
  if (line.diameterM === undefined) return undefined
  const times = line.strengthN / ((Math.PI / 4) * line.diameterM ** 2) / materials[line.material].sanePa
  return times > 1 ? times : undefined
}

/** A line's diameter: as measured, else nominal from its strength. */
export function lineDiameterM(catalogue: Catalogue, line: LineSpec): number {
  return line.diameterM ?? nominalDiameterM(catalogue, line.material, line.strengthN)
}

/** Single-strand or cable: it does not stretch, and teeth do not cut it. */
export const isWire = (material: Material): boolean => material === 'wire' || material === 'cable'

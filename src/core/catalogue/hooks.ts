import { DENSITY_KG_PER_M3 } from '../math/constants.ts'
import { parseHookSize } from '../units/hookSize.ts'
import type { Catalogue } from './catalogue.ts'
import type { HookPattern } from './ids.ts'

/** Spread (coefficient of variation) of the load that straightens a hook. Nominal. */
export const HOOK_SPREAD = 0.06

/** Length one hook adds along a bait, over its gape; and the length of its wire over its gape. Nominal. */
const PITCH_OVER_GAPE = 2.6
const WIRE_LENGTH_OVER_GAPE = 5.5

/**
 * Pull that straightens a hook, `1300 × wire³ / gape` N with both in mm.
 * Nominal: a beam in bending, its strength as wire³ over the lever arm.
 */
export function straighteningLoadN(wireM: number, gapeM: number): number {
  return (1300 * (wireM * 1000) ** 3) / (gapeM * 1000)
}

/** `extrapolated`: the size lies beyond the table. */
export type HookDimensions = { gapeM: number; wireM: number; pitchM: number; massKg: number; extrapolated: boolean }

/**
 * Nominal dimensions of a hook, interpolated between the sizes of the table, and beyond its ends carried on in the ratio of the last two.
 * @param size as anglers write it: `2/0`, `2`.
 * @returns lengths in m, mass in kg; undefined where the size cannot be read.
 * Source: nominal table of the craft.
 */
export function hookDimensions({ hooks }: Catalogue, pattern: HookPattern, size: string): HookDimensions | undefined {
  const parsed = parseHookSize(size)
  if (!parsed.ok) return undefined
  const { step } = parsed.size
  const found = hooks.steps.findIndex((row) => row.step >= step)
  const upper = Math.max(1, found === -1 ? hooks.steps.length - 1 : found)
  const [below, above] = [hooks.steps[upper - 1]!, hooks.steps[upper]!]
  const t = (step - below.step) / (above.step - below.step)
  const extrapolated = t < 0 || t > 1
  const between = (from: number, to: number) => (extrapolated ? from * (to / from) ** t : from + t * (to - from))
  const gapeMm = between(below.gapeMm, above.gapeMm) * hooks.patterns[pattern].gape
  const wireMm = between(below.wireMm, above.wireMm) * hooks.patterns[pattern].wire
  return {
    gapeM: gapeMm / 1000,
    wireM: wireMm / 1000,
    pitchM: (PITCH_OVER_GAPE * gapeMm) / 1000,
    extrapolated,
    massKg: DENSITY_KG_PER_M3.steel * (Math.PI / 4) * (wireMm / 1000) ** 2 * ((WIRE_LENGTH_OVER_GAPE * gapeMm) / 1000),
  }
}

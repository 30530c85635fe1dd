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

export type HookDimensions = { gapeM: number; wireM: number; pitchM: number; massKg: number }

/**
 * Nominal dimensions of a hook, interpolated between the sizes of the table.
 * @param size as anglers write it: `2/0`, `2`.
 * @returns lengths in m, mass in kg; undefined where the size cannot be read.
 * Source: nominal table of the craft.
 */
export function hookDimensions({ hooks }: Catalogue, pattern: HookPattern, size: string): HookDimensions | undefined {
  const parsed = parseHookSize(size)
  if (!parsed.ok) return undefined
  const { step } = parsed.size
  const upper = hooks.steps.findIndex((row) => row.step >= step)
  const above = hooks.steps[upper === -1 ? hooks.steps.length - 1 : upper]!
  const below = hooks.steps[Math.max(0, (upper === -1 ? hooks.steps.length : upper) - 1)]!
  const t = above.step === below.step ? 0 : Math.min(1, Math.max(0, (step - below.step) / (above.step - below.step)))
  const gapeMm = (below.gapeMm + t * (above.gapeMm - below.gapeMm)) * hooks.patterns[pattern].gape
  const wireMm = (below.wireMm + t * (above.wireMm - below.wireMm)) * hooks.patterns[pattern].wire
  return {
    gapeM: gapeMm / 1000,
    wireM: wireMm / 1000,
    pitchM: (PITCH_OVER_GAPE * gapeMm) / 1000,
    massKg: DENSITY_KG_PER_M3.steel * (Math.PI / 4) * (wireMm / 1000) ** 2 * ((WIRE_LENGTH_OVER_GAPE * gapeMm) / 1000),
  }
}

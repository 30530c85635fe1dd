import { DENSITY_KG_PER_M3 } from '../math/constants.ts'
import { parseHookSize } from '../units/hookSize.ts'

/** Gape and wire (mm) of a J hook by size step (1/0 is step 1, size 1 is 0, size 2 is −1). Nominal; a ruler corrects them. */
const BY_STEP = [
  { step: -9, gapeMm: 5, wireMm: 0.6 },
  { step: -7, gapeMm: 6, wireMm: 0.7 },
  { step: -5, gapeMm: 7.2, wireMm: 0.8 },
  { step: -3, gapeMm: 8.6, wireMm: 0.92 },
  { step: -1, gapeMm: 10.2, wireMm: 1.05 },
  { step: 0, gapeMm: 11.5, wireMm: 1.15 },
  { step: 1, gapeMm: 13, wireMm: 1.25 },
  { step: 2, gapeMm: 14.5, wireMm: 1.35 },
  { step: 3, gapeMm: 16, wireMm: 1.5 },
  { step: 4, gapeMm: 18, wireMm: 1.65 },
  { step: 5, gapeMm: 20, wireMm: 1.8 },
  { step: 6, gapeMm: 22, wireMm: 1.95 },
  { step: 8, gapeMm: 27, wireMm: 2.3 },
  { step: 10, gapeMm: 33, wireMm: 2.7 },
  { step: 12, gapeMm: 38, wireMm: 3.2 },
  { step: 16, gapeMm: 46, wireMm: 4 },
] as const

/** Patterns: gape and wire relative to a J hook of the same number, because makers' numbers differ by pattern. Nominal. */
export const HOOK_PATTERNS = {
  j: { name: 'J', gape: 1, wire: 1 },
  lightJ: { name: 'light J', gape: 1, wire: 0.85 },
  circle: { name: 'circle', gape: 0.8, wire: 1.05 },
  treble: { name: 'treble', gape: 0.75, wire: 0.9 },
  longShank: { name: 'long shank', gape: 0.9, wire: 1 },
} as const

export type HookPattern = keyof typeof HOOK_PATTERNS

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
export function hookDimensions(pattern: HookPattern, size: string): HookDimensions | undefined {
  const parsed = parseHookSize(size)
  if (!parsed.ok) return undefined
  const { step } = parsed.size
  const upper = BY_STEP.findIndex((row) => row.step >= step)
  const above = BY_STEP[upper === -1 ? BY_STEP.length - 1 : upper]!
  const below = BY_STEP[Math.max(0, (upper === -1 ? BY_STEP.length : upper) - 1)]!
  const t = above.step === below.step ? 0 : Math.min(1, Math.max(0, (step - below.step) / (above.step - below.step)))
  const gapeMm = (below.gapeMm + t * (above.gapeMm - below.gapeMm)) * HOOK_PATTERNS[pattern].gape
  const wireMm = (below.wireMm + t * (above.wireMm - below.wireMm)) * HOOK_PATTERNS[pattern].wire
  return {
    gapeM: gapeMm / 1000,
    wireM: wireMm / 1000,
    pitchM: (PITCH_OVER_GAPE * gapeMm) / 1000,
    massKg: DENSITY_KG_PER_M3.steel * (Math.PI / 4) * (wireMm / 1000) ** 2 * ((WIRE_LENGTH_OVER_GAPE * gapeMm) / 1000),
  }
}

/** Sizes offered, smallest first. */
export const HOOK_SIZES = [
  '10',
  '8',
  '6',
  '4',
  '2',
  '1',
  '1/0',
  '2/0',
  '3/0',
  '4/0',
  '5/0',
  '6/0',
  '8/0',
  '10/0',
  '12/0',
  '16/0',
] as const

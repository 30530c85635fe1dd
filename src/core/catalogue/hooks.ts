import { DENSITY_KG_PER_M3 } from '../math/constants.ts'
import { parseHookSize } from '../units/hookSize.ts'
import type { Catalogue } from './catalogue.ts'
import type { HookPattern } from './ids.ts'

/** Whether a pattern is a circle, which hooks itself. */
export const isCircle = (pattern: HookPattern): boolean => pattern === 'circle' || pattern === 'heavyCircle'

/** Spread (coefficient of variation) of the load that straightens a hook. Nominal. */
export const HOOK_SPREAD = 0.06

/** Wire in the eye, over the gape. Nominal. */
const EYE_WIRE_OVER_GAPE = 0.6
/** Three points stand around the shank as far apart as they reach, a little more than one alone is wide. */
const TREBLE_WIDTH = Math.sqrt(3)

/**
 * Pull that straightens a hook, `1300 × wire³ / gape` N with both in mm.
 * Nominal: a beam in bending, its strength as wire³ over the lever arm.
 */
export function straighteningLoadN(wireM: number, gapeM: number): number {
  return (1300 * (wireM * 1000) ** 3) / (gapeM * 1000)
}

/**
 * A hook in figures, lengths in m: gape from point to shank, wire, shank from eye to bend, throat from the point down to the bend,
 * total width, the pitch that one adds along a bait, eye to bend. `extrapolated`: the size lies beyond the table.
 */
export type HookDimensions = {
  gapeM: number
  wireM: number
  shankM: number
  throatM: number
  widthM: number
  pitchM: number
  massKg: number
  extrapolated: boolean
}

type Measured = { gapeM?: number | undefined; wireM?: number | undefined }

/**
 * Dimensions of a hook: gape and wire as measured, else nominal, interpolated between the sizes of the table and beyond its ends
 * carried on in the ratio of the last two; the rest by its pattern's outline.
 * @param size as anglers write it: `2/0`, `2`.
 * @returns lengths in m, mass in kg; undefined where the size cannot be read.
 * Source: nominal table of the craft; mass is that of its wire.
 */
export function hookDimensions(
  { hooks }: Catalogue,
  pattern: HookPattern,
  size: string,
  measured: Measured = {},
): HookDimensions | undefined {
  const parsed = parseHookSize(size)
  if (!parsed.ok) return undefined
  const { step } = parsed.size
  const { numbers, gape, wire, shank, throat, lean, points } = hooks.patterns[pattern]
  const gapes = hooks.gapes[numbers].map((row): Row => [row.step, row.gapeMm])
  const gapeM = measured.gapeM ?? (at(gapes, step) * gape) / 1000
  const wires = hooks.wires.map((row): Row => [row.step, row.wireMm])
  const wireM = measured.wireM ?? (at(wires, step) * wire) / 1000
  const bentM = gapeM * (Math.PI / 2 + throat)
  const wireLengthM = gapeM * (shank + EYE_WIRE_OVER_GAPE) + points * bentM
  return {
    gapeM,
    wireM,
    shankM: shank * gapeM,
    throatM: throat * gapeM,
    widthM: points === 1 ? gapeM * (1 + lean) + 2 * wireM : TREBLE_WIDTH * (gapeM + wireM),
    pitchM: (shank + 0.5) * gapeM,
    massKg: DENSITY_KG_PER_M3.steel * (Math.PI / 4) * wireM ** 2 * wireLengthM,
    extrapolated: step < gapes[0]![0] || step > gapes.at(-1)![0],
  }
}

type Row = readonly [step: number, value: number]

/** Between the rows, and beyond them. */
function at(rows: readonly Row[], step: number): number {
  const found = rows.findIndex((row) => row[0] >= step)
  const upper = Math.max(1, found === -1 ? rows.length - 1 : found)
  const [[low, below], [high, above]] = [rows[upper - 1]!, rows[upper]!]
  const t = (step - low) / (high - low)
  return t < 0 || t > 1 ? below * (above / below) ** t : below + t * (above - below)
}

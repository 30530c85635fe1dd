import { z } from 'zod'
import { lineDiameterM } from '../gear/materials.ts'
import { type SpoolFill, spoolFill } from '../spool/fill.ts'
import {
  diameterM,
  FORMAT_VERSION,
  jointSchema,
  lengthM,
  massKg,
  materialSchema,
  share,
  strengthN,
  WOUND_ROLES,
} from './schema.ts'

const radiusM = z.number().positive('must be above 0').max(0.5)

const woundLine = z.strictObject({
  role: z.enum(WOUND_ROLES),
  material: materialSchema,
  /** The label: a line's strength as sold. */
  strengthN,
  diameterM: diameterM.optional(),
  /** Absent on at most one line: it fills the spool. */
  lengthM: lengthM.optional(),
  condition: share.optional(),
  /** How it is joined to the line wound under it; the first has none. */
  joint: jointSchema.optional(),
})

/** The shape of an outfit: rod, reel, and what is wound on it from the arbor up. */
export const outfitSchema = z
  .strictObject({
    formatVersion: z.literal(FORMAT_VERSION),
    name: z.string().trim().min(1, 'needs a name').max(80),
    rod: z.strictObject({
      name: z.string().max(80).optional(),
      lengthM: z.number().positive().max(10),
      ratingLowN: strengthN,
      ratingHighN: strengthN,
      castLowKg: massKg.optional(),
      castHighKg: massKg.optional(),
    }),
    reel: z.strictObject({
      name: z.string().max(80).optional(),
      capacityLengthM: lengthM,
      capacityDiameterM: diameterM,
      arborRadiusM: radiusM,
      fullRadiusM: radiusM,
      highestDragN: strengthN,
    }),
    wound: z.array(woundLine).min(1, 'has no line').max(3),
  })
  .superRefine((outfit, context) => {
    const say = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
    if (!(outfit.reel.fullRadiusM > outfit.reel.arborRadiusM)) say(['reel', 'fullRadiusM'], 'must exceed the arbor’s radius')
    if (outfit.rod.ratingHighN < outfit.rod.ratingLowN) say(['rod', 'ratingHighN'], 'is below the rating’s lower end')
    const places = outfit.wound.map(({ role }) => WOUND_ROLES.indexOf(role))
    if (places.some((at, i) => i > 0 && at <= places[i - 1]!)) say(['wound'], 'goes backing, main, top shot, each once')
    if (!outfit.wound.some(({ role }) => role === 'main')) say(['wound'], 'has no main line')
    if (outfit.wound.filter((line) => line.lengthM === undefined).length > 1)
      say(['wound'], 'at most one line fills the rest of the spool')
    for (const [i, line] of outfit.wound.entries())
      if (i > 0 && line.joint === undefined) say(['wound', i, 'joint'], 'needs the knot that joins it to the line under it')
  })

export type Outfit = z.infer<typeof outfitSchema>
export type WoundLine = Outfit['wound'][number]

/** The line that gives the outfit its line class. */
export function mainLine(outfit: Outfit): WoundLine {
  return outfit.wound.find(({ role }) => role === 'main')!
}

/** The outfit with something of its main line changed; what is wound under and over it stays. */
export function withMainLine(outfit: Outfit, change: Partial<WoundLine>): Outfit {
  const main = mainLine(outfit)
  return { ...outfit, wound: outfit.wound.map((line) => (line === main ? { ...line, ...change } : line)) }
}

/** The line that a trace is tied to: the last one wound. */
export function freeLine(outfit: Outfit): WoundLine {
  return outfit.wound.at(-1)!
}

/**
 * The outfit's spool with `lineOutM` out.
 * @throws CoreError 'overfull', 'line-out-over-spool' as spoolFill does.
 */
export function spoolOf(outfit: Outfit, lineOutM: number): SpoolFill {
  return spoolFill({
    ...outfit.reel,
    layers: outfit.wound.map((line) => ({ id: line.role, diameterM: lineDiameterM(line), lengthM: line.lengthM })),
    lineOutM,
  })
}

/** Lines at least partly out, from the lowest to the free one, with the length of each that is out, m. */
export function linesOut(outfit: Outfit, spool: SpoolFill, lineOutM: number): { line: WoundLine; outM: number }[] {
  const out: { line: WoundLine; outM: number }[] = []
  let left = lineOutM
  for (let i = outfit.wound.length - 1; i >= 0; i -= 1) {
    const outM = Math.min(left, spool.layers[i]!.lengthM)
    out.unshift({ line: outfit.wound[i]!, outM })
    left -= outM
    if (left <= 0) break
  }
  return out
}

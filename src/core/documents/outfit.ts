import { z } from 'zod'
import { diameterM, documentName, jointSchema, lengthM, massKg, materialSchema, share, strengthN } from './fields.ts'
import { text } from './text.ts'
import { OUTFIT_VERSION } from './versions.ts'
import { WOUND_ROLES } from './vocabulary.ts'

const radiusM = z.number().min(1e-3, 'is under a millimetre').max(0.5)

const woundLine = z.strictObject({
  role: z.enum(WOUND_ROLES),
  material: materialSchema,
  /** The label: a line's strength as sold. */
  strengthN,
  diameterM: diameterM.optional(),
  /** Absent on at most one line: it fills the spool. */
  lengthM: lengthM.optional(),
  condition: share.optional(),
  /** Its spool was pulled: the strength is what it broke at, not the label. */
  pulled: z.boolean().optional(),
  /** Braid that can be spliced into itself. */
  hollow: z.boolean().optional(),
  /** How it is joined to the line wound under it; the first has none. */
  joint: jointSchema.optional(),
})

/** The shape of an outfit: rod, reel, and what is wound on it from the arbor up. */
export const outfitSchema = z
  .strictObject({
    formatVersion: z.literal(OUTFIT_VERSION),
    name: documentName,
    rod: z.strictObject({
      name: text(80).optional(),
      lengthM: z.number().min(0.3).max(10),
      ratingLowN: strengthN,
      ratingHighN: strengthN,
      castLowKg: massKg.optional(),
      castHighKg: massKg.optional(),
    }),
    reel: z.strictObject({
      name: text(80).optional(),
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

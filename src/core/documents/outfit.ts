import { z } from 'zod'
import { ROD_ACTION_IDS } from '../catalogue/ids.ts'
import { diameterM, documentName, jointSchema, lengthM, massKg, materialSchema, share, strengthN } from './fields.ts'
import { filledText, text } from './text.ts'
import { OUTFIT_VERSION } from './versions.ts'
import { WOUND_ROLES } from './vocabulary.ts'

const radiusM = z.number().min(1e-3, 'is under 1 mm').max(0.5)

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
  /** It changes colour every so many metres. */
  colourEveryM: lengthM.optional(),
  /** Where it is marked, m from its free end: whipped, inked or knotted. */
  marksM: z.array(lengthM).max(20, 'has over 20 marks').optional(),
  /** The day it was wound on, or turned end for end. */
  woundOn: z.iso.date().optional(),
  /** How it is joined to the line wound under it; the first has none. */
  joint: jointSchema.optional(),
  /** Knots that double the line under it and this one for that joint, such as a loop through a loop. */
  doubled: z.strictObject({ under: jointSchema.optional(), over: jointSchema.optional() }).optional(),
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
      /** How it bends; absent: medium. */
      action: z.enum(ROD_ACTION_IDS).optional(),
    }),
    reel: z.strictObject({
      name: text(80).optional(),
      capacityLengthM: lengthM,
      capacityDiameterM: diameterM,
      /** Both, or neither: estimated from the capacity. */
      arborRadiusM: radiusM.optional(),
      fullRadiusM: radiusM.optional(),
      highestDragN: strengthN,
      /** Turns of the spool, or of its rotor, for one of the handle. */
      gearRatio: z.number().min(0.5).max(12).optional(),
    }),
    /** The mark on rod and reel that tells them apart, such as two red rings. */
    marking: filledText(40, 'is empty').optional(),
    wound: z.array(woundLine).min(1, 'has no line').max(3),
  })
  .superRefine((outfit, context) => {
    const say = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
    const { arborRadiusM, fullRadiusM } = outfit.reel
    if ((arborRadiusM === undefined) !== (fullRadiusM === undefined))
      say(['reel', arborRadiusM === undefined ? 'arborRadiusM' : 'fullRadiusM'], 'is measured together with the other radius')
    if (arborRadiusM !== undefined && fullRadiusM !== undefined && !(fullRadiusM > arborRadiusM))
      say(['reel', 'fullRadiusM'], 'must exceed the arbor’s radius')
    if (outfit.rod.ratingHighN < outfit.rod.ratingLowN) say(['rod', 'ratingHighN'], 'is below the rating’s lower end')
    const places = outfit.wound.map(({ role }) => WOUND_ROLES.indexOf(role))
    if (places.some((at, i) => i > 0 && at <= places[i - 1]!)) say(['wound'], 'must be backing, main line, top shot, each once')
    if (!outfit.wound.some(({ role }) => role === 'main')) say(['wound'], 'has no main line')
    if (outfit.wound.filter((line) => line.lengthM === undefined).length > 1)
      say(['wound'], 'at most one line fills the rest of the spool')
    for (const [i, line] of outfit.wound.entries()) {
      if (i > 0 && line.joint === undefined) say(['wound', i, 'joint'], 'needs a knot to the line under it')
      if (i === 0 && line.doubled !== undefined) say(['wound', i, 'doubled'], 'has no line under it to join')
    }
  })

export type Outfit = z.infer<typeof outfitSchema>
export type WoundLine = Outfit['wound'][number]

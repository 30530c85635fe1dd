import { z } from 'zod'
import { CONNECTION_IDS, MATERIAL_IDS, RIGGING_IDS } from '../catalogue/ids.ts'
import { parseHookSize } from '../units/hookSize.ts'
import { filledText, text } from './text.ts'
import { MAX_NAME, MAX_NOTES } from './vocabulary.ts'

const TOO_SMALL = 'is too small'

/** Fields that several kinds of document share, each with the range that the craft knows. SI. */
export const strengthN = z.number().min(0.1, TOO_SMALL).max(100_000)
export const diameterM = z.number().min(1e-5, TOO_SMALL).max(0.02)
export const lengthM = z.number().min(1e-3, TOO_SMALL).max(5_000)
export const massKg = z.number().min(1e-5, TOO_SMALL).max(50)
export const share = z.number().min(1e-3, TOO_SMALL).max(1, 'is over 100 %')
/** A document’s revision, as a database counts it. */
export const revisionNumber = z.int().min(1).max(2_000_000_000)
export const documentName = filledText(MAX_NAME, 'needs a name').refine(
  (name) => !/\p{Cc}/u.test(name),
  'must be one line without control characters',
)
export const hookSize = text(10).refine((typed) => parseHookSize(typed).ok, 'is not a hook size, such as 2/0 or 4')
export const notes = text(MAX_NOTES)
export const materialSchema = z.enum(MATERIAL_IDS)

/** The angler's own figure for one joint: its mean, and where known its spread and how many were pulled. */
const ownFigure = z.strictObject({
  efficiency: share,
  spread: z.number().min(1e-3, TOO_SMALL).max(0.5).optional(),
  tests: z.int().min(1).max(1_000).optional(),
})

export const jointSchema = z.strictObject({
  connection: z.enum(CONNECTION_IDS),
  turns: z.int().min(1).max(60).optional(),
  loopM: z.number().min(1e-3, TOO_SMALL).max(3).optional(),
  /** Bore of a crimp's sleeve, each barrel. */
  boreM: z.number().min(1e-5, TOO_SMALL).max(0.02).optional(),
  /** Laid over the catalogue's figure for this joint alone. */
  own: ownFigure.optional(),
})

export type Joint = z.infer<typeof jointSchema>

const bodyM = z.number().min(1e-3, TOO_SMALL).max(3)
/** Of a lure or bait: its own measures; absent: nominal. */
export const bodyFields = {
  lengthM: bodyM.optional(),
  /** From back to belly. */
  depthM: bodyM.optional(),
  /** Drag coefficient times area in the stream, m². */
  dragAreaM2: z.number().min(1e-6, TOO_SMALL).max(1).optional(),
  /** Lighter than water; absent: it sinks. */
  floats: z.boolean().optional(),
}
/** The depth that a lure is said to run at, and on which line, how fast and how far out; absent: as most are tried. */
export const ratedFields = {
  ratedDepthM: z.number().min(0.1, TOO_SMALL).max(60).optional(),
  ratedSpeedMperS: z.number().min(0.2, TOO_SMALL).max(10).optional(),
  ratedLineOutM: z.number().min(1, TOO_SMALL).max(500).optional(),
  ratedLineDiameterM: diameterM.optional(),
}
/** Of a bait or soft lure on a hook: how it is put on, and where on it the last hook’s bend sits from its tail; absent: as usual, in its middle. */
export const rigFields = {
  rigging: z.enum(RIGGING_IDS).optional(),
  tailM: z.number().min(0, 'must not be negative').max(3).optional(),
  /** A nail weight in its head. */
  nailKg: massKg.optional(),
}
/** Of a hook: what is cast on it as a head, and whether it swings from that on an eye of its own. */
export const headFields = { headKg: massKg.optional(), headSwings: z.boolean().optional() }

/** Of a hook: point to shank, and the thickness of its wire. */
export const gapeM = z.number().min(1e-3).max(0.2)
export const wireM = z.number().min(1e-4).max(0.02)

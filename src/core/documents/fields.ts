import { z } from 'zod'
import { CONNECTION_IDS, MATERIAL_IDS } from '../catalogue/ids.ts'

/** Fields that several kinds of document share, each with the range that the craft knows. SI. */
export const strengthN = z.number().positive('must be above 0').max(100_000)
export const diameterM = z.number().positive('must be above 0').max(0.02)
export const lengthM = z.number().positive('must be above 0').max(5_000)
export const massKg = z.number().positive('must be above 0').max(50)
export const share = z.number().positive('must be above 0').max(1, 'is a share: at most 1')
export const documentName = z.string().trim().min(1, 'needs a name').max(80)
export const materialSchema = z.enum(MATERIAL_IDS)

/** The angler's own figure for one joint: its mean, and where known its spread and how many were pulled. */
const ownFigure = z.strictObject({
  efficiency: share,
  spread: z.number().positive('must be above 0').max(0.5).optional(),
  tests: z.int().min(1).max(1_000).optional(),
})

export const jointSchema = z.strictObject({
  connection: z.enum(CONNECTION_IDS),
  turns: z.int().min(1).max(60).optional(),
  loopM: z.number().positive().max(3).optional(),
  /** Bore of a crimp's sleeve, each barrel. */
  boreM: z.number().positive().max(0.02).optional(),
  /** Laid over the catalogue's figure for this joint alone. */
  own: ownFigure.optional(),
})

export type Joint = z.infer<typeof jointSchema>

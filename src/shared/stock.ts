import { z } from 'zod'
import { text } from '../core/documents/text.ts'

/** More of one thing than any box holds: pieces, or metres of a line. */
export const MAX_QUANTITY = 1_000_000
/** Quantities are kept to a millimetre, or a thousandth of a piece. */
const PER_UNIT = 1_000
const toThousandths = (quantity: number) => Math.round(quantity * PER_UNIT) / PER_UNIT

/** Pieces, or metres of a line. */
const quantity = z.number().min(-MAX_QUANTITY).max(MAX_QUANTITY).transform(toThousandths)
const level = z.number().min(0, 'must not be negative').max(MAX_QUANTITY).transform(toThousandths)
/** Which spool of a line; what is counted in pieces has one place only. */
const spool = z.int().min(1).max(1_000)
const place = { itemId: z.uuid(), spool }
const note = text(200).optional()

/** Why something came in or went out. `counted` corrects the level to a count; `undone` takes another movement back. */
export const STOCK_REASONS = ['bought', 'used', 'lost', 'counted', 'returned', 'undone'] as const
export type StockReason = (typeof STOCK_REASONS)[number]

/** What is in the box: pieces, or the metres on one spool. An item without a level was never counted. */
export const stockLevel = z.object({ ...place, quantity: z.number() })
export type StockLevel = z.infer<typeof stockLevel>
export const stockLevels = z.object({ levels: z.array(stockLevel) })

export const stockMovement = z.strictObject({
  id: z.uuid(),
  ...place,
  quantity: quantity.refine((each) => each !== 0, 'moves nothing'),
  reason: z.enum(['bought', 'used', 'lost', 'returned']),
  note,
})
export type NewMovement = z.infer<typeof stockMovement>

/** The most that one request may move or count. */
export const MAX_MOVEMENTS = 500
export const moveBody = z.strictObject({ movements: z.array(stockMovement).min(1).max(MAX_MOVEMENTS) })

/** A count, with the level that was shown when it was made; `null` where the item was not counted before. */
export const stockCount = z.strictObject({ id: z.uuid(), ...place, counted: level, seen: level.nullable() })
export type StockCount = z.infer<typeof stockCount>
export const countBody = z.strictObject({ counts: z.array(stockCount).min(1).max(MAX_MOVEMENTS) })

export const undoBody = z.strictObject({ id: z.uuid(), undoes: z.uuid() })

/** A movement as it is read back, the latest first. */
export const recordedMovement = z.object({
  id: z.uuid(),
  ...place,
  quantity: z.number(),
  reason: z.enum(STOCK_REASONS),
  undoes: z.uuid().nullable(),
  batchId: z.uuid().nullable(),
  note: z.string().nullable(),
  observer: z.string(),
  recordedAt: z.iso.datetime(),
})
export type RecordedMovement = z.infer<typeof recordedMovement>
export const itemHistory = z.object({ movements: z.array(recordedMovement) })
/** The latest of an item’s movements that are listed. */
export const MAX_HISTORY = 200

/** What a refusal for want of stock says beside the error: what is left where too much was asked for. */
export const shortOf = z.object({ short: z.array(z.object({ ...place, left: z.number() })) })

import { z } from 'zod'
import { MAX_BATCH } from '../core/documents/batch.ts'
import { text } from '../core/documents/text.ts'
import { MAX_MOVEMENTS, stockMovement } from './stock.ts'

/** A cut or a step of a batch, done so often. */
const part = text(120).min(1)
const MAX_OF_PART = 100_000

/** One change of what is done of a part; it never leaves 0 to `of`. The client names it, so that one sent twice counts once. */
export const batchTick = z.strictObject({
  id: z.uuid(),
  part,
  change: z.int().min(-MAX_OF_PART).max(MAX_OF_PART),
  of: z.int().min(1).max(MAX_OF_PART),
})
export type BatchTick = z.infer<typeof batchTick>
export const MAX_TICKS = 200
export const tickBody = z.strictObject({ ticks: z.array(batchTick).min(1).max(MAX_TICKS) })

/** Traces that are finished: what they used of the box, and the tied traces they are. All of it happens, or nothing. */
export const finishBody = z.strictObject({
  id: z.uuid(),
  movements: z.array(stockMovement.omit({ reason: true, note: true })).max(MAX_MOVEMENTS),
  tied: z
    .array(z.strictObject({ id: z.uuid(), content: z.unknown() }))
    .min(1)
    .max(MAX_BATCH),
})
export type FinishBody = z.infer<typeof finishBody>
export const undoFinishBody = z.strictObject({ id: z.uuid(), undoes: z.uuid() })

const finish = z.object({ id: z.uuid(), tied: z.array(z.uuid()), observer: z.string(), recordedAt: z.iso.datetime() })

/** What is done of a batch: how often each part, and which traces were finished together and not undone. */
export const batchProgress = z.object({ parts: z.record(z.string(), z.int()), finishes: z.array(finish) })
export type BatchProgress = z.infer<typeof batchProgress>

import { z } from 'zod'
import { documentName, notes, revisionNumber } from './fields.ts'
import { BATCH_VERSION } from './versions.ts'
import { MAX_PIECES } from './vocabulary.ts'

/** More traces than anyone ties in one go; `stock.batch` knows no more. */
export const MAX_BATCH = 200

/** Several traces of one design at one revision, to be tied together. What is done of it are ticks, kept apart. */
export const batchSchema = z.strictObject({
  formatVersion: z.literal(BATCH_VERSION),
  name: documentName,
  traceId: z.uuid(),
  traceRevision: revisionNumber,
  count: z.int().min(1).max(MAX_BATCH),
  /** The day they are to be ready for. */
  forDate: z.iso.date().optional(),
  notes: notes.optional(),
  /** The gear that a line or part is made from where it is not the same thing, by its first piece; `null`: nothing of the box. */
  choices: z
    .array(z.strictObject({ piece: z.string().max(40), itemId: z.uuid().nullable() }))
    .max(MAX_PIECES)
    .optional(),
})

export type Batch = z.infer<typeof batchSchema>

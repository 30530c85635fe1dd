import { z } from 'zod'

const count = z.int().min(0)

/** What taking in a backup does, or would do. */
export const restoreReport = z.object({
  /** Whether it was done, or only looked at. */
  done: z.boolean(),
  /** Documents that were not there. */
  added: count,
  /** Documents that were there, with later revisions than the database had. */
  continued: count,
  /** Documents that were there just so, or further on. */
  kept: count,
  /** Documents that went two ways since the backup: left as they are here. */
  apart: z.array(z.object({ kind: z.string(), id: z.string(), name: z.string() })),
  revisions: count,
  observations: count,
  /** Movements of stock, and what was done of batches. */
  stock: count,
})
export type RestoreReport = z.infer<typeof restoreReport>

/** How much of the restore that is running is done; null where none is. */
export const restoreProgress = z.object({ share: z.number().min(0).max(1).nullable() })
export type RestoreProgress = z.infer<typeof restoreProgress>

/** The newest of the backups that are kept by themselves; absent where none is kept yet. */
export const keptBackups = z.object({ folder: z.string().optional(), newest: z.iso.datetime().optional(), count })

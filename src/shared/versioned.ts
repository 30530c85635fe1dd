import { z } from 'zod'
import { revisionNumber } from '../core/documents/fields.ts'

const envelope = {
  id: z.uuid(),
  revision: revisionNumber,
  savedAt: z.iso.datetime(),
  binnedAt: z.iso.datetime().nullable(),
}

/** A document with its current revision. The same envelope for every kind. */
export type Saved<T> = { id: string; revision: number; savedAt: string; binnedAt: string | null; content: T }

/** The envelope alone: whether the content can be read is asked of each document for itself, by `readContent`. */
export const savedRow = z.object({ ...envelope, content: z.unknown() })
export type SavedRow = Saved<unknown>

/** So many documents a page of a list has at most; fewer where they are long. */
export const ON_PAGE = 200
/** The most documents asked for by name at once. */
export const MAX_BY_NAME = 100
/** Where a page ended: the place of its last document among all saves. The next page goes on after it. */
export const pageKey = z.string().regex(/^\d{1,18}$/)
/** A page of a list, the latest saved first; `next` is the key to ask for what comes after it. */
export const listPage = z.object({ documents: z.array(savedRow), next: pageKey.nullable() })
export type ListPage = z.infer<typeof listPage>

/** A new document; the client names it, so that a request sent twice makes one. */
export const createBody = z.strictObject({ id: z.uuid(), content: z.unknown() })

/** The most documents that are created at once. */
export const MAX_CREATED = 100
/** Several new documents of a kind: all or none. One that is there already is a request sent twice. */
export const createManyBody = z.strictObject({ documents: z.array(createBody).min(1).max(MAX_CREATED) })
export const createdMany = z.object({ created: z.int().min(0) })

/** A save says which revision it was made from; a stale one is refused with the current one. */
export const saveBody = z.strictObject({ baseRevision: revisionNumber, content: z.unknown() })

export const staleBody = z.object({ error: z.object({ code: z.literal('stale'), message: z.string() }), current: savedRow })

export const revisionList = z.array(z.object({ revision: revisionNumber, savedAt: z.iso.datetime() }))

/** How many documents were deleted for good. */
export const emptiedTrash = z.object({ deleted: z.int().min(0) })
export type EmptiedTrash = z.infer<typeof emptiedTrash>

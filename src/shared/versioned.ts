import { z } from 'zod'

/** A saved document with the revision it stands at. The same envelope for traces, outfits and gear. */
export const savedOf = <T extends z.ZodType>(content: T) =>
  z.object({
    id: z.uuid(),
    revision: z.int().positive(),
    savedAt: z.iso.datetime(),
    binnedAt: z.iso.datetime().nullable(),
    content,
  })

export type Saved<T> = { id: string; revision: number; savedAt: string; binnedAt: string | null; content: T }

/** A new document; the client names it, so that a request sent twice makes one. */
export const createBodyOf = <T extends z.ZodType>(content: T) => z.strictObject({ id: z.uuid(), content })

/** A save says which revision it was made from; a stale one is refused with the current one. */
export const saveBodyOf = <T extends z.ZodType>(content: T) => z.strictObject({ baseRevision: z.int().positive(), content })

export const staleBodyOf = <T extends z.ZodType>(content: T) =>
  z.object({ error: z.object({ code: z.literal('stale'), message: z.string() }), current: savedOf(content) })

export const revisionList = z.array(z.object({ revision: z.int().positive(), savedAt: z.iso.datetime() }))

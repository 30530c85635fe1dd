import type { z } from 'zod'
import { type Saved, savedOf, staleBodyOf } from '../../shared/versioned.ts'
import { ApiError, request } from './http.ts'

export type SaveResult<T> = { saved: Saved<T> } | { stale: Saved<T> }

/** Saves a document onto a revision; a stale save is a result with what is current, not an error. */
export async function saveOnto<T>(
  contract: z.ZodType<T>,
  path: string,
  baseRevision: number,
  content: T,
): Promise<SaveResult<T>> {
  try {
    return { saved: (await request(savedOf(contract), path, { method: 'PUT', body: { baseRevision, content } })) as Saved<T> }
  } catch (error) {
    const stale = error instanceof ApiError && error.code === 'stale' ? staleBodyOf(contract).safeParse(error.body) : undefined
    if (stale?.success) return { stale: stale.data.current as Saved<T> }
    throw error
  }
}

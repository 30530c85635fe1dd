import { CoreError } from '../../../../core/errors.ts'

export type Tried<T> = { ok: true; value: T } | { ok: false; message: string }

/** Something of the core, or in its own words why it has no answer. */
export function tried<T>(work: () => T): Tried<T> {
  try {
    return { ok: true, value: work() }
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message }
    throw error
  }
}

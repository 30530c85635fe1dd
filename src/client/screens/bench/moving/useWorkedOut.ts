import { type DependencyList, useMemo } from 'react'
import { CoreError } from '../../../../core/errors.ts'

export type WorkedOut<T> = { ok: true; value: T } | { ok: false; message: string }

/** Something of the core, worked out anew where what it rests on changes; what it cannot answer is told in its words. */
export function useWorkedOut<T>(work: () => T, on: DependencyList): WorkedOut<T> {
  // biome-ignore lint/correctness/useExhaustiveDependencies: the caller names what it rests on
  return useMemo(() => {
    try {
      return { ok: true, value: work() }
    } catch (error) {
      if (error instanceof CoreError) return { ok: false, message: error.message }
      throw error
    }
  }, on)
}

import { useCallback, useState } from 'react'
import type { z } from 'zod'
import { fromStorage } from './browserStorage.ts'
import { PREFIX } from './useKept.ts'

/** A value that this browser keeps as JSON; one that is missing or cannot be read starts from `usual`. */
export function useKeptJson<T>(name: string, schema: z.ZodType<T>, usual: T): [T, (value: T) => void] {
  const [value, setValue] = useState(() => {
    const text = fromStorage(() => localStorage.getItem(PREFIX + name))
    const read = schema.safeParse(typeof text === 'string' ? fromStorage(() => JSON.parse(text)) : undefined)
    return read.success ? read.data : usual
  })
  const keep = useCallback(
    (next: T) => {
      setValue(next)
      fromStorage(() => localStorage.setItem(PREFIX + name, JSON.stringify(next)))
    },
    [name],
  )
  return [value, keep]
}

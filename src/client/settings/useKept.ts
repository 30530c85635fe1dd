import { useCallback, useState } from 'react'
import { fromStorage } from './browserStorage.ts'

export const PREFIX = 'wide-reach.'

/** A yes or no that this browser keeps; one that keeps nothing starts from the usual. */
export function useKept(name: string, usual: boolean): [boolean, (value: boolean) => void] {
  const [value, setValue] = useState(() => (fromStorage(() => localStorage.getItem(PREFIX + name)) ?? String(usual)) === 'true')
  const keep = useCallback(
    (next: boolean) => {
      setValue(next)
      fromStorage(() => localStorage.setItem(PREFIX + name, String(next)))
    },
    [name],
  )
  return [value, keep]
}

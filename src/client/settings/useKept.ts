import { useCallback, useState } from 'react'

const PREFIX = 'wide-reach.'

/** A yes or no that this browser keeps; one that keeps nothing starts from the usual. */
export function useKept(name: string, usual: boolean): [boolean, (value: boolean) => void] {
  const [value, setValue] = useState(() => {
    try {
      return (localStorage.getItem(PREFIX + name) ?? String(usual)) === 'true'
    } catch {
      return usual
    }
  })
  const keep = useCallback(
    (next: boolean) => {
      setValue(next)
      try {
        localStorage.setItem(PREFIX + name, String(next))
      } catch {
        // It only forgets.
      }
    },
    [name],
  )
  return [value, keep]
}

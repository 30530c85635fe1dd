import { useState } from 'react'

const PREFIX = 'wide-reach.knots.'

/** A yes or no that this browser keeps; one that keeps nothing starts from the usual. */
export function useKept(name: string, usual: boolean): [boolean, (value: boolean) => void] {
  const [value, setValue] = useState(() => {
    try {
      return (localStorage.getItem(PREFIX + name) ?? String(usual)) === 'true'
    } catch {
      return usual
    }
  })
  const keep = (next: boolean) => {
    setValue(next)
    try {
      localStorage.setItem(PREFIX + name, String(next))
    } catch {
      // It only forgets.
    }
  }
  return [value, keep]
}

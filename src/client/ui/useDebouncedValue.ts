import { useEffect, useState } from 'react'

/** The latest value once it has rested for a while, before that what is `first`: for work too slow to do on every keystroke. */
export function useDebouncedValue<T, F>(value: T, restMs: number, first: F): T | F {
  const [settled, setSettled] = useState<T | F>(first)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), restMs)
    return () => clearTimeout(timer)
  }, [value, restMs])
  return settled
}

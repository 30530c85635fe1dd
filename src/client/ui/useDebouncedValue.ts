import { useEffect, useState } from 'react'

/** The latest value once it has rested for a while: for work too slow to do on every keystroke. */
export function useDebouncedValue<T>(value: T, restMs: number): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), restMs)
    return () => clearTimeout(timer)
  }, [value, restMs])
  return settled
}

import { useCallback, useLayoutEffect, useRef } from 'react'

/** A handler that stays the same function while what it does follows the latest render, so that a drawing handed it can rest. */
export function useStableCallback<A extends unknown[], R>(handler: (...args: A) => R): (...args: A) => R {
  const latest = useRef(handler)
  useLayoutEffect(() => {
    latest.current = handler
  })
  return useCallback((...args: A) => latest.current(...args), [])
}

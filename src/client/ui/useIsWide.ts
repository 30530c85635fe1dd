import { useCallback, useSyncExternalStore } from 'react'

/** The same bounds as the styles' `md` and `xl`. */
const BOUNDS = { md: matchMedia('(min-width: 48rem)'), xl: matchMedia('(min-width: 80rem)') }

/** Whether there is room to work at a table, or for two columns; below it a screen shows what is read standing. */
export function useIsWide(bound: keyof typeof BOUNDS = 'md'): boolean {
  const list = BOUNDS[bound]
  const subscribe = useCallback(
    (onChange: () => void) => {
      list.addEventListener('change', onChange)
      return () => list.removeEventListener('change', onChange)
    },
    [list],
  )
  return useSyncExternalStore(subscribe, () => list.matches)
}

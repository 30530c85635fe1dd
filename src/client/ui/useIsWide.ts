import { useCallback, useSyncExternalStore } from 'react'

/** The same bounds as the styles' `md` and `xl`. */
const BOUNDS = { md: '(min-width: 48rem)', xl: '(min-width: 80rem)' }

/** Whether there is room to work at a table, or for two columns; below it a screen shows what is read standing. */
export function useIsWide(bound: keyof typeof BOUNDS = 'md'): boolean {
  const query = BOUNDS[bound]
  const subscribe = useCallback(
    (onChange: () => void) => {
      const list = matchMedia(query)
      list.addEventListener('change', onChange)
      return () => list.removeEventListener('change', onChange)
    },
    [query],
  )
  return useSyncExternalStore(subscribe, () => matchMedia(query).matches)
}

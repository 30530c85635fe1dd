import { useSyncExternalStore } from 'react'

const WIDE = '(min-width: 48rem)'

function subscribe(onChange: () => void): () => void {
  const query = matchMedia(WIDE)
  query.addEventListener('change', onChange)
  return () => query.removeEventListener('change', onChange)
}

/** Whether there is room to work at a table; below it a screen shows what is read standing. The same bound as the styles' `md`. */
export function useIsWide(): boolean {
  return useSyncExternalStore(subscribe, () => matchMedia(WIDE).matches)
}

import { useCallback, useSyncExternalStore } from 'react'

const MEDIA = {
  /** Room to work at a table: the styles' `md`. Below it a screen shows what is read standing. */
  md: matchMedia('(min-width: 48rem)'),
  /** Room for two columns: the styles' `xl`. */
  xl: matchMedia('(min-width: 80rem)'),
  /** Used with a thumb, with a keypad on the screen. */
  touch: matchMedia('(pointer: coarse)'),
}

/** Whether the screen is so now. */
export function useMedia(name: keyof typeof MEDIA): boolean {
  const list = MEDIA[name]
  const subscribe = useCallback(
    (onChange: () => void) => {
      list.addEventListener('change', onChange)
      return () => list.removeEventListener('change', onChange)
    },
    [list],
  )
  return useSyncExternalStore(subscribe, () => list.matches)
}

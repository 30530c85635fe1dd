import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'

/**
 * Puts the keyboard, and with it what is read aloud, on the heading of a page that was gone to. Not on the first page, which the
 * browser reads itself, and not where the keyboard is on something of the new page already.
 */
export function useRouteFocus(): void {
  const { pathname } = useLocation()
  const done = useRef(pathname)
  useEffect(() => {
    const main = document.getElementById('main')
    if (!main || done.current === pathname) return
    const isDone = () => {
      const isElsewhere = document.activeElement !== main && main.contains(document.activeElement)
      const heading = main.querySelector('h1')
      if (!isElsewhere && !heading) return false
      if (!isElsewhere && heading) {
        heading.tabIndex = -1
        heading.focus({ preventScroll: true })
      }
      done.current = pathname
      return true
    }
    if (isDone()) return
    // The screen, or what it shows, is still loading.
    const watch = new MutationObserver(() => {
      if (isDone()) watch.disconnect()
    })
    watch.observe(main, { childList: true, subtree: true })
    return () => watch.disconnect()
  }, [pathname])
}

import { useCallback, useState } from 'react'

/** The width of an element as it is laid out, px; 0 until it is known. It may come and go. */
export function useWidth<T extends HTMLElement>() {
  const [width, setWidth] = useState(0)
  const ref = useCallback((element: T | null) => {
    if (!element) return
    const measure = () => setWidth(Math.floor(element.clientWidth))
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, width }
}

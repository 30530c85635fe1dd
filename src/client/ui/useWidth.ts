import { useLayoutEffect, useRef, useState } from 'react'

/** The width of an element in px, kept current; 0 until it was measured. */
export function useWidth<E extends HTMLElement>() {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const measure = () => setWidth(Math.floor(element.clientWidth))
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, width }
}

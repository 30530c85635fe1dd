import { useRef, useState } from 'react'

/** For a form that must not act on a value that is not shown: a field that does not read stops it, is focused, and is said to be. */
export function useNoFaults<T extends HTMLElement>() {
  const ref = useRef<T>(null)
  const [complaint, setComplaint] = useState<string>()
  const whenSound = (act: () => void) => {
    const faulty = ref.current?.querySelector<HTMLElement>('[aria-invalid=true]')
    if (faulty) {
      faulty.focus()
      return setComplaint('Something marked does not read: put it right first.')
    }
    setComplaint(undefined)
    act()
  }
  return { ref, complaint, whenSound }
}

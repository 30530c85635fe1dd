import { type RefObject, useRef, useState } from 'react'

/** A form that acts on nothing which is not shown. */
type NoFaults<T> = {
  ref: RefObject<T | null>
  complaint: string | undefined
  setFormError: (why?: string) => void
  submitIfValid: (act: () => void) => void
}

/** A field that does not read stops the act, is focused, and is said to be. */
export function useNoFaults<T extends HTMLElement>(): NoFaults<T> {
  const ref = useRef<T>(null)
  const [complaint, setFormError] = useState<string>()
  const submitIfValid = (act: () => void) => {
    const faulty = ref.current?.querySelector<HTMLElement>('[aria-invalid=true]')
    faulty?.focus()
    setFormError(faulty ? 'A marked field is not valid. Correct it first. Nothing was saved.' : undefined)
    if (!faulty) act()
  }
  return { ref, complaint, setFormError, submitIfValid }
}

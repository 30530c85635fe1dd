import { useRef } from 'react'
import { newId } from './newId.ts'

/** Gives each object one id and remembers it, so that a retry after a failure does not create a duplicate. */
export function useStableIds<Thing extends object>(): (thing: Thing) => string {
  const ids = useRef(new Map<Thing, string>())
  return (thing) => {
    const id = ids.current.get(thing) ?? newId()
    ids.current.set(thing, id)
    return id
  }
}

import { useRef } from 'react'
import { newId } from './newId.ts'

/** An id for each thing that is to be stored, the same whenever it is asked: stored again after a failure, it is not stored twice. */
export function useStableIds<Thing extends object>(): (thing: Thing) => string {
  const ids = useRef(new Map<Thing, string>())
  return (thing) => {
    const id = ids.current.get(thing) ?? newId()
    ids.current.set(thing, id)
    return id
  }
}

import { OWN_DESIGN } from './families/families.ts'
import { FORMAT_VERSION, type Trace } from './schema.ts'

/** A trace to be drawn from nothing: the outfit's line with its free end. */
export function emptyTrace(name: string): Trace {
  return { formatVersion: FORMAT_VERSION, name, family: OWN_DESIGN, pieces: [] }
}

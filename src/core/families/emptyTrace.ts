import { OWN_DESIGN } from '../catalogue/familyIds.ts'
import type { Trace } from '../documents/trace.ts'
import { TRACE_VERSION } from '../documents/versions.ts'

/** A trace to be drawn from nothing: the outfit's line with its free end. */
export function emptyTrace(name: string): Trace {
  return { formatVersion: TRACE_VERSION, name, family: OWN_DESIGN, pieces: [] }
}

import { type Fishes, familyFishes, OWN_DESIGN } from '../catalogue/familyIds.ts'
import type { Trace } from '../documents/trace.ts'

/** How the end of a trace is meant to fish: as it says, else as its family does; a design of one’s own by its parts. */
export function fishesOf(trace: Trace): Fishes {
  if (trace.fishes) return trace.fishes
  if (trace.family !== OWN_DESIGN) return familyFishes(trace.family)
  const has = (role: Trace['pieces'][number]['role']) => trace.pieces.some((piece) => piece.role === role)
  if (has('float')) return 'hangs'
  if (has('sinker')) return 'holds'
  return has('lure') ? 'worked' : 'swims'
}

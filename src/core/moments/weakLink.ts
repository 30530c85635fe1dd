import { jointId, type Trace } from '../trace/schema.ts'
import type { EndPath } from './workings.ts'

/** The weak link's line and its own connections, where it lies on this path. */
export function weakLinkIds(trace: Trace, { links }: EndPath): Set<string> | undefined {
  const id = trace.weakLink
  if (id === undefined || !links.some((link) => link.id === id)) return undefined
  const below = trace.pieces.filter((piece) => piece.attach.how === 'joined' && piece.attach.to === id)
  return new Set([id, jointId(id), ...below.map((piece) => jointId(piece.id))])
}

import { jointRef, linkKey } from '../documents/linkRef.ts'
import { hungFrom } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import type { EndPath } from '../setup/prepareSetup.ts'

/** The keys of the weak link's line and its own connections, where it lies on this path. */
export function weakLinkKeys(trace: Trace, { links }: Pick<EndPath, 'links'>): Set<string> | undefined {
  const id = trace.weakLink
  if (id === undefined || !links.some((link) => link.id === id)) return undefined
  const below = hungFrom(trace, id).filter(({ attach }) => attach.how === 'joined')
  return new Set([id, linkKey(jointRef(id)), ...below.map((piece) => linkKey(jointRef(piece.id)))])
}

import { fitIssues } from '../fitsOutfit.ts'
import type { Outfit } from '../outfit.ts'
import { parseTrace } from '../parseTrace.ts'
import { OUTFIT, pieceOfLink, type Trace } from '../schema.ts'
import { reseat } from './reseat.ts'

/** A trace drawn anew, and the piece to look at next; or why it cannot be. */
export type Redrawn = { ok: true; trace: Trace; chosen: string } | { ok: false; why: string }

export const refused = (why: string): Redrawn => ({ ok: false, why })

/** Sets the stops right, drops what refers to parts that are gone, and lets only a sound trace through. */
export function checked(trace: Trace, outfit: Outfit, chosen: string): Redrawn {
  const seated = withoutDangling(reseat(trace))
  const parsed = parseTrace(seated)
  if (!parsed.ok) return refused(parsed.issues[0]!.message)
  const [misfit] = fitIssues(seated, outfit)
  return misfit ? refused(misfit.message) : { ok: true, trace: seated, chosen }
}

/** Weak link, fuse and release clips go with the parts they name. */
function withoutDangling(trace: Trace): Trace {
  const { weakLink, fuse, releaseClips, ...rest } = trace
  const has = (id: string) => trace.pieces.some((piece) => piece.id === id)
  const clips = releaseClips?.filter(({ from, to }) => (from === OUTFIT || has(from)) && has(to)) ?? []
  return {
    ...rest,
    ...(weakLink !== undefined && has(weakLink) ? { weakLink } : {}),
    ...(fuse !== undefined && has(pieceOfLink(fuse)) ? { fuse } : {}),
    ...(clips.length > 0 ? { releaseClips: clips } : {}),
  }
}

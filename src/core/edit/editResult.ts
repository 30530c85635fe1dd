import { parentId, pieceById } from '../documents/pieces.ts'
import { type Trace, traceSchema } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import type { Rig } from '../setup/setup.ts'
import { soundnessIssues } from '../soundness/soundness.ts'
import { resolveStops } from './resolveStops.ts'
import { retie } from './retie.ts'

/** A sound trace, the piece to look at next, and what else came of it, in a sentence; or why it cannot be. */
export type EditResult = { ok: true; trace: Trace; chosen: string; said?: string } | { ok: false; why: string }

export const refused = (why: string): EditResult => ({ ok: false, why })

/**
 * Sets the stops right, drops what refers to parts that are gone, ties anew what can no longer be tied as it was, and lets only a sound
 * trace through that fits the outfit.
 */
export function checked(rig: Rig, edited: Trace, chosen: string): EditResult {
  const withResolvedStops = withoutDangling(resolveStops(edited))
  const shape = traceSchema.safeParse(withResolvedStops)
  if (!shape.success) return refused(shape.error.issues[0]?.message ?? 'this is not a trace')
  const tied = hangs(withResolvedStops) ? retie(rig, withResolvedStops) : { trace: withResolvedStops, said: [] }
  if ('why' in tied) return refused(tied.why)
  const { trace, said } = tied
  const [fault] = [...soundnessIssues(trace, rig.catalogue), ...fitIssues({ ...rig, trace })]
  if (fault) return refused(fault.message)
  return { ok: true, trace, chosen, ...(said.length > 0 ? { said: `Re-tied: ${said.join('; ')}` } : {}) }
}

/** Whether every piece hangs from one that is there. */
const hangs = (trace: Trace) =>
  trace.pieces.every(({ attach }) => parentId(attach) === OUTFIT || pieceById(trace, parentId(attach)) !== undefined)

/** Weak link, fuse and release clips go with the parts they name. */
function withoutDangling(trace: Trace): Trace {
  const { weakLink, fuse, releaseClips, ...rest } = trace
  const has = (id: string) => pieceById(trace, id) !== undefined
  const clips = releaseClips?.filter(({ from, to }) => (from === OUTFIT || has(from)) && has(to)) ?? []
  return {
    ...rest,
    ...(weakLink !== undefined && has(weakLink) ? { weakLink } : {}),
    ...(fuse !== undefined && has(fuse.id) ? { fuse } : {}),
    ...(clips.length > 0 ? { releaseClips: clips } : {}),
  }
}

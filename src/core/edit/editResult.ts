import { pieceById } from '../documents/pieces.ts'
import { type Trace, traceSchema } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { fitIssues } from '../setup/fitIssues.ts'
import type { Rig } from '../setup/setup.ts'
import { soundnessIssues } from '../setup/soundness.ts'
import { reseat } from './reseat.ts'

/** A sound trace, and the piece to look at next; or why it cannot be. */
export type EditResult = { ok: true; trace: Trace; chosen: string } | { ok: false; why: string }

export const refused = (why: string): EditResult => ({ ok: false, why })

/** Sets the stops right, drops what refers to parts that are gone, and lets only a sound trace through that fits the outfit. */
export function checked(rig: Rig, edited: Trace, chosen: string): EditResult {
  const trace = withoutDangling(reseat(edited))
  const shape = traceSchema.safeParse(trace)
  if (!shape.success) return refused(shape.error.issues[0]?.message ?? 'that is not a trace')
  const [fault] = [...soundnessIssues(trace, rig.catalogue), ...fitIssues({ ...rig, trace })]
  return fault ? refused(fault.message) : { ok: true, trace, chosen }
}

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

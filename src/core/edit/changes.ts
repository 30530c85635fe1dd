import type { Joint } from '../documents/fields.ts'
import { lineById, parentId, pieceNamed } from '../documents/pieces.ts'
import type { Attach, Piece, ReleaseClip, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'

/** Strength of a release clip where none is given, N. Nominal. */
const CLIP_N = 250

/** The trace with one piece changed. */
export function withPiece(trace: Trace, id: string, change: (piece: Piece) => Piece): Trace {
  return { ...trace, pieces: trace.pieces.map((piece) => (piece.id === id ? change(piece) : piece)) }
}

type KeyOf<P> = P extends unknown ? keyof P : never
type ValueOf<P, Key> = P extends unknown ? (Key extends keyof P ? P[Key] : never) : never
/** Fields of pieces, whatever the role that has them. */
type PieceFields = { [Key in KeyOf<Piece>]?: ValueOf<Piece, Key> | undefined }

/** The trace with some fields of one piece set; they must be fields of its role. */
export const withFields = (trace: Trace, id: string, fields: PieceFields): Trace =>
  withPiece(trace, id, (piece) => ({ ...piece, ...fields }) as Piece)

/** The trace with one piece hung elsewhere or otherwise. */
export function reattached(trace: Trace, id: string, attach: Attach): Trace {
  return withFields(trace, id, { attach })
}

/** The trace with the joint of one piece changed; a piece that hangs by no joint stays as it is. */
export function withJoint(trace: Trace, id: string, change: (joint: Joint) => Joint): Trace {
  return withPiece(trace, id, (piece) => {
    const { attach } = piece
    if (attach.how !== 'joined' && attach.how !== 'fixed') return piece
    return { ...piece, attach: { ...attach, joint: change(attach.joint) } }
  })
}

/** The trace with a line's finished length changed; what sits part-way along it keeps its share of the length. */
export function withLength(trace: Trace, id: string, lengthM: number): Trace {
  const line = lineById(trace, id)
  if (!line) return trace
  const ratio = lengthM / line.lengthM
  return {
    ...trace,
    pieces: trace.pieces.map((piece): Piece => {
      if (piece.id === id) {
        const attach = line.attach.how === 'through' ? { ...line.attach, atM: line.attach.atM * ratio } : line.attach
        return { ...line, lengthM, attach }
      }
      const { attach } = piece
      if (attach.how === 'joined' || attach.how === 'through' || attach.on !== id) return piece
      return { ...piece, attach: { ...attach, atM: Math.min(lengthM, attach.atM * ratio) } }
    }),
  }
}

/** The clip that carries a sinker through the cast from the part its line hangs from, if the trace has it. */
export function clipFor(trace: Trace, sinkerId: string): ReleaseClip | undefined {
  return trace.releaseClips?.find(({ to }) => to === sinkerId)
}

/** The trace with a release clip that bridges the line above a sinker during the cast. */
export function withClip(trace: Trace, sinkerId: string, strengthN = CLIP_N): Trace {
  const bare = withoutClip(trace, sinkerId)
  const clip = { id: freeId(trace, 'release-clip'), from: aboveLine(trace, sinkerId), to: sinkerId, strengthN }
  return { ...bare, releaseClips: [...(bare.releaseClips ?? []), clip] }
}

export function withoutClip(trace: Trace, sinkerId: string): Trace {
  const { releaseClips, ...rest } = trace
  const others = (releaseClips ?? []).filter(({ to }) => to !== sinkerId)
  return others.length > 0 ? { ...rest, releaseClips: others } : rest
}

/** The part that the line above a piece hangs from. */
function aboveLine(trace: Trace, id: string): string {
  const above = (at: string) => parentId(pieceNamed(trace, at).attach)
  let passedLine = false
  for (let at = above(id); at !== OUTFIT; at = above(at)) {
    const isALine = lineById(trace, at) !== undefined
    if (passedLine && !isALine) return at
    if (isALine) passedLine = true
  }
  return OUTFIT
}

export function freeId(trace: Trace, wanted: string): string {
  const taken = new Set([...trace.pieces, ...(trace.releaseClips ?? [])].map(({ id }) => id))
  let id = wanted
  for (let n = 2; taken.has(id); n += 1) id = `${wanted}-${n}`
  return id
}

/** The trace with another fuse, or with none chosen. */
export function withFuse(trace: Trace, fuse: Trace['fuse']): Trace {
  const { fuse: _old, ...rest } = trace
  return fuse ? { ...rest, fuse } : rest
}

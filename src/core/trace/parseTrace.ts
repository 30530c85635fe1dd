import { connectionOf } from '../gear/connections.ts'
import { HARDWARE, hardwareStrengthN } from '../gear/hardware.ts'
import { pathToPiece } from './paths.ts'
import { isLine, isTied, jointId, jointOf, OUTFIT, type Piece, parentId, type Trace, traceShape } from './schema.ts'

/** One fault of a document: where it is, and what is wrong. */
export type Issue = { path: (string | number)[]; message: string }
export type ParsedTrace = { ok: true; trace: Trace } | { ok: false; issues: Issue[] }

/** Reads an unknown value as a sound trace, or says every fault with the path to it. */
export function parseTrace(value: unknown): ParsedTrace {
  const shape = traceShape.safeParse(value)
  if (!shape.success)
    return { ok: false, issues: shape.error.issues.map(({ path, message }) => ({ path: path.map(part), message })) }
  const issues = soundnessIssues(shape.data)
  return issues.length === 0 ? { ok: true, trace: shape.data } : { ok: false, issues }
}

const part = (key: PropertyKey) => (typeof key === 'number' ? key : String(key))

/** What must hold between the pieces of a trace, beyond each piece's own shape. */
export function soundnessIssues(trace: Trace): Issue[] {
  const byId = new Map<string, Piece>()
  const issues: Issue[] = []
  for (const [i, piece] of trace.pieces.entries()) {
    if (byId.has(piece.id)) issues.push({ path: ['pieces', i, 'id'], message: `“${piece.id}” is used twice` })
    byId.set(piece.id, piece)
  }
  for (const [i, piece] of trace.pieces.entries()) issues.push(...pieceIssues(piece, i, byId))
  if (issues.length > 0) return issues
  for (const [i, piece] of trace.pieces.entries())
    if (hangsFromItself(piece.id, byId))
      issues.push({ path: ['pieces', i, 'attach'], message: `“${piece.id}” hangs from itself` })
  if (issues.length > 0) return issues
  return [...bearingIssues(trace, byId), ...traceIssues(trace, byId)]
}

function pieceIssues(piece: Piece, index: number, byId: Map<string, Piece>): Issue[] {
  const issues: Issue[] = []
  const { attach } = piece
  const say = (message: string, ...path: string[]) => issues.push({ path: ['pieces', index, ...path], message })

  for (const [field, id] of references(piece))
    if (id !== OUTFIT && !byId.has(id)) say(`there is no piece “${id}”`, 'attach', field)
  if (issues.length > 0) return issues

  if (attach.how === 'through' && !isLine(piece)) say('only a line runs through a carrier', 'attach', 'how')
  if (attach.how === 'through' && isLine(piece) && attach.atM > piece.lengthM) say('is past the line’s end', 'attach', 'atM')
  if (attach.how === 'fixed' || attach.how === 'sliding') {
    const line = byId.get(attach.on)
    if (attach.on !== OUTFIT && !isLine(line)) say(`“${attach.on}” is not a line`, 'attach', 'on')
    else if (isLine(line) && attach.atM > line.lengthM) say('is past the line’s end', 'attach', 'atM')
  }
  if (attach.how === 'joined' && attach.end === 'near' && byId.get(attach.to)?.attach.how !== 'through')
    say('only a line that runs through a carrier has a free near end', 'attach', 'end')
  if (piece.role === 'hardware' && piece.strengthN === undefined && HARDWARE[piece.type].sizes.length > 0)
    if (piece.size === undefined || hardwareStrengthN(piece.type, piece.size) === undefined)
      say(`needs a size of ${HARDWARE[piece.type].name}, or its strength`, 'size')
  issues.push(
    ...jointIssues(piece, byId).map((message) => ({ path: ['pieces', index, 'attach', 'joint', 'connection'], message })),
  )
  return issues
}

function references({ attach }: Piece): [string, string][] {
  if (attach.how === 'joined') return [['to', attach.to]]
  if (attach.how === 'fixed') return [['on', attach.on]]
  if (attach.how === 'through')
    return [
      ['carrier', attach.carrier],
      ['stops', attach.stops.near],
      ['stops', attach.stops.far],
    ]
  const stops = [attach.stops.above, attach.stops.below].filter((id) => id !== undefined)
  return [['on', attach.on], ...stops.map((id): [string, string] => ['stops', id])]
}

/** A joint needs a line beside it, and a connection that is tied in that line. */
function jointIssues(piece: Piece, byId: Map<string, Piece>): string[] {
  const joint = jointOf(piece)
  if (!joint) return []
  const connection = connectionOf(joint.connection)
  const parent = byId.get(parentId(piece.attach))
  const above = isLine(parent) ? parent : undefined
  const below = piece.attach.how === 'joined' && isLine(piece) ? piece : undefined
  const touchesOutfit = parentId(piece.attach) === OUTFIT
  if (touchesOutfit && piece.attach.how === 'fixed' && connection.joins !== 'fixture')
    return ['a knot in the outfit’s own line is the outfit’s: tie it in other line, or in the leader']
  if (connection.joins === 'fixture') {
    const tied = piece.attach.how === 'joined' && joint.connection === 'fitted' && (above || below || touchesOutfit)
    return tied ? [`a line is tied, not fitted: name a knot for “${piece.id}”`] : []
  }
  if (!above && !below && !touchesOutfit) return [`${connection.name} has no line on either side`]
  if (joint.efficiency !== undefined) return []
  return [above, below].flatMap((line) =>
    line && connection.efficiency[line.material] === undefined ? [`${connection.name} is not tied in ${line.material}`] : [],
  )
}

/** Follows what a path follows: the piece hung from, and a slider's lower stop. */
function hangsFromItself(id: string, byId: Map<string, Piece>, seen: readonly string[] = []): boolean {
  if (seen.includes(id)) return true
  const attach = byId.get(id)?.attach
  if (!attach) return false
  const next = [parentId(attach), ...(attach.how === 'sliding' && attach.stops.below ? [attach.stops.below] : [])]
  return next.some((parent) => parent !== OUTFIT && hangsFromItself(parent, byId, [...seen, id]))
}

/** Whatever bears a hook, lure or sinker and slides needs a stop to bear on, and a pulley's stops sit on its line. */
function bearingIssues(trace: Trace, byId: Map<string, Piece>): Issue[] {
  return trace.pieces.flatMap((piece, i): Issue[] => {
    const { attach } = piece
    if (attach.how === 'sliding' && carriesEnd(piece, trace) && !bears(piece, byId))
      return [{ path: ['pieces', i, 'attach', 'stops'], message: `“${piece.id}” slides with nothing below to bear on` }]
    if (attach.how !== 'through') return []
    return [attach.stops.near, attach.stops.far]
      .filter((id) => parentId(byId.get(id)!.attach) !== piece.id)
      .map((id) => ({ path: ['pieces', i, 'attach', 'stops'], message: `“${id}” is not on “${piece.id}”` }))
  })
}

/** Follows what a slider bears on, down to something that is fast on the line. */
function bears({ attach }: Piece, byId: Map<string, Piece>): boolean {
  if (attach.how !== 'sliding') return true
  const below = attach.stops.below === undefined ? undefined : byId.get(attach.stops.below)
  return below !== undefined && bears(below, byId)
}

export function carriesEnd(piece: Piece, trace: Trace): boolean {
  if (piece.role === 'hook' || piece.role === 'lure' || piece.role === 'sinker') return true
  return trace.pieces.some((other) => parentId(other.attach) === piece.id && carriesEnd(other, trace))
}

function traceIssues(trace: Trace, byId: Map<string, Piece>): Issue[] {
  const issues: Issue[] = []
  if (trace.weakLink !== undefined && !isLine(byId.get(trace.weakLink)))
    issues.push({ path: ['weakLink'], message: `“${trace.weakLink}” is not a line of this trace` })
  const links = new Set(trace.pieces.flatMap((piece) => [piece.id, ...(isTied(jointOf(piece)) ? [jointId(piece.id)] : [])]))
  if (trace.fuse !== undefined && !links.has(trace.fuse))
    issues.push({ path: ['fuse'], message: `“${trace.fuse}” is not a link of this trace` })
  for (const [i, clip] of (trace.releaseClips ?? []).entries()) {
    const missing = [clip.from, clip.to].find((id) => id !== OUTFIT && !byId.has(id))
    if (missing !== undefined) issues.push({ path: ['releaseClips', i], message: `there is no piece “${missing}”` })
    else if (clip.to === OUTFIT || (clip.from !== OUTFIT && !pathToPiece(trace, clip.to).some(({ id }) => id === clip.from)))
      issues.push({ path: ['releaseClips', i], message: `“${clip.to}” is not beyond “${clip.from}”` })
  }
  return issues
}

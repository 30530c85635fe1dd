import { type Catalogue, isTiedIn } from '../catalogue/catalogue.ts'
import { hardwareStrengthN } from '../catalogue/hardware.ts'
import type { Issue } from '../documents/issue.ts'
import { linkKey } from '../documents/linkRef.ts'
import { hungFrom, isHardware, isLine, isTied, jointOf, lineById, parentId, pieceById, pieceNamed } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { CoreError } from '../errors.ts'
import { pathToPiece } from './paths.ts'

/** What must hold between the pieces of a trace, beyond each piece's own shape. */
export function soundnessIssues(trace: Trace, catalogue: Catalogue): Issue[] {
  const issues: Issue[] = []
  for (const [i, piece] of trace.pieces.entries())
    if (trace.pieces.findIndex(({ id }) => id === piece.id) < i)
      issues.push({ path: ['pieces', i, 'id'], message: `“${piece.id}” is used twice` })
  for (const [i, piece] of trace.pieces.entries()) issues.push(...pieceIssues({ trace, catalogue }, piece, i))
  if (issues.length > 0) return issues
  const loose = hangingFromItself(trace)
  for (const [i, piece] of trace.pieces.entries())
    if (loose(piece.id)) issues.push({ path: ['pieces', i, 'attach'], message: `“${piece.id}” is tied to itself` })
  if (issues.length > 0) return issues
  return [...bearingIssues(trace), ...traceIssues(trace)]
}

type Looked = { trace: Trace; catalogue: Catalogue }

function pieceIssues({ trace, catalogue }: Looked, piece: Piece, index: number): Issue[] {
  const issues: Issue[] = []
  const { attach } = piece
  const say = (message: string, ...path: string[]) => issues.push({ path: ['pieces', index, ...path], message })

  for (const [field, id] of references(piece))
    if (id !== OUTFIT && !pieceById(trace, id)) say(`there is no piece “${id}”`, 'attach', field)
  if (issues.length > 0) return issues

  if (attach.how === 'through' && !isLine(piece)) say('only a line runs through a carrier', 'attach', 'how')
  if (attach.how === 'through' && isLine(piece) && attach.atM > piece.lengthM) say('is past the line’s end', 'attach', 'atM')
  if (attach.how === 'fixed' || attach.how === 'sliding') {
    const line = lineById(trace, attach.on)
    if (attach.on !== OUTFIT && !line) say(`“${attach.on}” is not a line`, 'attach', 'on')
    else if (line && attach.atM > line.lengthM) say('is past the line’s end', 'attach', 'atM')
  }
  if (attach.how === 'joined' && attach.end === 'near' && pieceById(trace, attach.to)?.attach.how !== 'through')
    say('only a line that runs through a carrier has a free near end', 'attach', 'end')
  if (piece.role === 'hardware' && piece.strengthN === undefined && catalogue.hardware[piece.type].sizes.length > 0)
    if (piece.size === undefined || hardwareStrengthN(catalogue, piece.type, piece.size) === undefined)
      say(`needs a size of ${catalogue.hardware[piece.type].name}, or its strength`, 'size')
  issues.push(
    ...jointIssues({ trace, catalogue }, piece).map((message) => ({
      path: ['pieces', index, 'attach', 'joint', 'connection'],
      message,
    })),
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
function jointIssues({ trace, catalogue }: Looked, piece: Piece): string[] {
  const joint = jointOf(piece)
  if (!joint) return []
  const { name } = catalogue.connections[joint.connection]
  const above = lineById(trace, parentId(piece.attach))
  const below = piece.attach.how === 'joined' && isLine(piece) ? piece : undefined
  const touchesOutfit = parentId(piece.attach) === OUTFIT
  if (touchesOutfit && piece.attach.how === 'fixed' && isTied(joint))
    return ['a stop knot on the main line is tied from other line']
  const tied: boolean = isTied(joint)
  if (!tied) {
    const onLine = piece.attach.how === 'joined' && joint.connection === 'fitted' && (above || below || touchesOutfit)
    return onLine ? [`a line needs a knot: name one for “${piece.id}”`] : []
  }
  const looped = [piece, pieceById(trace, parentId(piece.attach))].some((end) => isHardware(end, 'loop'))
  if (!above && !below && !touchesOutfit && !looped) return [`${name} has no line on either side`]
  return [above, below].flatMap((line) =>
    line && !isTiedIn(catalogue, joint, line.material) ? [`${name} cannot be tied in ${line.material}`] : [],
  )
}

/** Which pieces hang from themselves, by what a path follows: the piece hung from, and a slider's lower stop. Each is walked once. */
function hangingFromItself(trace: Trace): (id: string) => boolean {
  const known = new Map<string, 'walking' | 'sound' | 'loose'>()
  const walk = (id: string): boolean => {
    const state = known.get(id)
    if (state) return state !== 'sound'
    const attach = pieceById(trace, id)?.attach
    if (!attach) return false
    known.set(id, 'walking')
    const next = [parentId(attach), ...(attach.how === 'sliding' && attach.stops.below ? [attach.stops.below] : [])]
    const loose = next.some((parent) => parent !== OUTFIT && walk(parent))
    known.set(id, loose ? 'loose' : 'sound')
    return loose
  }
  return walk
}

/** Whatever carries a hook, lure or sinker and slides needs a stop to rest on, and a pulley's stops sit on its line. */
function bearingIssues(trace: Trace): Issue[] {
  return trace.pieces.flatMap((piece, i): Issue[] => {
    const { attach } = piece
    if (attach.how === 'sliding' && carriesEnd(piece, trace) && !rests(piece, trace))
      return [{ path: ['pieces', i, 'attach', 'stops'], message: `“${piece.id}” slides with no stop below it` }]
    if (attach.how !== 'through') return []
    return [attach.stops.near, attach.stops.far]
      .filter((id) => parentId(pieceNamed(trace, id).attach) !== piece.id)
      .map((id) => ({ path: ['pieces', i, 'attach', 'stops'], message: `“${id}” is not on “${piece.id}”` }))
  })
}

/** Follows what a slider rests on, down to something that is fast on the line. */
function rests({ attach }: Piece, trace: Trace): boolean {
  if (attach.how !== 'sliding') return true
  const below = attach.stops.below === undefined ? undefined : pieceById(trace, attach.stops.below)
  return below !== undefined && rests(below, trace)
}

export function carriesEnd(piece: Piece, trace: Trace): boolean {
  if (piece.role === 'hook' || piece.role === 'lure' || piece.role === 'sinker' || piece.role === 'bait') return true
  return hungFrom(trace, piece.id).some((other) => carriesEnd(other, trace))
}

function traceIssues(trace: Trace): Issue[] {
  const issues: Issue[] = []
  if (trace.weakLink !== undefined && !lineById(trace, trace.weakLink))
    issues.push({ path: ['weakLink'], message: `“${trace.weakLink}” is not a line of this trace` })
  const fuse = trace.fuse && pieceById(trace, trace.fuse.id)
  if (trace.fuse && (!fuse || (trace.fuse.at === 'joint' && !isTied(jointOf(fuse)))))
    issues.push({ path: ['fuse'], message: `“${linkKey(trace.fuse)}” is not a link of this trace` })
  for (const [i, clip] of (trace.releaseClips ?? []).entries()) {
    const missing = [clip.from, clip.to].find((id) => id !== OUTFIT && !pieceById(trace, id))
    if (missing !== undefined) issues.push({ path: ['releaseClips', i], message: `there is no piece “${missing}”` })
    else if (clip.to === OUTFIT || (clip.from !== OUTFIT && !isBeyond(trace, clip.to, clip.from)))
      issues.push({ path: ['releaseClips', i], message: `“${clip.to}” is not beyond “${clip.from}”` })
  }
  return issues
}

/** Whether the way to a piece leads over another; where something on it slides with nothing to bear on there is no way. */
function isBeyond(trace: Trace, to: string, from: string): boolean {
  try {
    return pathToPiece(trace, to).some(({ id }) => id === from)
  } catch (error) {
    if (error instanceof CoreError && error.code === 'no-path') return false
    throw error
  }
}

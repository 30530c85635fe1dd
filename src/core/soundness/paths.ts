import type { Joint } from '../documents/fields.ts'
import { jointRef, type LinkRef, linkKey, pieceRef } from '../documents/linkRef.ts'
import { isLine, isTied, jointOf, lineById, parentId, pieceNamed } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { CoreError } from '../errors.ts'

/**
 * One link on the way from the outfit's line to a piece. A line that is passed beyond a knot in it comes again with
 * `again` set: it is one line, in lengths that the knot lies between. `fromM` and `toM` are the places on the line that the
 * path enters and leaves that length at.
 */
export type PathElement =
  | { kind: 'line'; id: string; ref: LinkRef; line: LinePiece; again: boolean; fromM: number; toM: number }
  /** `ties`: the lines it is tied in, the outfit's among them. */
  | { kind: 'joint'; id: string; ref: LinkRef; joint: Joint; ties: readonly string[] }
  | { kind: 'part'; id: string; ref: LinkRef; piece: Exclude<Piece, LinePiece> }

/** Where on a line a path leaves it. */
type Point = { end: 'near' | 'far' } | { atM: number; leaving: string }

/** What a moment looks at: every hook, lure and sinker. */
export function endsOf(trace: Trace): Piece[] {
  return trace.pieces.filter(({ role }) => role === 'hook' || role === 'lure' || role === 'sinker')
}

/**
 * The links that carry a pull from the outfit's line to a piece, in order, the piece itself last.
 * A slider is reached through the stop it bears on; a line through a pulley, by the stop on the side that is not loaded.
 * @throws CoreError 'no-path' where a slider has no stop to bear on. The trace must be sound (`parseTrace`).
 */
export function pathToPiece(trace: Trace, id: string): PathElement[] {
  const finder = finders.get(trace) ?? new PathFinder(trace)
  finders.set(trace, finder)
  return finder.toPiece(id)
}

/** The lines of a path, each as long as the path goes along it. */
export const linesAlong = (path: readonly PathElement[]): { line: LinePiece; lengthM: number }[] =>
  path.flatMap((element) =>
    element.kind === 'line' ? [{ line: element.line, lengthM: Math.abs(element.toM - element.fromM) }] : [],
  )

/** Line along a path, m. */
export const lineAlongM = (path: readonly PathElement[]): number =>
  linesAlong(path).reduce((sum, { lengthM }) => sum + lengthM, 0)

/** The line of a path that lies so far up from its end, and where it stands on the path; undefined where the path is shorter. */
export function lineUp(path: readonly PathElement[], upM: number): { index: number; ref: LinkRef } | undefined {
  let m = 0
  for (const [index, element] of [...path.entries()].toReversed()) {
    if (element.kind !== 'line') continue
    m += Math.abs(element.toM - element.fromM)
    if (m >= upM) return { index, ref: element.ref }
  }
  return undefined
}

class PathFinder {
  private readonly trace: Trace
  /** Knots tied in a line part-way, by line, in order of place. */
  private readonly knots = new Map<string, { id: string; atM: number; element: PathElement }[]>()

  constructor(trace: Trace) {
    this.trace = trace
    for (const { id, attach } of trace.pieces) {
      if (attach.how !== 'fixed' || !isTied(attach.joint)) continue
      const row = this.knots.get(attach.on) ?? []
      const ref = jointRef(id)
      const element: PathElement = { kind: 'joint', id: linkKey(ref), ref, joint: attach.joint, ties: [attach.on] }
      row.push({ id, atM: attach.atM, element })
      this.knots.set(attach.on, row)
    }
    for (const row of this.knots.values()) row.sort((a, b) => a.atM - b.atM)
  }

  toPiece(id: string): PathElement[] {
    const piece = pieceNamed(this.trace, id)
    return isLine(piece)
      ? this.toPoint(id, { end: 'far' })
      : [...this.toJoint(piece), { kind: 'part', id, ref: pieceRef(id), piece }]
  }

  /** Everything above a piece, the joint it hangs by included. */
  private toJoint(piece: Piece): PathElement[] {
    const { attach, id } = piece
    if (attach.how === 'through') return this.toPiece(attach.carrier)
    if (attach.how === 'sliding') {
      if (attach.stops.below === undefined) throw new CoreError('no-path', `${id} slides with no stop below it`, { id })
      return this.toPiece(attach.stops.below)
    }
    const above =
      attach.how === 'joined'
        ? this.toAnchor(attach.to, attach.end ?? 'far')
        : this.toPoint(attach.on, { atM: attach.atM, leaving: id })
    return [...above, ...tied(piece, attach.joint)]
  }

  private toAnchor(id: string, end: 'near' | 'far'): PathElement[] {
    if (id === OUTFIT) return []
    return lineById(this.trace, id) ? this.toPoint(id, { end }) : this.toPiece(id)
  }

  private toPoint(id: string, point: Point): PathElement[] {
    const line = lineById(this.trace, id)
    if (!line) return []
    if (line.attach.how === 'through') return this.throughCarrier(line, point)
    const from = this.toJoint(line)
    return [...from, ...this.along(line, 0, atOf(line, point), leavingOf(point))]
  }

  /** The line runs until the stop on its other side bears on the carrier; the pull then goes through that stop. */
  private throughCarrier(line: LinePiece, point: Point): PathElement[] {
    if (line.attach.how !== 'through') return []
    const at = atOf(line, point)
    const stopId = at > line.attach.atM ? line.attach.stops.near : line.attach.stops.far
    const stop = pieceNamed(this.trace, stopId)
    const stopAt = placeOn(line, stop)
    const bears: PathElement[] = isLine(stop) ? [] : [{ kind: 'part', id: stopId, ref: pieceRef(stopId), piece: stop }]
    const joint = jointOf(stop)
    const carried = [...this.toPiece(line.attach.carrier), ...bears, ...(joint ? tied(stop, joint) : [])]
    // The end itself may be the stop's own load (the sinker's swivel is both): then the stop is all there is.
    return [...carried, ...this.along(line, stopAt, at, leavingOf(point), stopId)]
  }

  private along(line: LinePiece, fromM: number, toM: number, leaving?: string, start?: string): PathElement[] {
    const [low, high] = fromM <= toM ? [fromM, toM] : [toM, fromM]
    const between = (this.knots.get(line.id) ?? []).filter(
      (knot) => knot.atM >= low && knot.atM <= high && knot.id !== leaving && knot.id !== start,
    )
    const inOrder = fromM <= toM ? between : between.toReversed()
    const ref = pieceRef(line.id)
    const elements: PathElement[] = []
    let from = fromM
    for (const { atM, element } of inOrder) {
      elements.push({ kind: 'line', id: line.id, ref, line, again: elements.length > 0, fromM: from, toM: atM }, element)
      from = atM
    }
    elements.push({ kind: 'line', id: line.id, ref, line, again: inOrder.length > 0, fromM: from, toM })
    return elements
  }
}

function tied(piece: Piece, joint: Joint): PathElement[] {
  if (!isTied(joint)) return []
  const ref = jointRef(piece.id)
  return [{ kind: 'joint', id: linkKey(ref), ref, joint, ties: [parentId(piece.attach), piece.id] }]
}

const leavingOf = (point: Point) => ('leaving' in point ? point.leaving : undefined)

const atOf = (line: LinePiece, point: Point) => ('atM' in point ? point.atM : point.end === 'far' ? line.lengthM : 0)

function placeOn(line: LinePiece, piece: Piece): number {
  if (piece.attach.how === 'joined') return piece.attach.end === 'near' ? 0 : line.lengthM
  return piece.attach.atM
}

/** Documents are immutable, so a finder stays valid as long as its trace exists. */
const finders = new WeakMap<Trace, PathFinder>()

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
 * A slider is reached through the stop it rests on; a line through a pulley, by the stop on the side that is not loaded.
 * @throws CoreError 'no-path' where a slider has no stop to bear on. The trace must be sound (`parseTrace`).
 */
export function pathToPiece(trace: Trace, id: string): PathElement[] {
  const finder = finders.get(trace) ?? new PathFinder(trace)
  finders.set(trace, finder)
  return finder.toPiece(id)
}

/** How long a path goes along a link of it, m. */
export const alongM = (element: PathElement): number => (element.kind === 'line' ? Math.abs(element.toM - element.fromM) : 0)

/** The lines of a path in order, each as long as the path goes along it, knots that are tied in it or not. */
export function linesAlong(path: readonly PathElement[]): { line: LinePiece; lengthM: number }[] {
  const lines: { line: LinePiece; lengthM: number }[] = []
  for (const element of path) {
    if (element.kind !== 'line') continue
    const last = lines.at(-1)
    if (element.again && last?.line === element.line) last.lengthM += alongM(element)
    else lines.push({ line: element.line, lengthM: alongM(element) })
  }
  return lines
}

/** Line along a path, m. */
export function lineAlongM(path: readonly PathElement[]): number {
  let sumM = 0
  for (const element of path) sumM += alongM(element)
  return sumM
}

/** The line of a path that lies so far up from its end, and where it is on the path; undefined where the path is shorter. */
export function lineUp(path: readonly PathElement[], upM: number): { index: number; ref: LinkRef } | undefined {
  let m = 0
  for (let index = path.length - 1; index >= 0; index -= 1) {
    const element = path[index]!
    m += alongM(element)
    if (element.kind === 'line' && m >= upM) return { index, ref: element.ref }
  }
  return undefined
}

type KnotInLine = { id: string; atM: number; element: PathElement; above: PathElement }

class PathFinder {
  private readonly trace: Trace
  /** Knots tied in a line part-way, by line, in order of place, each with the length of line between it and the one before. */
  private readonly knots = new Map<string, KnotInLine[]>()

  constructor(trace: Trace) {
    this.trace = trace
    const tiedIn = trace.pieces.flatMap(({ id, attach }) => {
      if (attach.how !== 'fixed' || !isTied(attach.joint)) return []
      const ref = jointRef(id)
      const element: PathElement = { kind: 'joint', id: linkKey(ref), ref, joint: attach.joint, ties: [attach.on] }
      return [{ id, on: attach.on, atM: attach.atM, element }]
    })
    for (const { on, ...knot } of tiedIn.sort((a, b) => a.atM - b.atM)) {
      const line = lineById(trace, on)
      if (!line) continue
      const row = this.knots.get(on) ?? []
      row.push({ ...knot, above: lengthOf(line, row.at(-1)?.atM ?? 0, knot.atM, row.length > 0) })
      this.knots.set(on, row)
    }
  }

  toPiece(id: string): PathElement[] {
    const path: PathElement[] = []
    this.addPiece(path, id)
    return path
  }

  private addPiece(path: PathElement[], id: string): void {
    const piece = pieceNamed(this.trace, id)
    if (isLine(piece)) this.addPoint(path, id, { end: 'far' })
    else {
      this.addJoint(path, piece)
      path.push({ kind: 'part', id, ref: pieceRef(id), piece })
    }
  }

  /** Everything above a piece, the joint it hangs by included. */
  private addJoint(path: PathElement[], piece: Piece): void {
    const { attach, id } = piece
    if (attach.how === 'through') this.addPiece(path, attach.carrier)
    else if (attach.how === 'sliding') {
      if (attach.stops.below === undefined) throw new CoreError('no-path', `${id} slides with no stop below it`, { id })
      this.addPiece(path, attach.stops.below)
    } else {
      if (attach.how === 'joined') this.addAnchor(path, attach.to, attach.end ?? 'far')
      else this.addPoint(path, attach.on, { atM: attach.atM, leaving: id })
      addTied(path, piece, attach.joint)
    }
  }

  private addAnchor(path: PathElement[], id: string, end: 'near' | 'far'): void {
    if (id === OUTFIT) return
    if (lineById(this.trace, id)) this.addPoint(path, id, { end })
    else this.addPiece(path, id)
  }

  private addPoint(path: PathElement[], id: string, point: Point): void {
    const line = lineById(this.trace, id)
    if (!line) return
    if (line.attach.how === 'through') this.addThroughCarrier(path, line, line.attach, point)
    else {
      this.addJoint(path, line)
      this.addAlong(path, line, { fromM: 0, toM: atOf(line, point), leaving: leavingOf(point) })
    }
  }

  /** The line runs until the stop on its other side rests on the carrier; the pull then goes through that stop. */
  private addThroughCarrier(path: PathElement[], line: LinePiece, { atM, stops, carrier }: ThroughCarrier, point: Point): void {
    const toM = atOf(line, point)
    const start = toM > atM ? stops.near : stops.far
    const stop = pieceNamed(this.trace, start)
    const joint = jointOf(stop)
    this.addPiece(path, carrier)
    if (!isLine(stop)) path.push({ kind: 'part', id: start, ref: pieceRef(start), piece: stop })
    if (joint) addTied(path, stop, joint)
    // The end itself may be the stop's own load (the sinker's swivel is both): then the stop is all there is.
    this.addAlong(path, line, { fromM: placeOn(line, stop), toM, leaving: leavingOf(point), start })
  }

  private addAlong(path: PathElement[], line: LinePiece, { fromM, toM, leaving, start }: Stretch): void {
    const [low, high] = fromM <= toM ? [fromM, toM] : [toM, fromM]
    const all = this.knots.get(line.id) ?? []
    const between = all.filter(({ atM, id }) => atM >= low && atM <= high && id !== leaving && id !== start)
    let from = fromM
    for (const knot of fromM <= toM ? between : between.reverse()) {
      const again = knot !== between[0]
      // Paths down the line share its lengths.
      const shared = knot.above.kind === 'line' && knot.above.fromM === from && knot.above.again === again
      path.push(shared ? knot.above : lengthOf(line, from, knot.atM, again), knot.element)
      from = knot.atM
    }
    path.push(lengthOf(line, from, toM, between.length > 0))
  }
}

type ThroughCarrier = Extract<LinePiece['attach'], { how: 'through' }>
/** A way along a line: without the knot that it leaves the line by, nor the one that it began at. */
type Stretch = { fromM: number; toM: number; leaving?: string | undefined; start?: string | undefined }

const lengthOf = (line: LinePiece, fromM: number, toM: number, again: boolean): PathElement => ({
  kind: 'line',
  id: line.id,
  ref: pieceRef(line.id),
  line,
  again,
  fromM,
  toM,
})

function addTied(path: PathElement[], piece: Piece, joint: Joint): void {
  if (!isTied(joint)) return
  const ref = jointRef(piece.id)
  path.push({ kind: 'joint', id: linkKey(ref), ref, joint, ties: [parentId(piece.attach), piece.id] })
}

const leavingOf = (point: Point) => ('leaving' in point ? point.leaving : undefined)

const atOf = (line: LinePiece, point: Point) => ('atM' in point ? point.atM : point.end === 'far' ? line.lengthM : 0)

function placeOn(line: LinePiece, piece: Piece): number {
  if (piece.attach.how === 'joined') return piece.attach.end === 'near' ? 0 : line.lengthM
  return piece.attach.atM
}

/** Documents are immutable, so a finder stays valid as long as its trace exists. */
const finders = new WeakMap<Trace, PathFinder>()

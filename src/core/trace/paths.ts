import { CoreError } from '../errors.ts'
import { connectionOf } from '../gear/connections.ts'
import { isLine, type Joint, jointId, jointOf, type LinePiece, OUTFIT, type Piece, parentId, type Trace } from './schema.ts'

/**
 * One link on the way from the outfit's line to a piece. A line that is passed beyond a knot in it comes again with
 * `again` set: it is one line, in lengths that the knot lies between. `fromM` and `toM` are the places on the line that the
 * path enters and leaves that length at.
 */
export type PathElement =
  | { kind: 'line'; id: string; line: LinePiece; again: boolean; fromM: number; toM: number }
  /** `ties`: the lines it is tied in, the outfit's among them. */
  | { kind: 'joint'; id: string; joint: Joint; ties: readonly string[] }
  | { kind: 'part'; id: string; piece: Exclude<Piece, LinePiece> }

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
  return new PathFinder(trace).toPiece(id)
}

class PathFinder {
  private readonly byId: Map<string, Piece>
  /** Knots tied in a line part-way, by line, in order of place. */
  private readonly knots = new Map<string, { id: string; atM: number; joint: Joint }[]>()

  constructor(trace: Trace) {
    this.byId = new Map(trace.pieces.map((piece) => [piece.id, piece]))
    for (const { id, attach } of trace.pieces) {
      if (attach.how !== 'fixed' || connectionOf(attach.joint.connection).joins === 'fixture') continue
      const row = this.knots.get(attach.on) ?? []
      row.push({ id, atM: attach.atM, joint: attach.joint })
      this.knots.set(
        attach.on,
        row.sort((a, b) => a.atM - b.atM),
      )
    }
  }

  toPiece(id: string): PathElement[] {
    const piece = this.byId.get(id)!
    return isLine(piece) ? this.toPoint(id, { end: 'far' }) : [...this.toJoint(piece), { kind: 'part', id, piece }]
  }

  /** Everything above a piece, the joint it hangs by included. */
  private toJoint(piece: Piece): PathElement[] {
    const { attach, id } = piece
    if (attach.how === 'through') return this.toPiece(attach.carrier)
    if (attach.how === 'sliding') {
      if (attach.stops.below === undefined) throw new CoreError('no-path', `${id} slides with nothing below to bear on`, { id })
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
    return isLine(this.byId.get(id)) ? this.toPoint(id, { end }) : this.toPiece(id)
  }

  private toPoint(id: string, point: Point): PathElement[] {
    if (id === OUTFIT) return []
    const line = this.byId.get(id) as LinePiece
    if (line.attach.how === 'through') return this.throughCarrier(line, point)
    const from = this.toJoint(line)
    return [...from, ...this.along(line, 0, atOf(line, point), leavingOf(point))]
  }

  /** The line runs until the stop on its other side bears on the carrier; the pull then goes through that stop. */
  private throughCarrier(line: LinePiece, point: Point): PathElement[] {
    if (line.attach.how !== 'through') return []
    const at = atOf(line, point)
    const stopId = at > line.attach.atM ? line.attach.stops.near : line.attach.stops.far
    const stop = this.byId.get(stopId)!
    const stopAt = placeOn(line, stop)
    const bears: PathElement[] = isLine(stop) ? [] : [{ kind: 'part', id: stopId, piece: stop }]
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
    const places = [fromM, ...inOrder.map(({ atM }) => atM), toM]
    const length = (i: number): PathElement => ({
      kind: 'line',
      id: line.id,
      line,
      again: i > 0,
      fromM: places[i]!,
      toM: places[i + 1]!,
    })
    return [
      length(0),
      ...inOrder.flatMap((knot, i): PathElement[] => [
        { kind: 'joint', id: jointId(knot.id), joint: knot.joint, ties: [line.id] },
        length(i + 1),
      ]),
    ]
  }
}

function tied(piece: Piece, joint: Joint): PathElement[] {
  if (connectionOf(joint.connection).joins === 'fixture') return []
  return [{ kind: 'joint', id: jointId(piece.id), joint, ties: [parentId(piece.attach), piece.id] }]
}

const leavingOf = (point: Point) => ('leaving' in point ? point.leaving : undefined)

const atOf = (line: LinePiece, point: Point) => ('atM' in point ? point.atM : point.end === 'far' ? line.lengthM : 0)

function placeOn(line: LinePiece, piece: Piece): number {
  if (piece.attach.how === 'joined') return piece.attach.end === 'near' ? 0 : line.lengthM
  return piece.attach.atM
}

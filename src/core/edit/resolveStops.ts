import { isLine, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { carriesEnd } from '../soundness/soundness.ts'
import { type OnLine, onLine } from './along.ts'

/**
 * The trace with every stop in force: a slider rests on the nearest solid part on its side, unless it names another slider (a
 * bead before the stop); a line through a pulley, on whatever is tied to its ends. What has no stop left keeps none.
 * @param anew sliders that look for the nearest stop again, whatever they name.
 */
export function resolveStops(trace: Trace, forceRecompute: ReadonlySet<string> = new Set()): Trace {
  return { ...trace, pieces: trace.pieces.map((piece) => withResolvedStops(piece, trace, forceRecompute.has(piece.id))) }
}

function withResolvedStops(piece: Piece, trace: Trace, forceRecompute: boolean): Piece {
  if (piece.attach.how === 'sliding')
    return { ...piece, attach: { ...piece.attach, stops: stopsOf(piece, piece.attach, trace, forceRecompute) } }
  if (piece.attach.how === 'through' && isLine(piece)) return throughStops(piece, trace)
  return piece
}

type Sliding = Extract<Piece['attach'], { how: 'sliding' }>

function stopsOf(piece: Piece, attach: Sliding, trace: Trace, forceRecompute: boolean): Sliding['stops'] {
  const row = onLine(trace, attach.on)
  const at = row.findIndex((other) => other.piece.id === piece.id)
  const own = row[at]
  if (!own) return attach.stops
  // What looks for its stops anew forgets which it had, but not that it had them.
  const named = forceRecompute ? {} : attach.stops
  const above = row.filter((other) => other.piece !== piece && other.downM <= own.downM).toReversed()
  const below = row.filter((other) => other.piece !== piece && other.downM >= own.downM && holds(other.piece))
  const upper = attach.stops.above === undefined ? undefined : kept(named.above, above, above, lineParent(attach.on, trace))
  const needsLower = attach.stops.below !== undefined || carriesEnd(piece, trace)
  const lower = needsLower
    ? kept(
        named.below,
        below,
        below.filter((other) => other.downM > own.downM || other.solid),
      )
    : undefined
  return { ...(upper ? { above: upper } : {}), ...(lower ? { below: lower } : {}) }
}

/** Something can rest on it: it is fast, or it rests on something itself. */
const holds = ({ attach }: Piece) => attach.how !== 'sliding' || attach.stops.below !== undefined

/** The named stop while it is on that side and no solid part has come between; else the nearest solid part. */
function kept(named: string | undefined, side: OnLine[], solidSide: OnLine[], beyond?: string): string | undefined {
  const nearest = solidSide.find(({ solid }) => solid)
  const place = side.findIndex(({ piece }) => piece.id === named)
  if (place >= 0) {
    const between = nearest ? side.indexOf(nearest) : -1
    const apart = side[between]?.downM !== side[place]?.downM
    return nearest && between >= 0 && between < place && apart ? nearest.piece.id : named
  }
  return nearest?.piece.id ?? (named !== undefined && named === beyond ? named : undefined)
}

/** The part that a line hangs from stops what slides up it. */
function lineParent(lineId: string, trace: Trace): string | undefined {
  const line = lineById(trace, lineId)
  return line && parentId(line.attach)
}

function throughStops(line: LinePiece, trace: Trace): Piece {
  if (line.attach.how !== 'through') return line
  const { attach } = line
  const solid = onLine(trace, line.id).filter((other) => other.solid)
  const isOn = (id: string) => solid.some(({ piece }) => piece.id === id)
  const near = isOn(attach.stops.near) ? attach.stops.near : solid.findLast(({ downM }) => downM <= attach.atM)?.piece.id
  const far = isOn(attach.stops.far) ? attach.stops.far : solid.find(({ downM }) => downM > attach.atM)?.piece.id
  return { ...line, attach: { ...attach, stops: { near: near ?? attach.stops.near, far: far ?? attach.stops.far } } }
}

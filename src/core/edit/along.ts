import { hungFrom, isHardware, lineById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'

/** A piece on a line, and how far down it sits from the reel's end (on the outfit's line, below zero: its free end is 0), m. */
export type OnLine = { piece: Piece; downM: number; solid: boolean }

const rows = new WeakMap<readonly Piece[], Map<string, readonly OnLine[]>>()

/** Everything on a line in order from the reel: sliders, what is fixed on it, what is tied to its ends. */
export function onLine(trace: Trace, lineId: string): readonly OnLine[] {
  // Documents are never changed in place: the row of a line holds as long as the list of pieces does.
  const ofTrace = rows.get(trace.pieces) ?? new Map<string, readonly OnLine[]>()
  const row = ofTrace.get(lineId) ?? rowOf(trace, lineId)
  rows.set(trace.pieces, ofTrace.set(lineId, row))
  return row
}

function rowOf(trace: Trace, lineId: string): readonly OnLine[] {
  const endM = lineById(trace, lineId)?.lengthM ?? 0
  return hungFrom(trace, lineId)
    .filter(({ attach }) => attach.how !== 'through')
    .map((piece): OnLine => {
      const { attach } = piece
      if (attach.how === 'joined') return { piece, downM: attach.end === 'near' ? 0 : endM, solid: true }
      return { piece, downM: lineId === OUTFIT ? -attach.atM : attach.atM, solid: attach.how === 'fixed' }
    })
    .toSorted((a, b) => a.downM - b.downM || Number(b.solid) - Number(a.solid))
}

/** A place counted down a line, as the document holds it. */
export const atOf = (lineId: string, downM: number) => (lineId === OUTFIT ? -downM : downM)

/** Whether a piece sits part-way along a line. */
export function ridesOn(piece: Piece): string | undefined {
  return piece.attach.how === 'fixed' || piece.attach.how === 'sliding' ? piece.attach.on : undefined
}

/** The trace with a piece put at another place along its line. */
export function putAt(trace: Trace, id: string, downM: number): Trace {
  return {
    ...trace,
    pieces: trace.pieces.map((piece): Piece => {
      const { attach } = piece
      if (piece.id !== id || (attach.how !== 'fixed' && attach.how !== 'sliding')) return piece
      return { ...piece, attach: { ...attach, atM: Math.max(0, atOf(attach.on, downM)) } }
    }),
  }
}

/** Parts that are fast on a line and stop what slides on it. */
export const STOPS: readonly string[] = ['crimp', 'stopKnot', 'rubberStop', 'whippedLoop']

/**
 * The stop that keeps a slider from going up its line: the one that it names, or the stop that is the nearest solid part above it.
 * Undefined where it can go up to the line's end.
 */
export function upperStop(trace: Trace, { id, attach }: Piece): string | undefined {
  if (attach.how !== 'sliding') return undefined
  if (attach.stops.above !== undefined) return attach.stops.above
  const row = onLine(trace, attach.on)
  const at = row.findIndex(({ piece }) => piece.id === id)
  const above = row.slice(0, Math.max(0, at)).findLast(({ solid }) => solid)?.piece
  return above?.role === 'hardware' && STOPS.includes(above.type) ? above.id : undefined
}

/** Whether a bead lies between a slider and the next solid part below it. */
export function beadBetween(trace: Trace, id: string): boolean {
  const line = trace.pieces.find((piece) => piece.id === id && ridesOn(piece))
  const lineId = line && ridesOn(line)
  if (lineId === undefined) return false
  const along = onLine(trace, lineId)
  const fromM = along.find(({ piece }) => piece.id === id)?.downM ?? 0
  const stopM = along.find(({ solid, downM }) => solid && downM >= fromM)?.downM ?? Number.POSITIVE_INFINITY
  return along.some(({ piece, downM }) => isHardware(piece, 'bead') && downM >= fromM && downM <= stopM)
}

import type { Catalogue } from '../catalogue/catalogue.ts'
import type { ConnectionId, Material } from '../catalogue/ids.ts'
import type { WoundLine } from '../documents/outfit.ts'
import { isHardware, isHeaded, isLine, pieceNamed, strandsOf } from '../documents/pieces.ts'
import type { LinePiece, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import type { Rig } from '../setup/setup.ts'

/** A line as a joint finds it: one strand, doubled back into a loop, or several strands whose ends are loops. */
export type LineEnd = { end: 'strand' | 'double' | 'strands'; material: Material; hollow: boolean }
/** One side of a joint: a line’s end, a loop that is there, an eye of any part, or a hook with its eye, shank and bend. */
export type End = LineEnd | { end: 'loop' } | { end: 'eye' } | { end: 'hook' }

export const isLineEnd = (end: End): end is LineEnd => end.end === 'strand' || end.end === 'double' || end.end === 'strands'

/** A line’s single strand, of a trace or on the reel. */
export const endOfLine = ({ material, hollow = false }: Pick<WoundLine, 'material' | 'hollow'>): LineEnd => ({
  end: 'strand',
  material,
  hollow,
})

/** What a piece offers to be joined by. */
export function endOf(piece: Piece): End {
  if (isLine(piece)) return { ...endOfLine(piece), end: endKind(piece) }
  // Through the head of a jig goes no line: it is tied to its ring.
  if (piece.role === 'hook') return { end: isHeaded(piece) ? 'eye' : 'hook' }
  return { end: isHardware(piece, 'loop') ? 'loop' : 'eye' }
}

const endKind = (line: LinePiece): LineEnd['end'] =>
  line.role === 'double' ? 'double' : strandsOf(line) > 1 ? 'strands' : 'strand'

/** The same by a piece’s id, or of the outfit’s line. */
export function endById({ trace, outfit }: Pick<Rig, 'trace' | 'outfit'>, id: string): End {
  return id === OUTFIT ? endOfLine(freeLine(outfit)) : endOf(pieceNamed(trace, id))
}

/** Loops and doubles: what passes through itself. */
const isLooped = ({ end }: End) => end === 'loop' || end === 'double' || end === 'strands'

/**
 * Why a connection cannot stand between two ends, in words that follow its name; undefined where it can.
 * Source: the table of connections, by what each joins.
 */
export function misfitBetween({ connections }: Catalogue, id: ConnectionId, above: End, below: End): string | undefined {
  const { joins } = connections[id]
  const ends = [above, below]
  const lines = ends.filter(isLineEnd)
  const [other] = ends.filter((end) => !isLineEnd(end))
  switch (joins) {
    case 'line-eye':
      if (lines.length === 2) return lines.some(isLooped) ? undefined : 'ties a line to an eye or a loop, not to another line'
      return lines.length === 1 ? undefined : 'needs a line to be tied in'
    case 'line-shank':
      return lines.length === 1 && other?.end === 'hook' ? undefined : 'is tied round the shank of a hook'
    case 'line-line':
      if (lines.length !== 2) return 'joins two lines'
      return WOVEN.includes(id) && !wovenSuits(lines) ? 'is braid woven on a stiffer line' : undefined
    case 'end-loop':
      if (lines.length !== 1) return 'makes a loop in one line'
      return id === 'splice' && !lines[0]!.hollow ? 'needs hollow braid; mark the line as hollow' : undefined
    case 'doubles':
      return above.end === 'strand' && below.end === 'double' ? undefined : 'doubles a line'
    case 'loop-loop':
      if (!ends.some(isLooped) || ends.some(({ end }) => end === 'strand')) return 'needs a loop or a double, not a single strand'
      return undefined
    case 'side-loop':
      return 'is tied part-way in a line'
    case 'stop':
      return 'stops what slides on a line'
    case 'fixture':
      if (id === 'fitted') return lines.length === 0 ? undefined : 'is not tied to a line'
      return lines.length === 1 && other && other.end !== 'eye' ? undefined : 'continues the line'
  }
}

const WOVEN: readonly ConnectionId[] = ['fg', 'pr']
const wovenSuits = (lines: readonly LineEnd[]) =>
  lines.some(({ material }) => material === 'braid') && lines.some(({ material }) => material !== 'braid')

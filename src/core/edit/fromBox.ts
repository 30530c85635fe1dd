import { type Gear, partFields } from '../documents/gear.ts'
import { isLine, pieceById } from '../documents/pieces.ts'
import { sameJson } from '../documents/sameJson.ts'
import type { Piece } from '../documents/trace.ts'
import { GEAR_VERSION } from '../documents/versions.ts'
import type { Rig } from '../setup/setup.ts'
import { withPiece } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { restring, withStrand } from './restring.ts'

/** Whether a thing of the box can stand where a piece does, as it is. */
export function suits(item: Gear, piece: Piece): boolean {
  if (item.kind === 'line') return isLine(piece)
  if (item.kind === 'hardware') return piece.role === 'hardware' && piece.type === item.type
  return piece.role === item.kind
}

/**
 * The trace with a thing of the box in the place of a piece: everything that the box says of it is taken, the rest stays.
 * @param bearsN of a spool: what its own pulls say, instead of its label.
 */
export function fromBox(rig: Rig, id: string, item: Gear, bearsN?: number): EditResult {
  const { trace } = rig
  const piece = pieceById(trace, id)
  if (!piece || !suits(item, piece)) return refused('it does not fit here')
  if (item.kind === 'line') {
    const { material, strengthN: labelN, diameterM } = item
    const strengthN = bearsN ?? labelN
    const result = isLine(piece) ? restring(rig, [piece], { material, strengthN }, id) : refused('that is a line')
    if (!result.ok) return result
    const measured = withStrand(result.trace, id, ({ diameterM: _old, pulled: _spool, ...line }) => ({
      ...line,
      ...(diameterM === undefined ? {} : { diameterM }),
      ...(bearsN === undefined ? {} : { pulled: true }),
    }))
    return { ...result, trace: measured }
  }
  const bare = Object.fromEntries(Object.entries(piece).filter(([field]) => !OWN_FIELDS.includes(field)))
  return checked(
    rig,
    withPiece(trace, id, () => ({ ...bare, ...partFields(item) }) as Piece),
    id,
  )
}

/** What the box says of a thing, so that nothing of the old one is left. */
const OWN_FIELDS: readonly string[] = [
  ...['size', 'strengthN', 'gapeM', 'wireM', 'headKg', 'headSwings', 'metal', 'spins', 'massKg'],
  ...['lengthM', 'depthM', 'dragAreaM2', 'floats', 'ratedDepthM', 'ratedSpeedMperS', 'ratedLineOutM', 'ratedLineDiameterM'],
]

/** A piece as a thing for the box, without its name; undefined of what the box does not hold, and of a line, which comes on a spool. */
export function asItem(piece: Piece): Gear | undefined {
  const common = { formatVersion: GEAR_VERSION, name: '' } as const
  switch (piece.role) {
    case 'hook': {
      const { pattern, size, gapeM, wireM, headKg, headSwings } = piece
      return { ...common, kind: 'hook', pattern, size, ...given({ gapeM, wireM, headKg, headSwings }) }
    }
    case 'sinker':
      return { ...common, kind: 'sinker', shape: piece.shape, massKg: piece.massKg, ...given({ metal: piece.metal }) }
    case 'hardware':
      return { ...common, kind: 'hardware', type: piece.type, ...given({ size: piece.size, strengthN: piece.strengthN }) }
    case 'lure': {
      const { massKg, strengthN, spins, lengthM, depthM, dragAreaM2, floats } = piece
      const { ratedDepthM, ratedSpeedMperS, ratedLineOutM, ratedLineDiameterM } = piece
      const rated = { ratedDepthM, ratedSpeedMperS, ratedLineOutM, ratedLineDiameterM }
      return { ...common, kind: 'lure', massKg, ...given({ strengthN, spins, lengthM, depthM, dragAreaM2, floats, ...rated }) }
    }
    case 'bait': {
      const { bait, massKg, lengthM, depthM, dragAreaM2, floats } = piece
      return { ...common, kind: 'bait', bait, ...given({ massKg, lengthM, depthM, dragAreaM2, floats }) }
    }
    case 'float':
      return { ...common, kind: 'float', massKg: piece.massKg }
    default:
      return undefined
  }
}

/** Whether a piece is all that the box says of a thing, and its own pulls of a spool. */
export function isAs(piece: Piece, item: Gear, bearsN?: number): boolean {
  if (item.kind !== 'line') {
    const same = asItem(piece)
    return same?.kind === item.kind && sameJson(partFields(same), partFields(item))
  }
  if (!isLine(piece)) return false
  const { material, strengthN, diameterM } = item
  return piece.material === material && piece.strengthN === (bearsN ?? strengthN) && piece.diameterM === diameterM
}

/** The fields that have a value. */
const given = <T extends object>(fields: T) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>
  }

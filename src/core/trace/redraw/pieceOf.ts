import { hardwareFor } from '../../gear/hardware.ts'
import { labelAtLeastN, labelAtMostN } from '../../gear/labels.ts'
import { freeId } from '../edit.ts'
import { freeLine, type Outfit } from '../outfit.ts'
import { type Attach, isLine, OUTFIT, type Piece, parentId, type Trace } from '../schema.ts'
import type { SinglePart } from './newParts.ts'

/** A piece of a kind as most people would choose it there: strength from the line above, hook and bait like those at hand. */
export function pieceOf(part: SinglePart, trace: Trace, outfit: Outfit, attach: Attach): Piece {
  const aboveN = strengthAboveN(trace, outfit, parentId(attach))
  const id = (wanted: string) => freeId(trace, wanted)
  const like = <R extends Piece['role']>(role: R) =>
    trace.pieces.find((piece): piece is Extract<Piece, { role: R }> => piece.role === role)
  switch (part.kind) {
    case 'line': {
      const wantedN = part.share * aboveN
      const material = part.material === 'outfit' ? freeLine(outfit).material : part.material
      const strengthN = part.role === 'double' ? aboveN : part.share > 1 ? labelAtLeastN(wantedN) : labelAtMostN(wantedN)
      return { id: id(idOf(part.name)), role: part.role, material, strengthN, lengthM: part.lengthM, attach }
    }
    case 'hardware': {
      const size = hardwareFor(part.type, aboveN)
      return { id: id(idOf(part.name)), role: 'hardware', type: part.type, attach, ...(size === undefined ? {} : { size }) }
    }
    case 'hook': {
      const { pattern, size } = like('hook') ?? { pattern: 'circle' as const, size: '2/0' }
      return { id: id('hook'), role: 'hook', pattern, size, attach }
    }
    case 'bait':
      return { id: id('bait'), role: 'bait', bait: like('bait')?.bait ?? 'sandeel', attach }
    case 'sinker': {
      const { shape, massKg } = like('sinker') ?? { shape: 'bomb' as const, massKg: 0.09 }
      return { id: id('sinker'), role: 'sinker', shape, massKg, attach }
    }
    case 'lure':
      return { id: id('lure'), role: 'lure', massKg: 0.028, attach }
    case 'float':
      return { id: id('float'), role: 'float', massKg: 0.025, attach }
    case 'light':
      return { id: id('light'), role: 'light', massKg: 0.08, attach }
  }
}

/** Strength of the nearest line above a place, N. */
function strengthAboveN(trace: Trace, outfit: Outfit, from: string): number {
  for (let at = from; at !== OUTFIT; ) {
    const piece = trace.pieces.find(({ id }) => id === at)!
    if (isLine(piece)) return piece.strengthN
    at = parentId(piece.attach)
  }
  return freeLine(outfit).strengthN
}

const idOf = (name: string) => name.replaceAll(' ', '-')

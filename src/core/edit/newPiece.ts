import { fittedTo } from '../catalogue/hardware.ts'
import { labelAtLeastN, labelAtMostN } from '../catalogue/labels.ts'
import { isLine, labelledN, parentId, pieceNamed } from '../documents/pieces.ts'
import type { Attach, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import type { Rig } from '../setup/setup.ts'
import { freeId } from './changes.ts'
import type { SinglePart } from './newParts.ts'

/** A piece of a kind as most people would choose it there: strength from the line above, hook and bait like those at hand. */
export function newPiece(rig: Rig, part: SinglePart, attach: Attach): Piece {
  const piece = { ...usualPiece(rig, part, attach), ...part.set }
  // What is set to nothing is left out.
  return Object.fromEntries(Object.entries(piece).filter(([, value]) => value !== undefined)) as Piece
}

function usualPiece(rig: Rig, part: SinglePart, attach: Attach): Piece {
  const { trace, outfit, catalogue } = rig
  const aboveN = strengthAboveN(rig, parentId(attach))
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
      return {
        id: id(idOf(catalogue.hardware[part.type].name)),
        role: 'hardware',
        type: part.type,
        attach,
        // A given size replaces the label.
        ...(part.set && 'size' in part.set ? {} : fittedTo(catalogue, part.type, aboveN)),
      }
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
function strengthAboveN({ trace, outfit }: Rig, from: string): number {
  for (let at = from; at !== OUTFIT; ) {
    const piece = pieceNamed(trace, at)
    if (isLine(piece)) return labelledN(piece)
    at = parentId(piece.attach)
  }
  return freeLine(outfit).strengthN
}

const idOf = (name: string) => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')

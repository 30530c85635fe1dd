import type { WoundRole } from './vocabulary.ts'

/** A link of the chain, or anything else that can be chosen on the reach. */
export type LinkRef =
  | { at: 'reel' }
  /** A line wound on the reel, and the knot that joins it to the one under it. */
  | { at: 'wound' | 'woundJoint'; role: WoundRole }
  /** A knot that doubles a wound line for its joint: the line under it, or the line itself. */
  | { at: 'woundKnot'; role: WoundRole; side: 'under' | 'over' }
  /** A piece of the trace, and the joint it hangs by. */
  | { at: 'piece' | 'joint'; id: string }
  /** A clip that carries the cast. */
  | { at: 'clip'; id: string }

export const pieceRef = (id: string): LinkRef => ({ at: 'piece', id })
export const jointRef = (id: string): LinkRef => ({ at: 'joint', id })
export const woundRef = (role: WoundRole): LinkRef => ({ at: 'wound', role })

/** The reference as one word, to key a map or name a link in a report: `leader`, `leader.joint`, `main`, `main.joint`. */
export function linkKey(ref: LinkRef): string {
  switch (ref.at) {
    case 'reel':
      return 'reel'
    case 'wound':
      return ref.role
    case 'woundJoint':
      return `${ref.role}.joint`
    case 'woundKnot':
      return `${ref.role}.${ref.side}`
    case 'joint':
      return `${ref.id}.joint`
    default:
      return ref.id
  }
}

export const sameLink = (a: LinkRef | undefined, b: LinkRef | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && linkKey(a) === linkKey(b))

/** The piece of the trace that a link belongs to: the swivel for the swivel and for its joint. */
export const pieceIdOf = (ref: LinkRef | undefined): string | undefined =>
  ref && (ref.at === 'piece' || ref.at === 'joint') ? ref.id : undefined

import type { LineSpec } from '../catalogue/materials.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import type { Joint } from '../documents/fields.ts'
import { isLine, isTied } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { usualTurns } from '../setup/cutLength.ts'
import type { Judged } from './finding.ts'
import { lineAbove } from './remedies.ts'

/** Share of the usual turns under which a wrapped knot is badly tied, and over which thick line no longer draws tight. Ours. */
const TOO_FEW = 0.7
const TOO_MANY = 1.8
/** Line from this diameter on is thick, m. Ours. */
const THICK_M = 0.0007

/** Turns that are far from the usual ones, and whether they are too few. */
export type OddTurns = { turns: number; usual: number; isFew: boolean }

/** The turns of a joint, where they are too few, or too many for thick line; undefined where they are not, or somebody measured it. */
export function oddTurns(
  { setup: { catalogue } }: Judged,
  joint: Joint | undefined,
  lines: readonly (LineSpec | undefined)[],
): OddTurns | undefined {
  if (!isTied(joint) || joint.turns === undefined || joint.own) return undefined
  const usual = usualTurns(catalogue, joint.connection, lines)
  if (usual === 0) return undefined
  const isFew = joint.turns < TOO_FEW * usual
  const isThick = lines.some((line) => line !== undefined && lineDiameterM(catalogue, line) >= THICK_M)
  return isFew || (isThick && joint.turns > TOO_MANY * usual) ? { turns: joint.turns, usual, isFew } : undefined
}

/** The lines that a piece’s joint is tied in. */
export const linesAt = (judged: Judged, piece: Piece): (LineSpec | undefined)[] => [
  lineAbove(judged, piece),
  isLine(piece) ? piece : undefined,
]

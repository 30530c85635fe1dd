import { hungFrom, jointOf } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'

/** What hangs at an x, and the part on the line that it hangs from, where that is one. */
export type Branch = { x: number; piece: Piece; from?: string }

/** So many branches alike are drawn as one. */
const MIN_ALIKE = 4

/**
 * Branches with how many each represents: of many alike that do not fit beside each other one is left, that with the first of `drawn`
 * that any of them has, else the last in the order they come in.
 */
export function foldAlike(
  trace: Trace,
  branches: readonly Branch[],
  drawn: readonly string[],
  fit: (alike: readonly Branch[]) => boolean,
): (Branch & { count: number })[] {
  const single = branches.map((branch) => ({ ...branch, count: 1 }))
  if (branches.length < MIN_ALIKE) return single
  const kinds = branches.map(({ piece }) => kindOf(trace, piece))
  return single.flatMap((branch, i) => {
    const alike = branches.filter((_, other) => kinds[other] === kinds[i])
    if (alike.length < MIN_ALIKE || fit(alike)) return [branch]
    const wanted = drawn.flatMap((id) => alike.filter((each) => each.from === id || holds(trace, each.piece, id)))[0]
    return branches[i] === (wanted ?? alike.at(-1)) ? [{ ...branch, count: alike.length }] : []
  })
}

const holds = (trace: Trace, piece: Piece, id: string): boolean =>
  piece.id === id || hungFrom(trace, piece.id).some((child) => holds(trace, child, id))

/** What a branch is, whatever it is called and wherever it hangs. */
function kindOf(trace: Trace, piece: Piece): string {
  const { id: _id, label: _label, attach, ...kind } = piece
  return JSON.stringify([kind, jointOf(piece), attach.how, hungFrom(trace, piece.id).map((child) => kindOf(trace, child))])
}

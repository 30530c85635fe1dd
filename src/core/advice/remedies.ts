import { type ConnectionId, connectionOf } from '../gear/connections.ts'
import type { Material } from '../gear/materials.ts'
import { withJoint, withPiece } from '../trace/edit.ts'
import { pieceName, withArticle } from '../trace/names.ts'
import { freeLine } from '../trace/outfit.ts'
import type { Redrawn } from '../trace/redraw/redrawn.ts'
import { jointOf, type LinePiece, OUTFIT, type Piece, parentId, type Trace } from '../trace/schema.ts'
import { materialsBeside } from '../trace/suits.ts'
import type { Judged, Remedy } from './finding.ts'

/** What a part is called in a sentence. */
export function called(trace: Trace, id: string): string {
  return withArticle(pieceName(trace.pieces.find((piece) => piece.id === id) ?? { id }))
}

export const pieceOf = ({ workings }: Judged, id: string): Piece | undefined =>
  workings.trace.pieces.find((piece) => piece.id === id)

/** A trace drawn anew as a remedy, where it could be drawn. */
export const redrawn = (label: string, draw: () => Redrawn): Remedy => ({
  label,
  make: () => {
    const result = draw()
    return result.ok ? { trace: result.trace } : undefined
  },
})

/** Another connection for a joint, at its usual turns and nominal strength. */
export function retied({ workings: { trace } }: Judged, id: string, connection: ConnectionId): Remedy {
  return {
    label: `tie ${called(trace, id)} with a ${connectionOf(connection).name}`,
    make: () => ({ trace: withJoint(trace, id, ({ loopM }) => ({ connection, ...(loopM === undefined ? {} : { loopM }) })) }),
  }
}

/** Another strength for a line. */
export function restrung({ workings: { trace } }: Judged, id: string, strengthN: number, label: string): Remedy {
  return {
    label,
    make: () => ({
      trace: withPiece(trace, id, (piece) => {
        const { diameterM: _old, ...line } = piece as LinePiece
        return { ...line, strengthN }
      }),
    }),
  }
}

/** The stronger knots most people tie, by what they join. */
const STOUT: Partial<Record<ReturnType<typeof connectionOf>['joins'], readonly ConnectionId[]>> = {
  'line-eye': ['palomar', 'doubleEyeClinch', 'crimpLoop', 'haywire', 'twoHalfHitches'],
  'line-shank': ['snell', 'palomar', 'crimpLoop', 'haywire'],
  'end-loop': ['nonSlipLoop', 'palomar', 'crimpLoop'],
  'line-line': ['fg', 'modifiedAlbright', 'doubleUni'],
  doubles: ['bimini'],
}

/** The first of the stout knots that suits both lines and beats what is tied now; undefined where none does. */
export function stouterKnot({ workings: { trace, outfit } }: Judged, id: string): ConnectionId | undefined {
  const piece = trace.pieces.find((each) => each.id === id)
  const joint = piece && jointOf(piece)
  if (!piece || !joint) return undefined
  const materials = materialsBeside(piece, trace, outfit)
  const least = (connection: ConnectionId) =>
    Math.min(...materials.map((material: Material) => connectionOf(connection).efficiency[material] ?? 0))
  const now = joint.efficiency ?? least(joint.connection)
  return STOUT[connectionOf(joint.connection).joins]
    ?.filter((connection) => connection !== 'fg' || materials.includes('braid'))
    .find((connection) => least(connection) > now + 0.01)
}

/** The material above a joint: of the line its piece hangs from. */
export function lineAbove({ workings: { trace, outfit } }: Judged, piece: Piece) {
  const parent = parentId(piece.attach)
  if (parent === OUTFIT) return freeLine(outfit)
  const above = trace.pieces.find(({ id }) => id === parent)
  return above && 'material' in above ? above : undefined
}

import type { Catalogue } from '../catalogue/catalogue.ts'
import { CONNECTION_IDS, type ConnectionId } from '../catalogue/ids.ts'
import type { Joint } from '../documents/fields.ts'
import type { Outfit, WoundLine } from '../documents/outfit.ts'
import { isTied } from '../documents/pieces.ts'
import type { WoundRole } from '../documents/vocabulary.ts'
import { defaultConnection } from './connectionRules.ts'
import { endOfLine, type LineEnd, misfitBetween } from './ends.ts'

/** What a wound line offers: a strand, or the double that a knot makes of it. */
const endOfWound = (line: WoundLine, knot: Joint | undefined): LineEnd => ({
  ...endOfLine(line),
  end: knot ? 'double' : 'strand',
})

const endsOf = (under: WoundLine, over: WoundLine) =>
  [endOfWound(under, over.doubled?.under), endOfWound(over, over.doubled?.over)] as const

const doubles = ({ connections }: Catalogue, id: ConnectionId) => connections[id].joins === 'doubles'

/** Connections that can join a wound line to the one under it, doubled as they are. */
export const joinsOnReel = (catalogue: Catalogue, under: WoundLine, over: WoundLine): ConnectionId[] =>
  CONNECTION_IDS.filter(
    (id) =>
      isTied({ connection: id }) && !doubles(catalogue, id) && misfitBetween(catalogue, id, ...endsOf(under, over)) === undefined,
  )

/** The join most people would tie there, doubled as the lines are. */
export function usualJoinOnReel(catalogue: Catalogue, under: WoundLine, over: WoundLine): ConnectionId {
  const { under: doubledUnder, over: doubledOver } = over.doubled ?? {}
  const usual = doubledUnder && doubledOver ? 'catsPaw' : (defaultConnection(endOfLine(under), endOfLine(over)) ?? 'doubleUni')
  return joinsOnReel(catalogue, under, over).includes(usual) ? usual : 'albright'
}

/** Lines from the arbor up, with every join that is missing tied as most people would, and none under the first. */
export function joinedOnReel(catalogue: Catalogue, wound: readonly WoundLine[]): WoundLine[] {
  return wound.map((line, i) => {
    const under = wound[i - 1]
    const { joint, doubled: _doubled, ...alone } = line
    if (!under) return alone
    return joint ? line : { ...line, joint: { connection: usualJoinOnReel(catalogue, under, line) } }
  })
}

/** A line with a knot that doubles it, or the line under it, for their join; what joins two loops joins no strands, so that is tied anew. */
export function doubledOnReel(
  catalogue: Catalogue,
  under: WoundLine,
  line: WoundLine,
  side: 'under' | 'over',
  knot: ConnectionId | undefined,
): WoundLine {
  const sides = { ...line.doubled, [side]: knot && { connection: knot } }
  const doubled = { ...line, doubled: sides.under || sides.over ? sides : undefined }
  return { ...doubled, joint: { connection: usualJoinOnReel(catalogue, under, doubled) } }
}

/** Knots that double a line. */
export const doublingKnots = (catalogue: Catalogue): ConnectionId[] => CONNECTION_IDS.filter((id) => doubles(catalogue, id))

type Misfit = { under: WoundRole; over: WoundRole; connection: ConnectionId; misfit: string }

/** Joints between the outfit’s own lines that cannot stand there. */
export function misfitsOnReel(catalogue: Catalogue, { wound }: Outfit): Misfit[] {
  return wound.flatMap((over, i) => {
    const under = wound[i - 1]
    if (!under || !over.joint) return []
    const join = misfitBetween(catalogue, over.joint.connection, ...endsOf(under, over))
    const knots = [over.doubled?.under, over.doubled?.over]
      .filter((joint) => joint !== undefined)
      .filter(({ connection }) => !doubles(catalogue, connection))
    return [
      ...(join ? [{ connection: over.joint.connection, misfit: join }] : []),
      ...knots.map(({ connection }) => ({ connection, misfit: 'does not double a line' })),
    ].map((each) => ({ ...each, under: under.role, over: over.role }))
  })
}

import type { ConnectionId, Material } from '../catalogue/ids.ts'
import type { LinkRef } from '../documents/linkRef.ts'
import { jointOf, pieceById } from '../documents/pieces.ts'
import type { Link } from '../setup/pathLinks.ts'
import type { Rig } from '../setup/setup.ts'

/** What a link is, whatever trace it is in: a knot in a material, a line, a part. As one word, to count by: `knot snell mono`, `line braid`. */
export type LinkKind =
  | { of: 'knot'; connection: ConnectionId; material?: Material }
  | { of: 'line'; material: Material }
  | { of: 'part'; part: string }

export const kindKey = (kind: LinkKind): string =>
  kind.of === 'knot'
    ? ['knot', kind.connection, ...(kind.material ? [kind.material] : [])].join(' ')
    : `${kind.of} ${kind.of === 'line' ? kind.material : kind.part}`

export function kindOfKey(key: string): LinkKind {
  const [of, first = '', material] = key.split(' ')
  if (of === 'line') return { of, material: first as Material }
  if (of === 'part') return { of, part: first }
  return { of: 'knot', connection: first as ConnectionId, ...(material ? { material: material as Material } : {}) }
}

/** The kind of a link of a rig; a joint goes by the line that it is a share of. */
export function linkKindOf(rig: Rig, { ref, kind, failing }: Link): LinkKind | undefined {
  if (kind === 'line') {
    const material = materialOf(rig, ref)
    return material && { of: 'line', material }
  }
  if (kind === 'part') {
    const piece = ref.at === 'piece' ? pieceById(rig.trace, ref.id) : undefined
    return piece && { of: 'part', part: piece.role === 'hardware' ? piece.type : piece.role }
  }
  const connection = connectionAt(rig, ref)
  if (!connection) return undefined
  const [share] = failing
  const material = share && 'line' in share ? materialByKey(rig, share.line) : undefined
  return { of: 'knot', connection, ...(material ? { material } : {}) }
}

function connectionAt({ trace, outfit }: Rig, ref: LinkRef): ConnectionId | undefined {
  if (ref.at === 'joint') {
    const piece = pieceById(trace, ref.id)
    return piece && jointOf(piece)?.connection
  }
  if (ref.at !== 'woundJoint' && ref.at !== 'woundKnot') return undefined
  const line = outfit.wound.find(({ role }) => role === ref.role)
  const joint = ref.at === 'woundKnot' ? line?.doubled?.[ref.side] : line?.joint
  return joint?.connection
}

const materialOf = (rig: Rig, ref: LinkRef): Material | undefined =>
  ref.at === 'wound' ? materialByKey(rig, ref.role) : ref.at === 'piece' ? materialByKey(rig, ref.id) : undefined

function materialByKey({ trace, outfit }: Rig, key: string): Material | undefined {
  const piece = pieceById(trace, key)
  if (piece && 'material' in piece) return piece.material
  return outfit.wound.find(({ role }) => role === key)?.material
}

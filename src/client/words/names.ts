import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { LineSpec } from '../../core/catalogue/materials.ts'
import type { Joint } from '../../core/documents/fields.ts'
import { jointRef, type LinkRef, linkKey, pieceRef } from '../../core/documents/linkRef.ts'
import type { WoundLine } from '../../core/documents/outfit.ts'
import { isHeaded, isLine, jointOf, pieceById } from '../../core/documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../../core/documents/trace.ts'
import { ownFiguresText } from '../../core/joints/ownFigures.ts'
import { pieceName, withArticle } from '../../core/setup/names.ts'
import type { Rig } from '../../core/setup/setup.ts'
import { spoken } from '../regional/spoken.ts'
import type { Show } from '../settings/show.ts'

export const WOUND_NAMES: Record<WoundLine['role'], string> = { backing: 'backing', main: 'main line', topShot: 'top shot' }

export const woundName = (line: WoundLine) => WOUND_NAMES[line.role]

/** The lines of a role, when all of them are meant. */
export const ROLE_PLURALS: Record<LinePiece['role'], string> = {
  double: 'doubles',
  leader: 'leaders',
  body: 'bodies',
  snood: 'snoods',
  sinkerLink: 'sinker lines',
  biteTrace: 'bite traces',
}

/** What a hook is cast on: a jig head, or one that it swings from. */
export const headSpec = ({ headKg, headSwings }: { headKg: number; headSwings?: boolean | undefined }, show: Show) =>
  `${show.entered('mass', headKg)} ${headSwings ? 'swing head' : 'jig head'}`

/** A line or part in short: what it is, with its size. */
export function pieceSpec(catalogue: Catalogue, piece: Piece, show: Show): string {
  if (isLine(piece)) return lineSpec(catalogue, piece, show)
  switch (piece.role) {
    case 'hook':
      return [
        `${piece.size} ${catalogue.hooks.patterns[piece.pattern].name}`,
        ...(isHeaded(piece) ? [`on a ${headSpec(piece, show)}`] : []),
      ].join(' ')
    case 'sinker':
      return `${show.entered('mass', piece.massKg)} ${catalogue.sinkers[piece.shape].name}`
    case 'bait':
      return catalogue.baits[piece.bait].name
    case 'hardware':
      return [catalogue.hardware[piece.type].name, piece.size].filter(Boolean).join(' ')
    default:
      return `${piece.role} ${show.entered('mass', piece.massKg)}`
  }
}

type Strung = Pick<LineSpec, 'material' | 'strengthN'> & { strands?: number | undefined }

export function lineSpec({ materials }: Catalogue, line: Strung, show: Show): string {
  const strands = line.strands === undefined ? '' : `${line.strands} × `
  return `${materials[line.material].name} ${strands}${show.entered('strength', line.strengthN)}`
}

/** A link’s own joint, whether the trace’s or the outfit’s. */
function jointAt({ trace, outfit }: Rig, ref: LinkRef): Joint | undefined {
  if (ref.at === 'woundJoint' || ref.at === 'woundKnot') {
    const line = outfit.wound.find(({ role }) => role === ref.role)
    return ref.at === 'woundKnot' ? line?.doubled?.[ref.side] : line?.joint
  }
  const piece = ref.at === 'joint' ? pieceById(trace, ref.id) : undefined
  return piece && jointOf(piece)
}

/** What a link is called in a sentence: “FG at the leader”, “main line”. */
export function linkName(rig: Rig, ref: LinkRef): string {
  const name = nameOfPlace(rig.trace, ref)
  const joint = jointAt(rig, ref)
  return joint ? `${shortKnot(rig, joint)} at ${withArticle(name)}` : name
}

/** A connection by its name, without what its table says beside it. */
const shortKnot = ({ catalogue }: Pick<Rig, 'catalogue'>, { connection }: Joint) =>
  catalogue.connections[connection].name.replace(/ \(.*\)/, '')

function nameOfPlace(trace: Trace, ref: LinkRef): string {
  if (ref.at === 'reel') return 'reel'
  if ('role' in ref) return WOUND_NAMES[ref.role]
  return pieceName(pieceById(trace, ref.id) ?? { id: ref.id })
}

/** What a link is called by the key that a calculation names it with, and the crew’s pulls that its figure rests on. */
export function nameWithPulls(rig: Rig, key: string): string {
  const ref = linksOfRig(rig).find((each) => linkKey(each) === key)
  if (!ref) return key.replaceAll('-', ' ')
  const pulls = ownFiguresText(rig, ref)
  return pulls ? `${linkName(rig, ref)} (${pulls})` : linkName(rig, ref)
}

const linksOfRig = ({ trace, outfit }: Rig): LinkRef[] => [
  ...outfit.wound.flatMap(({ role }): LinkRef[] => [
    { at: 'wound', role },
    { at: 'woundJoint', role },
    { at: 'woundKnot', role, side: 'under' },
    { at: 'woundKnot', role, side: 'over' },
  ]),
  ...trace.pieces.flatMap(({ id }) => [pieceRef(id), jointRef(id)]),
  ...(trace.releaseClips ?? []).map(({ id }): LinkRef => ({ at: 'clip', id })),
]

export type ReachLabel = { above: string[]; below?: string }

/** What the reach writes at an item: above the strip what it is, below it the length. In the words of the region, as room is made for them. */
export function reachLabel(rig: Rig, ref: LinkRef, show: Show): ReachLabel {
  const { above, ...below } = labelOf(rig, ref, show)
  return { above: above.map(spoken), ...below }
}

function labelOf(rig: Rig, ref: LinkRef, show: Show): ReachLabel {
  const { trace, outfit, catalogue } = rig
  if (ref.at === 'reel') return { above: ['reel'] }
  const joint = jointAt(rig, ref)
  if (joint) return { above: inTwoLines(spoken(shortKnot(rig, joint))) }
  if (ref.at === 'wound') {
    const wound = outfit.wound.find(({ role }) => role === ref.role)
    if (!wound) return { above: [] }
    const below = wound.lengthM ? { below: show.entered('length', wound.lengthM) } : {}
    return { above: [woundName(wound), lineSpec(catalogue, wound, show)], ...below }
  }
  const piece = ref.at === 'piece' ? pieceById(trace, ref.id) : undefined
  return piece ? pieceLabel(catalogue, piece, show) : { above: [] }
}

function pieceLabel(catalogue: Catalogue, piece: Piece, show: Show): ReachLabel {
  if (isLine(piece))
    return { above: [pieceName(piece), lineSpec(catalogue, piece, show)], below: show.entered('length', piece.lengthM) }
  switch (piece.role) {
    case 'bait':
      return { above: inTwoLines(catalogue.baits[piece.bait].name) }
    case 'sinker':
      return { above: [show.entered('mass', piece.massKg), catalogue.sinkers[piece.shape].name] }
    case 'hook':
      return isHeaded(piece)
        ? { above: [`${piece.size} on`, headSpec(piece, show)] }
        : { above: [piece.size, catalogue.hooks.patterns[piece.pattern].name] }
    case 'hardware':
      return { above: inTwoLines(pieceSpec(catalogue, piece, show)) }
    default:
      return { above: [piece.role, show.entered('mass', piece.massKg)] }
  }
}

function inTwoLines(name: string): string[] {
  const words = name.split(' ')
  if (words.length < 2 || name.length <= 8) return [name]
  const cut = words.length === 2 ? 1 : Math.ceil(words.length / 2)
  return [words.slice(0, cut).join(' '), words.slice(cut).join(' ')]
}

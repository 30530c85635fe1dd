import { BAITS } from '../../core/gear/baits.ts'
import { connectionOf } from '../../core/gear/connections.ts'
import { hardwareOf } from '../../core/gear/hardware.ts'
import { HOOK_PATTERNS } from '../../core/gear/hooks.ts'
import { MATERIALS } from '../../core/gear/materials.ts'
import { SINKER_SHAPES } from '../../core/gear/sinkers.ts'
import { pieceName, withArticle } from '../../core/trace/names.ts'
import type { Outfit, WoundLine } from '../../core/trace/outfit.ts'
import { isLine, type Joint, jointOf, type LinePiece, type Piece, pieceOfLink, type Trace } from '../../core/trace/schema.ts'
import type { Show } from '../settings/preferences.tsx'

const WOUND_NAMES: Record<WoundLine['role'], string> = { backing: 'backing', main: 'main line', topShot: 'top shot' }

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

/** A line or part in short: what it is, with its size. */
export function pieceSpec(piece: Piece, show: Show): string {
  if (isLine(piece)) return lineSpec(piece, show)
  switch (piece.role) {
    case 'hook':
      return `${piece.size} ${HOOK_PATTERNS[piece.pattern].name}`
    case 'sinker':
      return `${show.entered('mass', piece.massKg)} ${SINKER_SHAPES[piece.shape].name}`
    case 'bait':
      return BAITS[piece.bait].name
    case 'hardware':
      return [hardwareOf(piece.type).name, piece.size].filter(Boolean).join(' ')
    default:
      return `${piece.role} ${show.entered('mass', piece.massKg)}`
  }
}

export function lineSpec(line: { material: keyof typeof MATERIALS; strengthN: number }, show: Show): string {
  return `${MATERIALS[line.material].name} ${show.entered('strength', line.strengthN)}`
}

const connectionName = (joint: Joint) => connectionOf(joint.connection).name

/** The joint behind a link id, whether the trace's or the outfit's. */
function findJoint(trace: Trace, outfit: Outfit, linkId: string): Joint | undefined {
  const id = pieceOfLink(linkId)
  const piece = trace.pieces.find((candidate) => candidate.id === id)
  return piece ? jointOf(piece) : outfit.wound.find(({ role }) => role === id)?.joint
}

/** What a link is called in a sentence: “FG at the leader”, “main line”. */
export function linkName(trace: Trace, outfit: Outfit, linkId: string): string {
  const id = pieceOfLink(linkId)
  const wound = outfit.wound.find(({ role }) => role === id)
  const piece = trace.pieces.find((candidate) => candidate.id === id)
  const name = wound ? woundName(wound) : piece ? pieceName(piece) : id.replaceAll('-', ' ')
  if (linkId === id) return name
  const joint = findJoint(trace, outfit, linkId)
  return joint ? `${connectionName(joint)} at ${withArticle(name)}` : name
}

export type ReachLabel = { above: string[]; below?: string }

/** What the reach writes at an item: above the strip what it is, below it the length. */
export function reachLabel(trace: Trace, outfit: Outfit, id: string, show: Show): ReachLabel {
  if (id === 'reel') return { above: ['reel'] }
  const joint = pieceOfLink(id) === id ? undefined : findJoint(trace, outfit, id)
  if (joint) return { above: inTwoLines(connectionName(joint).replace(/ \(.*\)/, '')) }
  const wound = outfit.wound.find(({ role }) => role === id)
  if (wound)
    return {
      above: [woundName(wound), lineSpec(wound, show)],
      ...(wound.lengthM ? { below: show.entered('length', wound.lengthM) } : {}),
    }
  const piece = trace.pieces.find((candidate) => candidate.id === id)
  if (!piece) return { above: [] }
  if (isLine(piece)) return { above: [pieceName(piece), lineSpec(piece, show)], below: show.entered('length', piece.lengthM) }
  if (piece.role === 'bait') return { above: inTwoLines(BAITS[piece.bait].name) }
  if (piece.role === 'sinker') return { above: [show.entered('mass', piece.massKg), SINKER_SHAPES[piece.shape].name] }
  if (piece.role === 'hook') return { above: [piece.size, HOOK_PATTERNS[piece.pattern].name] }
  if (piece.role === 'hardware') return { above: inTwoLines(pieceSpec(piece, show)) }
  return { above: [piece.role, show.entered('mass', piece.massKg)] }
}

function inTwoLines(name: string): string[] {
  const words = name.split(' ')
  if (words.length < 2 || name.length <= 8) return [name]
  const cut = words.length === 2 ? 1 : Math.ceil(words.length / 2)
  return [words.slice(0, cut).join(' '), words.slice(cut).join(' ')]
}

import { linkKey, pieceIdOf, woundRef } from '../documents/linkRef.ts'
import type { WoundLine } from '../documents/outfit.ts'
import { hungFrom, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, ReleaseClip, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { CoreError } from '../errors.ts'
import { massOfKg } from '../setup/masses.ts'
import { type Link, linkFinder } from '../setup/pathLinks.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import type { PathElement } from '../soundness/paths.ts'

/** Turns of leader wanted on the spool as the cast begins. */
const TURNS_ON_SPOOL = 4
/** Spread of a release clip. Nominal, as a snap's. */
const CLIP_SPREAD = 0.08

/** What a way through the trace ends at. */
const ENDS: readonly string[] = ['hook', 'lure', 'sinker', 'bait']

/** A link that is loaded in the cast, the mass that flies beyond it, and the end that the most of that is on the way to. */
export type CastLink = Link & { massKg: number; end: string }

export type CastBegin = {
  wound: WoundLine[]
  /** What the cast begins at: the trace's leader, the wound-on top shot, or the main line. */
  beginsAt: 'leader' | 'topShot' | 'main'
  leaderM: number
  leaderNeededM: number
  /** Turns of the leader that lie on the spool as the cast begins; below zero where it does not reach. */
  turnsOnSpool: number
}

/** Where the cast begins: the leader, or leader and top shot together, when long enough to lie on the spool. */
export function beginOf({ outfit, conditions, spool, tracePath }: PreparedSetup, carrier: Piece): CastBegin {
  const turnM = 2 * Math.PI * spool.radiusFullM
  const offSpoolM = conditions.dropM + outfit.rod.lengthM
  const leaderNeededM = offSpoolM + TURNS_ON_SPOOL * turnM
  const leaderM = leaderLengthM(tracePath(carrier.id))
  const shared = { leaderM, leaderNeededM, turnsOnSpool: (leaderM - offSpoolM) / turnM }
  if (leaderM >= leaderNeededM) return { ...shared, beginsAt: 'leader', wound: [] }
  const top = outfit.wound.findIndex(({ role }) => role === 'topShot')
  const topM = top < 0 ? 0 : (spool.layers[top]?.lengthM ?? 0)
  if (leaderM + topM >= leaderNeededM) return { ...shared, beginsAt: 'topShot', wound: outfit.wound.slice(top) }
  const main = outfit.wound.findIndex(({ role }) => role === 'main')
  return { ...shared, beginsAt: 'main', wound: outfit.wound.slice(main) }
}

/** Leader at the head of the path: only what is tied to the outfit's line, as one length, can lie on the spool. */
function leaderLengthM(path: readonly PathElement[]): number {
  const head = path.find((element) => element.kind === 'line')
  if (head?.kind !== 'line' || head.line.role !== 'leader') return 0
  const { attach } = head.line
  return attach.how === 'joined' && attach.to === OUTFIT ? head.line.lengthM : 0
}

/**
 * Every link that is loaded in the cast, with all that flies beyond it: what hangs on each branch counts on the way to it. What a
 * release clip bridges leaves the way, and a bait that a clip holds down loads the line that the clip is on.
 */
export function castLinks(setup: PreparedSetup, begin: CastBegin): CastLink[] {
  const { trace, catalogue } = setup
  const linksOf = linksFromBegin(setup, begin)
  const held = clippedDown(trace)
  const links = new Map<string, CastLink & { mostKg: number }>()
  for (const piece of trace.pieces) {
    const massKg = massOfKg(catalogue, piece)
    if (massKg === 0) continue
    const path = linksOf(upTo(wayTo(setup, piece), held.get(piece.id)))
    const end = endOf(trace, piece)
    const mostKg = ENDS.includes(end.role) ? massKg : 0
    for (const link of (trace.releaseClips ?? []).reduce((bare, clip) => bridged(bare, clip, piece), path)) {
      const known = links.get(link.id)
      if (!known) {
        links.set(link.id, { ...link, massKg, end: end.id, mostKg })
        continue
      }
      known.massKg += massKg
      known.strengthN = Math.min(known.strengthN, link.strengthN)
      if (mostKg <= known.mostKg) continue
      known.mostKg = mostKg
      known.end = end.id
    }
  }
  return [...links.values()].map(({ mostKg: _, ...link }) => link)
}

/** The links of a path from where the cast begins: on the leader, the leader’s own knot lies on the spool under its turns. */
function linksFromBegin(setup: PreparedSetup, { wound, beginsAt }: CastBegin): (path: readonly PathElement[]) => Link[] {
  const { catalogue, conditions, out } = setup
  const [lowest] = wound
  // With the line of a run out, what the cast begins at may still lie on the spool.
  const isOut = lowest === undefined || out.some(({ line }) => line === lowest)
  const linksOf = isOut ? setup.linksOf : linkFinder({ catalogue, wound, conditions })
  return (path) => {
    const links = linksOf(path)
    const first = beginsAt === 'leader' ? path.find(({ kind }) => kind === 'line')?.ref : lowest && woundRef(lowest.role)
    const from = first === undefined ? -1 : links.findIndex(({ id }) => id === linkKey(first))
    return from < 0 ? [] : links.slice(from)
  }
}

/** The way to a piece; where it slides with nothing to bear on, or hangs from what does, that to the line it is on. */
function wayTo({ trace, tracePath }: PreparedSetup, piece: Piece): readonly PathElement[] {
  try {
    return tracePath(piece.id)
  } catch (error) {
    if (!(error instanceof CoreError) || error.code !== 'no-path') throw error
    const line = lineById(trace, parentId(piece.attach))
    return line ? tracePath(line.id) : []
  }
}

/** The hook that a bait is on; any other piece is its own end. */
function endOf(trace: Trace, piece: Piece): Piece {
  const on = pieceById(trace, parentId(piece.attach))
  return piece.role === 'bait' && on ? on : piece
}

/**
 * What clips hold down in the cast: the pieces beyond a snood that hangs from a line with a bait clip on it, one snood a clip, with
 * that line.
 */
export function clippedDown(trace: Trace): Map<string, string> {
  const held = new Map<string, string>()
  for (const clip of trace.pieces) {
    if (clip.role !== 'hardware' || clip.type !== 'baitClip') continue
    const line = parentId(clip.attach)
    const snood = trace.pieces.find((piece) => piece.role === 'snood' && !held.has(piece.id) && lineBeside(trace, piece) === line)
    if (!snood) continue
    for (const id of beyond(trace, snood.id)) held.set(id, line)
  }
  return held
}

/** The line that a snood hangs on, by way of what it is tied to. */
function lineBeside(trace: Trace, piece: Piece): string | undefined {
  const parent = parentId(piece.attach)
  if (lineById(trace, parent)) return parent
  const on = pieceById(trace, parent)
  return on && parentId(on.attach)
}

/** A piece and all that hangs from it. */
function beyond(trace: Trace, id: string): Set<string> {
  const all = new Set([id])
  for (const above of all) for (const piece of hungFrom(trace, above)) all.add(piece.id)
  return all
}

/** A path no further than the last of a line on it; the whole where none is named. */
function upTo(path: readonly PathElement[], line: string | undefined): readonly PathElement[] {
  const last = line === undefined ? -1 : path.findLastIndex((element) => element.kind === 'line' && element.id === line)
  return last < 0 ? path : path.slice(0, last + 1)
}

/** The links strictly between a clip's ends leave the way to a piece; the clip itself takes their place. */
function bridged(links: Link[], clip: ReleaseClip, piece: Piece): Link[] {
  const from = clip.from === OUTFIT ? -1 : links.findLastIndex(({ ref }) => pieceIdOf(ref) === clip.from)
  const end = links.findIndex(({ id }) => id === clip.to)
  // A sinker makes no link of its own: it ends the path.
  const to = end >= 0 ? end : clip.to === piece.id ? links.length : -1
  if (to < 0 || (from < 0 && clip.from !== OUTFIT)) return links
  const own: Link = {
    id: clip.id,
    ref: { at: 'clip', id: clip.id },
    kind: 'part',
    strengthN: clip.strengthN,
    variation: CLIP_SPREAD,
    failing: [{ id: clip.id, meanN: clip.strengthN, variation: CLIP_SPREAD }],
    governedBy: 'self',
    origin: 'nominal',
  }
  return [...links.slice(0, from + 1), own, ...links.slice(to)]
}

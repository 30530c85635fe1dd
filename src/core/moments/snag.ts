import { type Replacement, replacementOf } from '../build/replacement.ts'
import type { Link } from '../strength/pathLinks.ts'
import { jointOf, type Piece, parentId, pieceOfLink, type Trace } from '../trace/schema.ts'
import { type Fuse, fuseOf } from './fuse.ts'
import { gradeAtLeast, type Input, type Moment, type Verdict, worstOf } from './moment.ts'
import { weakLinkIds } from './weakLink.ts'
import type { EndPath, Workings } from './workings.ts'

/** Chances that hold or are to be watched: for a weak link, and for a break at the fuse or beyond. */
const WEAK_LINK = { holds: 0.98, watch: 0.9 }
const FUSE = { holds: 0.9, watch: 0.6 }

export type SnagPath = {
  end: string
  links: Link[]
  first: number[]
  goesFirst: Fuse
  /** What the pull leaves on the bottom when that link goes. */
  lost: string[]
  /** What making that anew takes. */
  replacement: Replacement
  wanted: 'weakLink' | 'fuse'
  /** Chance that the break falls where it is wanted. */
  chance: number
  /** Weak link over the weakest link above it; absent where none is wanted. */
  weakLinkShare?: number
  verdict: Verdict
  margin: number
}
export type Snag = Moment & { paths: SnagPath[] }

/**
 * Snag: a pull for a break from each sinker and each hook. Where a weak link to the sinker is wanted, the chance that it goes
 * first decides; else the chance that the break falls at the fuse or beyond it. Without a chosen fuse the trace's own
 * knot to the outfit counts: the main line is not to be lost.
 */
export function snagMoment(workings: Workings): Snag | undefined {
  const paths = workings.ends.map((end) => snagPath(workings, workings.path(end.id)))
  const worst = worstOf(paths)
  if (!worst) return undefined
  return {
    moment: 'snag',
    verdict: worst.verdict,
    end: worst.end,
    decides: worst.goesFirst.id,
    figure: { name: worst.wanted === 'weakLink' ? 'weakLinkGoesFirst' : 'breaksAtFuseOrBeyond', value: worst.chance, unit: '' },
    margin: worst.margin,
    inputs: inputsOf(worst),
    paths,
  }
}

function snagPath({ trace }: Workings, path: EndPath): SnagPath {
  const weak = path.end.role === 'sinker' ? weakLinkIds(trace, path) : undefined
  const goesFirst = fuseOf(path)
  const lost = lostBelow(trace, goesFirst.id)
  const shared = {
    end: path.end.id,
    links: path.links,
    first: path.first,
    goesFirst,
    lost,
    replacement: replacementOf(trace, lost),
  }
  if (weak) {
    const chance = sumWhere(path, (link) => weak.has(link.id))
    const weakN = Math.min(...path.links.filter((link) => weak.has(link.id)).map(({ strengthN }) => strengthN))
    const above = path.links.slice(
      0,
      path.links.findIndex((link) => weak.has(link.id)),
    )
    const restN = Math.min(...above.map(({ strengthN }) => strengthN))
    return { ...shared, wanted: 'weakLink', chance, weakLinkShare: weakN / restN, ...graded(chance, WEAK_LINK) }
  }
  const from = fuseIndex(trace, path)
  const chance = sumWhere(path, (_, i) => i >= from)
  return { ...shared, wanted: 'fuse', chance, ...graded(chance, FUSE) }
}

const graded = (chance: number, limits: { holds: number; watch: number }) => ({
  verdict: gradeAtLeast(chance, limits.holds, limits.watch),
  margin: chance / limits.holds,
})

function sumWhere({ links, first }: EndPath, wanted: (link: Link, i: number) => boolean): number {
  return Math.min(
    1,
    links.reduce((sum, link, i) => sum + (wanted(link, i) ? first[i]! : 0), 0),
  )
}

function fuseIndex(trace: Trace, { links }: EndPath): number {
  const chosen = trace.fuse === undefined ? -1 : links.findIndex(({ id }) => id === trace.fuse)
  if (chosen >= 0) return chosen
  const own = new Set(trace.pieces.map(({ id }) => id))
  return links.findIndex(({ id }) => own.has(pieceOfLink(id)))
}

/**
 * The pieces that a break leaves behind: the broken link's own piece, all that hangs from it, and, where a line broke,
 * whatever slid on it. A knot tied part-way in a line takes what lies beyond its place.
 */
export function lostBelow(trace: Trace, linkId: string): string[] {
  const id = pieceOfLink(linkId)
  const piece = trace.pieces.find((candidate) => candidate.id === id)
  // The outfit's own line broke: the whole trace is gone.
  if (!piece) return trace.pieces.map((each) => each.id)
  const partWay = piece.attach.how === 'fixed' && linkId !== id && jointOf(piece) ? piece.attach : undefined
  const lost = new Set([id])
  const take = (gone: (candidate: Piece) => boolean) => {
    for (const candidate of trace.pieces) if (!lost.has(candidate.id) && gone(candidate)) lost.add(candidate.id)
  }
  if (partWay) take((candidate) => parentId(candidate.attach) === partWay.on && isBeyond(candidate, partWay.atM))
  for (let before = 0; before < lost.size; ) {
    before = lost.size
    take((candidate) => lost.has(parentId(candidate.attach)))
  }
  return trace.pieces.filter((candidate) => lost.has(candidate.id)).map((candidate) => candidate.id)
}

function isBeyond({ attach }: Piece, atM: number): boolean {
  return attach.how === 'joined' ? attach.end !== 'near' : attach.how !== 'through' && attach.atM > atM
}

function inputsOf(worst: SnagPath): Input[] {
  return [
    {
      name: 'wanted',
      value: worst.wanted === 'weakLink' ? 'weak link goes first' : 'break at the fuse or beyond',
      unit: '',
      from: 'rule',
    },
    ...(worst.weakLinkShare === undefined
      ? []
      : [{ name: 'weak link over the weakest of the rest', value: worst.weakLinkShare, unit: '', from: 'computed' as const }]),
    ...worst.links.map((link): Input => ({ name: link.id, value: link.strengthN, unit: 'N', from: link.basis })),
  ]
}

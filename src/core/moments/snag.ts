import { type LinkRef, linkKey, pieceIdOf } from '../documents/linkRef.ts'
import { hungFrom, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import type { Link } from '../setup/pathLinks.ts'
import { type EndPath, failingOf, type PreparedSetup } from '../setup/prepareSetup.ts'
import { type Replacement, replacements } from '../setup/replacement.ts'
import { chainRequest } from './chainRequest.ts'
import { type Fuse, fuseOf } from './fuse.ts'
import {
  type CalculationRequest,
  gradeAtLeast,
  type Input,
  type MomentKind,
  type MomentResult,
  type Verdict,
  worstOf,
} from './moment.ts'
import { FUSE_CHANCE, WEAK_LINK_CHANCE } from './thresholds.ts'
import { weakLinkKeys } from './weakLink.ts'

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
export type Snag = MomentResult<'snag'> & { paths: SnagPath[]; deciding: SnagPath }

/** A pull for a break from each sinker and each hook. */
export const SNAG: MomentKind<Snag> = {
  judge: judgeSnag,
  derive: deriveSnag,
  levers: [{ of: 'conditions', field: 'lineOutM', quantity: 'length' }],
}

/**
 * Where a weak link to the sinker is wanted, the chance that it goes first decides; else the chance that the break falls at the
 * fuse or beyond it. Without a chosen fuse the trace's own knot to the outfit counts: the main line is not to be lost.
 */
function judgeSnag(setup: PreparedSetup): Snag | undefined {
  const replace = replacements(setup)
  const paths = setup.ends.map((end) => snagPath(setup.trace, setup.path(end.id), replace))
  const deciding = worstOf(paths)
  if (!deciding) return undefined
  return {
    moment: 'snag',
    verdict: deciding.verdict,
    end: deciding.end,
    decides: deciding.goesFirst.ref,
    figure: {
      key: deciding.wanted === 'weakLink' ? 'weakLinkGoesFirst' : 'breaksAtFuseOrBeyond',
      quantity: 'share',
      value: deciding.chance,
    },
    margin: deciding.margin,
    inputs: inputsOf(deciding),
    paths,
    deciding,
  }
}

function snagPath(trace: Trace, path: EndPath, replace: ReturnType<typeof replacements>): SnagPath {
  const weak = path.end.role === 'sinker' ? weakLinkKeys(trace, path) : undefined
  const goesFirst = fuseOf(path)
  const lost = lostBelow(trace, goesFirst.ref)
  const replacement = replace(lost)
  const shared = { end: path.end.id, links: path.links, first: path.first, goesFirst, lost, replacement }
  if (weak) {
    const chance = sumWhere(path, (link) => weak.has(link.id))
    const weakN = Math.min(...path.links.filter((link) => weak.has(link.id)).map(({ strengthN }) => strengthN))
    const above = path.links.slice(
      0,
      path.links.findIndex((link) => weak.has(link.id)),
    )
    const restN = Math.min(...above.map(({ strengthN }) => strengthN))
    return { ...shared, wanted: 'weakLink', chance, weakLinkShare: weakN / restN, ...graded(chance, WEAK_LINK_CHANCE) }
  }
  const from = fuseIndex(trace, path)
  const chance = sumWhere(path, (_, i) => i >= from)
  return { ...shared, wanted: 'fuse', chance, ...graded(chance, FUSE_CHANCE) }
}

const graded = (chance: number, limits: { holds: number; watch: number }) => ({
  verdict: gradeAtLeast(chance, limits),
  margin: chance / limits.holds,
})

function sumWhere({ links, first }: EndPath, wanted: (link: Link, i: number) => boolean): number {
  return Math.min(
    1,
    links.reduce((sum, link, i) => sum + (wanted(link, i) ? (first[i] ?? 0) : 0), 0),
  )
}

/** Where the chosen fuse lies, or the trace's own links begin; a top shot and its join count as the trace's: the main line is what is not to be lost. */
function fuseIndex(trace: Trace, { links }: EndPath): number {
  const key = trace.fuse && linkKey(trace.fuse)
  const chosen = links.findIndex(({ id }) => id === key)
  return chosen >= 0 ? chosen : links.findIndex(({ ref }) => pieceIdOf(ref) !== undefined || isTopShot(ref))
}

const isTopShot = (ref: LinkRef): boolean => (ref.at === 'wound' || ref.at === 'woundJoint') && ref.role === 'topShot'

/**
 * The pieces that a break leaves behind: the broken link's own piece, all that hangs from it, and, where a line broke,
 * whatever slid on it. A knot tied part-way in a line takes what lies beyond its place.
 */
export function lostBelow(trace: Trace, broken: LinkRef): string[] {
  const id = pieceIdOf(broken)
  const piece = id === undefined ? undefined : pieceById(trace, id)
  // The outfit's own line broke: the whole trace is gone.
  if (!piece) return trace.pieces.map((each) => each.id)
  const partWay = piece.attach.how === 'fixed' && broken.at === 'joint' ? piece.attach : undefined
  const lost = new Set([piece.id])
  if (partWay) for (const each of hungFrom(trace, partWay.on)) if (isBeyond(each, partWay.atM)) lost.add(each.id)
  // A set is walked through to what is added on the way.
  for (const gone of lost) for (const each of hungFrom(trace, gone)) lost.add(each.id)
  return trace.pieces.filter((candidate) => lost.has(candidate.id)).map((candidate) => candidate.id)
}

function isBeyond({ attach }: Piece, atM: number): boolean {
  return attach.how === 'joined' ? attach.end !== 'near' : attach.how !== 'through' && attach.atM > atM
}

function inputsOf({ wanted, weakLinkShare, links }: SnagPath): Input[] {
  return [
    { key: 'wantedBreak', quantity: 'word', value: wanted, origin: 'rule' },
    ...(weakLinkShare === undefined
      ? []
      : [{ key: 'weakLinkShare', quantity: 'ratio', value: weakLinkShare, origin: 'computed' } as const]),
    ...links.map(
      (link): Input => ({ key: 'link', quantity: 'strength', value: link.strengthN, origin: link.origin, ref: link.ref }),
    ),
  ]
}

function deriveSnag(setup: PreparedSetup, { deciding }: Snag): CalculationRequest[] {
  return [
    chainRequest(setup, deciding.end),
    {
      calculation: 'strength.failure',
      input: { links: failingOf(deciding.links), loadN: 0 },
      from: { links: 'nominal', loadN: 'rule' },
    },
  ]
}

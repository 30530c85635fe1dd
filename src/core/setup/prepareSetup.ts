import type { Outfit } from '../documents/outfit.ts'
import { pieceNamed } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { freeLine, type LineOut, linesOut, spoolOf } from '../outfits/outfitLines.ts'
import type { SpoolFill } from '../physics/spool/fill.ts'
import type { FailingLink } from '../physics/strength/failingLinks.ts'
import { chanceFinder } from '../physics/strength/failure.ts'
import { endsOf, lineUp, type PathElement, pathToPiece } from '../soundness/paths.ts'
import { givenDrag, usualDragN } from './drag.ts'
import { lineOutInRunM } from './lineWanted.ts'
import { type Moved, movedOf } from './moving/moved.ts'
import { type Link, linkFinder } from './pathLinks.ts'
import type { Setup } from './setup.ts'

/** A path from the reel to one end: its links, the weakest, the chance that each goes first, and that nothing goes at a load. */
export type EndPath = { end: Piece; links: Link[]; weakest: Link; first: number[]; survival: (loadN: number) => number }

/** A setup with what its moments share, so that no chain is worked out twice. */
export type PreparedSetup = Setup & {
  /** Line out in a run, m: at least what the water asks for. */
  lineOutM: number
  spool: SpoolFill
  /** Lines at least partly out, with their lengths. */
  out: LineOut[]
  /** Hooks, lures and sinkers. */
  ends: Piece[]
  /** Reel to end, with the line out as the conditions say. */
  path: (endId: string) => EndPath
  tracePath: (endId: string) => PathElement[]
  /** The links of any path of the trace, with those of the outfit’s lines that are out before them. */
  linksOf: (path: readonly PathElement[]) => Link[]
  /** Chance that no link breaks at a load with the fish a rod’s length under the rod tip. Line on the reel does not count. */
  survivalUnderTip: (endId: string, loadN: number) => number
  /** What comes of the way its line moves; @throws CoreError as `movedOf` does. */
  moved: () => Moved | undefined
}

/** What `strength.failure` is asked of links, each line that a joint is a share of among them; and how many of it each link ends at. */
function failingOfEach(links: readonly Link[]): { all: FailingLink[]; ends: number[] } {
  const lines = new Set<string>()
  for (const { id } of links) lines.add(id)
  const all: FailingLink[] = []
  const ends = links.map(({ failing }) => {
    for (const [i, each] of failing.entries()) if (i === 0 || !('line' in each) || lines.has(each.line)) all.push(each)
    return all.length
  })
  return { all, ends }
}

/** Of a joint that either of its lines may give: the chances of both together. */
function summedTo(ends: readonly number[], each: readonly number[]): number[] {
  let at = 0
  return ends.map((end) => {
    let sum = 0
    for (; at < end; at += 1) sum += each[at]!
    return sum
  })
}

export const failingOf = (links: readonly Link[]): FailingLink[] => failingOfEach(links).all

/** @throws CoreError where the spool cannot give the line out. The trace must be sound and fit the outfit. */
export function prepareSetup(setup: Setup): PreparedSetup {
  const { trace, outfit, catalogue } = setup
  const lineOutM = lineOutInRunM(setup)
  const spool = spoolOf(catalogue, outfit, lineOutM)
  const out = linesOut(outfit, spool, lineOutM)
  const wound = out.map(({ line }) => line)
  const tracePath = remember((id) => pathToPiece(trace, id))
  const linksOf = linkFinder({ catalogue, wound, conditions: setup.conditions })
  const chancesOf = chanceFinder()
  const path = remember((id: string): EndPath => {
    const links = linksOf(tracePath(id))
    const { all, ends } = failingOfEach(links)
    const { first, survival } = chancesOf(all)
    return { end: pieceNamed(trace, id), links, weakest: weakestOf(links), first: summedTo(ends, first()), survival }
  })
  const underTip = remember((id: string) => {
    const elements = tracePath(id)
    return chancesOf(failingOf(linksFrom(outfit, path(id).links, elements, lineUp(elements, outfit.rod.lengthM))))
  })
  const ends = endsOf(trace)
  const conditions = setup.conditions.dragAssumed ? { ...setup.conditions, dragN: dragOf() } : setup.conditions
  function dragOf(): number {
    const weakestN = ends.filter(({ role }) => role !== 'sinker').map(({ id }) => path(id).weakest.strengthN)
    return usualDragN({ ...setup, spool, out }, weakestN.length > 0 ? Math.min(...weakestN) : undefined)
  }
  const { moving } = conditions
  let known: Moved | undefined
  const moved = () => {
    known ??= moving && movedOf({ ...setup, conditions }, moving)
    return known
  }
  return {
    ...setup,
    conditions,
    lineOutM,
    spool,
    out,
    ends,
    path,
    tracePath,
    linksOf,
    survivalUnderTip: (id, loadN) => underTip(id).survival(loadN),
    moved,
  }
}

/** The links of a path from a line of its trace on; from the outfit’s own line where there is none. */
export function linksFrom(
  outfit: Outfit,
  links: readonly Link[],
  elements: readonly PathElement[],
  from: { index: number } | undefined,
): Link[] {
  const { role } = freeLine(outfit)
  if (!from) return links.slice(links.findIndex(({ id }) => id === role))
  const below = new Set(elements.slice(from.index).map(({ id }) => id))
  return links.filter(({ id }) => below.has(id))
}

export function weakestOf(links: readonly Link[]): Link {
  return links.reduce((lowest, link) => (link.strengthN < lowest.strengthN ? link : lowest))
}

function remember<T>(compute: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>()
  return (id) => {
    const found = known.get(id)
    if (found !== undefined) return found
    const made = compute(id)
    known.set(id, made)
    return made
  }
}

/** A setup in which a drag that follows the chain is the one that it follows to, given: what else changes does not move it. */
export const withDragGiven = (setup: Setup): Setup =>
  setup.conditions.dragAssumed
    ? { ...setup, conditions: { ...setup.conditions, ...givenDrag(prepareSetup(setup).conditions.dragN) } }
    : setup

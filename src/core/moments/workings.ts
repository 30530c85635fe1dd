import type { SpoolFill } from '../spool/fill.ts'
import { firstToGo } from '../strength/failure.ts'
import { type Link, pathLinks } from '../strength/pathLinks.ts'
import type { Conditions } from '../trace/conditions.ts'
import { linesOut, type Outfit, spoolOf, type WoundLine } from '../trace/outfit.ts'
import { endsOf, type PathElement, pathToPiece } from '../trace/paths.ts'
import type { Piece, Trace } from '../trace/schema.ts'

/** A path from the reel to one end: its links, the weakest, and the chance that each goes first. */
export type EndPath = { end: Piece; links: Link[]; weakest: Link; first: number[] }

/** What the moments of one evaluation share, so that no chain is worked out twice. */
export type Workings = {
  trace: Trace
  outfit: Outfit
  conditions: Conditions
  spool: SpoolFill
  /** Lines at least partly out, with their lengths. */
  out: { line: WoundLine; outM: number }[]
  ends: Piece[]
  /** Reel to end, with the line out as the conditions say. */
  path: (endId: string) => EndPath
  tracePath: (endId: string) => PathElement[]
}

/** @throws CoreError where the spool cannot give the line out. The trace must be sound and fit the outfit. */
export function prepare(trace: Trace, outfit: Outfit, conditions: Conditions): Workings {
  const spool = spoolOf(outfit, conditions.lineOutM)
  const out = linesOut(outfit, spool, conditions.lineOutM)
  const ends = endsOf(trace)
  const elements = remember((id: string) => pathToPiece(trace, id))
  const path = remember((id: string): EndPath => {
    const links = pathLinks(
      out.map(({ line }) => line),
      elements(id),
      conditions.wet,
    )
    return { end: ends.find((end) => end.id === id)!, links, weakest: weakestOf(links), first: firstToGo(asUncertain(links)) }
  })
  return { trace, outfit, conditions, spool, out, ends, path, tracePath: elements }
}

export function weakestOf(links: readonly Link[]): Link {
  return links.reduce((lowest, link) => (link.strengthN < lowest.strengthN ? link : lowest))
}

export const asUncertain = (links: readonly Link[]) =>
  links.map(({ id, strengthN, variation }) => ({ id, meanN: strengthN, variation }))

function remember<T>(compute: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>()
  return (id) => {
    if (!known.has(id)) known.set(id, compute(id))
    return known.get(id)!
  }
}

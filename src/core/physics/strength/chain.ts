/** One element of a path from reel to end. `strands` and `condition` are 1 unless said. */
export type ChainElement =
  | { type: 'line'; id: string; strengthN: number; strands?: number | undefined; condition?: number | undefined }
  | { type: 'joint'; id: string; efficiencyAbove: number; efficiencyBelow: number }
  | { type: 'hardware'; id: string; strengthN: number }

export type ChainLink = { id: string; strengthN: number; governedBy: 'self' | 'above' | 'below' }
export type Chain = { links: ChainLink[]; weakest: { id: string; strengthN: number } }

/**
 * Effective strength of every link of a path, and the weakest. A joint is as strong as the weaker of the lines directly
 * beside it, each times the joint's efficiency in it; a side that is no line does not count. Efficiencies of several
 * joints are never multiplied together: a chain is as strong as its weakest link. On equal strengths `above`, and the
 * first link, win.
 * @param path elements in order from the reel, strengths in N; at least one, and every joint beside a line.
 * Source: weakest-link chain; effective joint strength as tied (nominal efficiencies in core/gear/connections).
 */
export function strengthChain(path: readonly ChainElement[]): Chain {
  const links = path.map((element, i) => chainLink(element, path[i - 1], path[i + 1]))
  const weakest = links.reduce((lowest, link) => (link.strengthN < lowest.strengthN ? link : lowest))
  return { links, weakest: { id: weakest.id, strengthN: weakest.strengthN } }
}

/** One link of a chain, by what is directly beside it. */
export function chainLink(element: ChainElement, before: ChainElement | undefined, after: ChainElement | undefined): ChainLink {
  if (element.type === 'hardware') return { id: element.id, strengthN: element.strengthN, governedBy: 'self' }
  if (element.type === 'line') return { id: element.id, strengthN: lineStrengthN(element), governedBy: 'self' }
  const above = element.efficiencyAbove * besideN(before)
  const below = element.efficiencyBelow * besideN(after)
  return below < above
    ? { id: element.id, strengthN: below, governedBy: 'below' }
    : { id: element.id, strengthN: above, governedBy: 'above' }
}

/** What a line holds in its condition, N. */
export function lineStrengthN(line: { strengthN: number; strands?: number | undefined; condition?: number | undefined }): number {
  return line.strengthN * (line.strands ?? 1) * (line.condition ?? 1)
}

function besideN(element: ChainElement | undefined): number {
  return element?.type === 'line' ? lineStrengthN(element) : Number.POSITIVE_INFINITY
}

import type { Point } from './curve.ts'
import type { Picture, PicturedStrand } from './picture.ts'

/** From so many turns on, only the first and last of them are drawn, and their number said. */
const MAX_TURNS = 11
/** Turns that are drawn on either side of what is left out. */
const KEPT_TURNS = 4
/** Room for the number, in radii. */
const GAP = 9

/** A picture with the middle of its long wraps left out: where, and how many turns there are in all where they are counted. */
export type Elided = { picture: Picture; left?: { x: number; width: number; turns: number | undefined } }

/**
 * Leaves out the middle of the longest row of wraps where it has very many turns; what is right of it comes nearer. Every strand is cut
 * where it enters what is left out.
 */
export function elided(picture: Picture): Elided {
  const rows = picture.strands.flatMap(({ points, wraps }) =>
    wraps.map(({ from, to, turns, counted }) => ({ xs: [points[from]![0], points[to]![0]] as const, turns, counted })),
  )
  const longest = rows.toSorted((a, b) => b.turns - a.turns)[0]
  if (!longest || longest.turns <= MAX_TURNS) return { picture }
  const [low, high] = [Math.min(...longest.xs), Math.max(...longest.xs)]
  const kept = ((high - low) * KEPT_TURNS) / longest.turns
  const [from, to] = [low + kept, high - kept]
  const by = to - from - GAP
  const move = ([x, y, z]: Point): Point => [x >= to ? x - by : x, y, z]
  const strands = picture.strands.flatMap((strand) => cut(strand, from, to, move))
  return {
    picture: { ...picture, strands },
    left: { x: from, width: GAP, turns: longest.counted ? Math.round(longest.turns) : undefined },
  }
}

/** The pieces of a strand outside of what is left out. */
function cut(strand: PicturedStrand, from: number, to: number, move: (point: Point) => Point): PicturedStrand[] {
  const { points, fresh, start, end, loop, hand, ...rest } = strand
  const outside = (i: number) => points[i]![0] <= from || points[i]![0] >= to
  const pieces: PicturedStrand[] = []
  let begun: number | undefined
  for (let i = 0; i <= points.length; i += 1) {
    if (i < points.length && outside(i)) {
      begun ??= i
      continue
    }
    if (begun !== undefined && i - begun > 1) {
      const [first, last] = [begun, i - 1]
      const news = fresh && { from: Math.max(0, fresh.from - first), to: Math.min(last, fresh.to) - first }
      pieces.push({
        ...rest,
        points: points.slice(first, i).map(move),
        wraps: [],
        ...(news && news.from < news.to ? { fresh: news } : {}),
        ...(loop !== undefined && loop > first && loop < last ? { loop: loop - first } : {}),
        ...(hand !== undefined && hand > first && hand <= last ? { hand: hand - first } : {}),
        ...(first === 0 && start ? { start } : {}),
        ...(last === points.length - 1 && end ? { end } : {}),
      })
    }
    begun = undefined
  }
  return pieces
}

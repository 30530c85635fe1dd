import { CoreError } from '../../errors.ts'
import { forEachGaussPoint } from '../../math/gaussLegendre.ts'
import { normalCdf, normalPdf } from '../../math/normal.ts'
import { type FailingLink, type Group, groupsOf, type ShareOfLine } from './failingLinks.ts'
import { type Chances, failureTables } from './failureTables.ts'

export type Failure = { first: { id: string; probability: number }[]; survival: number }

/** Beyond this many deviations a normal density is under 1e-16 of its peak. */
const REACH = 8.5
/** Widest cell of the grid, in deviations of the narrowest link that is bending there: eight Gauss points then err by under 1e-10. */
const CELL = 2
/** A narrower spread is below what the steps of a double can resolve around its mean. */
const MIN_VARIATION = 1e-9
/** Under this chance of everything still being whole, what follows adds nothing that a double can hold. */
const NOTHING_LEFT = 1e-17

/**
 * Chance that each link goes first, and that nothing goes at `loadN`.
 * @param links strengths in N, variation > 0 (a ratio); a joint may be a share of its line.
 * @param loadN pull for `survival`, N.
 * @returns chances in the order of `links`; they sum to 1.
 * @throws CoreError 'out-of-range' for a variation under 1e-9.
 * Source: order statistics of normal variables; joints of one line are independent once its strength is known.
 */
export function strengthFailure(links: readonly FailingLink[], loadN: number): Failure {
  checkVariations(links)
  const first = firstByCells(links, groupsOf(links))
  return { first: links.map(({ id }, i) => ({ id, probability: first[i]! })), survival: survivalAt(links, loadN) }
}

/** Chance that nothing goes at `loadN`: of each line with its joints, and of every other link, that it is whole. */
const survivalAt = (links: readonly FailingLink[], loadN: number): number =>
  groupsOf(links).reduce((all, group) => all * stateAt(group, loadN).whole, 1)

/** As `strengthFailure` to 5e-4, for chains that share most of their links: what one shares with another is worked out once. */
export function chanceFinder(): (links: readonly FailingLink[]) => Chances {
  const fromTables = failureTables()
  return (links) => {
    const groups = groupsOf(links)
    return (
      fromTables(links.length, groups) ?? {
        first: () => firstByCells(links, groups),
        survival: (loadN) => survivalAt(links, loadN),
      }
    )
  }
}

type Bump = { mean: number; deviation: number }
/**
 * At a load: fills in each link's density of going then, the rest of its group being whole, and the chance that its group is whole.
 * @returns the chance that everything is whole.
 */
type StateAt = (load: number, density: Float64Array, whole: Float64Array) => number

/**
 * One grid serves all links: cells as wide as the narrowest link whose density is alive there, eight Gauss points each, so a
 * narrow link among wide ones is resolved. The integral runs over the whole line of loads.
 */
function chancesOf(bumps: readonly Bump[], stateOf: StateAt): number[] {
  // Below the first density's reach every chance is zero, and past the link that ends first nothing is left whole.
  const begins = bumps.map(({ mean, deviation }) => mean - REACH * deviation)
  const end = Math.min(...bumps.map(({ mean, deviation }) => mean + REACH * deviation))
  const sums = new Float64Array(bumps.length)
  const whole = new Float64Array(bumps.length)
  const density = new Float64Array(bumps.length)
  // Nor is anything beyond a load that leaves nothing: with a hundred links alike that is soon after their mean.
  let gone = false
  for (let low = Math.min(...begins); low < end && !gone; ) {
    let high = end
    for (let i = 0; i < bumps.length; i += 1)
      high = Math.min(high, begins[i]! > low ? begins[i]! : low + CELL * bumps[i]!.deviation)
    forEachGaussPoint(low, high, (load, weight) => {
      const all = stateOf(load, density, whole)
      if (all < NOTHING_LEFT) {
        gone = true
        return
      }
      for (let i = 0; i < bumps.length; i += 1) if (density[i]! > 0) sums[i]! += (weight * density[i]! * all) / whole[i]!
    })
    low = high
  }
  const total = sums.reduce((sum, value) => sum + value, 0)
  return Array.from(sums, (sum) => sum / total)
}

/** Cell by cell, for any spread: groups of a line and its joints are independent of each other. */
function firstByCells(links: readonly FailingLink[], groups: readonly Group[]): number[] {
  const lineOf = new Map(groups.flatMap((group) => group.jointsAt.map((at) => [at, group.line] as const)))
  const bumps = links.map((link, i): Bump => {
    if ('meanN' in link) return { mean: link.meanN, deviation: link.variation * link.meanN }
    const { meanN, variation } = lineOf.get(i)!
    const mean = link.efficiency * meanN
    return { mean, deviation: mean * Math.hypot(link.variation, variation) }
  })
  return chancesOf(bumps, (load, density, whole) => {
    let all = 1
    for (const group of groups) {
      const state = stateAt(group, load)
      all *= state.whole
      for (const [i, at] of [group.at, ...group.jointsAt].entries()) {
        density[at] = state.densities[i]!
        whole[at] = state.whole
      }
    }
    return all
  })
}

/** A group at a load: the chance that it is whole, and the densities of the line and of each joint going then, in that order. */
function stateAt({ line, joints }: Group, load: number): { whole: number; densities: number[] } {
  const deviation = line.variation * line.meanN
  const lineDensity = (x: number) => normalPdf((x - line.meanN) / deviation) / deviation
  const holds = ({ efficiency, variation }: ShareOfLine, share: number) =>
    normalCdf((efficiency - share) / (variation * efficiency))
  if (joints.length === 0) return { whole: normalCdf((line.meanN - load) / deviation), densities: [lineDensity(load)] }

  const goes = new Float64Array(joints.length)
  let whole = 0
  // The line's strength x is over the load; each joint bends where it is x that makes its share, about load / efficiency.
  const low = Math.max(load, line.meanN - REACH * deviation, Number.MIN_VALUE)
  const bends = joints.map(({ efficiency, variation }) => ({
    from: load / (efficiency * (1 + REACH * variation)),
    to: load / Math.max(efficiency * (1 - REACH * variation), 0),
    deviation: (variation * load) / efficiency,
  }))
  const end = line.meanN + REACH * deviation
  for (let from = low; from < end; ) {
    let to = Math.min(end, from + CELL * deviation)
    for (const bend of bends)
      if (bend.from > from) to = Math.min(to, bend.from)
      else if (bend.to > from && bend.deviation > 0) to = Math.min(to, from + CELL * bend.deviation)
    forEachGaussPoint(from, to, (x, weight) => {
      const held = joints.map((joint) => holds(joint, load / x))
      const together = weight * lineDensity(x) * held.reduce((product, each) => product * each, 1)
      whole += together
      for (const [i, { efficiency, variation }] of joints.entries()) {
        const density = normalPdf((load / x - efficiency) / (variation * efficiency)) / (variation * efficiency * x)
        if (held[i]! > 0) goes[i]! += (together * density) / held[i]!
      }
    })
    from = to
  }
  return { whole, densities: [joints.reduce((product, joint) => product * holds(joint, 1), lineDensity(load)), ...goes] }
}

function checkVariations(links: readonly FailingLink[]): void {
  for (const { id, variation } of links)
    if (!(variation >= MIN_VARIATION))
      throw new CoreError('out-of-range', `The variation of ${id} is ${variation}, under ${MIN_VARIATION}`, {
        value: variation,
        id,
      })
}

import { normalCdf, normalPdf } from '../../math/normal.ts'
import type { Group, ShareOfLine, UncertainLink } from './failingLinks.ts'

/** Spreads that the tables resolve; narrower and wider ones are integrated cell by cell. */
const NARROWEST = 0.01
const WIDEST = 0.14
/** Deviations followed on either side: beyond is under 3e-7. With the widest spread the lowest load is still above 0. */
const REACH = 5
/** Steps of the logarithm of the load, at most half the narrowest spread. */
const STEPS = [0.015, NARROWEST / 2] as const
/** A chance that adds nothing. */
const NOTHING = 1e-20
/** Weights of the first steps where an integral ends at share 1: Gregory’s, of the third order (Hildebrand, Introduction to Numerical Analysis, 5.9). */
const END_WEIGHTS = [251 / 720, 897 / 720, 633 / 720, 739 / 720]

/** Of one group, by how far the line’s strength is over the load, in steps: the weighed chance that every joint of it holds. */
type Held = {
  shape: Shape
  /** Absent where the line has no joints. */
  held?: Float64Array
  /** That all hold as the line itself goes. */
  together: number
}
/** Of one group at loads `exp(step × k)`, `k` from `from` on: the chance that it is whole, and load × density of each kind going then. */
type Table = { from: number; whole: Float64Array; goes: Float64Array[] }
/** A group’s line and the different joints in it, each with how many there are. */
type Kinds = {
  line: UncertainLink
  kinds: { efficiency: number; variation: number; count: number }[]
  kindOf: number[]
  /** Of the line and the kinds, and of how many there are of each. */
  key: string
  counts: string
}
/** What tables of one line and the same kinds of joint share, however many of each there are: see `Table`. */
type Shape = {
  line: UncertainLink
  step: number
  from: number
  /** Load × density of the line’s strength at each load. */
  density: Float64Array
  /** The first load that the line’s strength can be, in steps from `from`. */
  least: number
  /** Of each kind, by how far the line’s strength is over the load: the chance that one holds, and load × density of it going then over that chance. */
  rows: { holds: Float64Array; goes: Float64Array; reach: { from: number; to: number } }[]
}

/** Of a chain: the chance that each link goes first, in the order of the links, and that nothing goes at a load, N. */
export type Chances = { first: () => number[]; survival: (loadN: number) => number }

/**
 * Chances from tables of each group that are kept: the paths of a trace share most of their groups.
 * In the logarithm of the load a joint’s share of its line is a difference, so a group at every load is a convolution of the line’s
 * density with one table of its joints.
 * @returns undefined where a spread is one that tables do not resolve.
 */
export function failureTables(): (links: number, groups: readonly Group[]) => Chances | undefined {
  const kindsOf = kindsFinder()
  const [shapes, holds, tables] = [new Map<string, Shape>(), new Map<string, Held>(), new Map<string, Table>()]
  return (links, groups) => {
    const step = stepFor(groups)
    if (step === undefined) return undefined
    const all = groups.map((group): Read => {
      const kinds = kindsOf(group)
      const shapeKey = `${step} ${kinds.key}`
      const key = `${shapeKey}: ${kinds.counts}`
      const held = kept(holds, key, () =>
        heldOf(
          kept(shapes, shapeKey, () => shapeOf(kinds, step)),
          kinds,
        ),
      )
      return { group, kindOf: kinds.kindOf, held, table: () => kept(tables, key, () => tableOf(held)) }
    })
    return {
      first: () => chancesOf(links, all),
      survival: (loadN) => all.reduce((whole, { held }) => whole * wholeAt(held, loadN), 1),
    }
  }
}

function kept<T>(known: Map<string, T>, key: string, make: () => T): T {
  const found = known.get(key)
  if (found !== undefined) return found
  const made = make()
  known.set(key, made)
  return made
}

/** The chance that a group is whole at one load, N. */
function wholeAt({ shape: { line, step, from }, held }: Held, loadN: number): number {
  if (loadN <= Math.exp(step * from)) return 1
  const deviation = line.variation * line.meanN
  if (!held) return normalCdf((line.meanN - loadN) / deviation)
  const ratio = Math.exp(step)
  let sum = 0
  for (let m = 0, x = loadN; m < held.length; m += 1, x *= ratio) {
    const z = (x - line.meanN) / deviation
    if (z > REACH) break
    if (z > -REACH) sum += x * normalPdf(z) * held[m]!
  }
  return Math.min(1, (step * sum) / deviation)
}

function stepFor(groups: readonly Group[]): number | undefined {
  let [narrow, wide] = [Number.POSITIVE_INFINITY, 0]
  for (const { line, joints } of groups) {
    narrow = Math.min(narrow, line.variation)
    wide = Math.max(wide, line.variation)
    for (const joint of joints) {
      narrow = Math.min(narrow, joint.variation)
      wide = Math.max(wide, Math.hypot(joint.variation, line.variation))
    }
  }
  return wide > WIDEST ? undefined : STEPS.find((step) => narrow >= 2 * step - 1e-12)
}

/** Returns the kinds of joint in a group. Chains share links, so each distinct link gets its number once. */
function kindsFinder(): (group: Group) => Kinds {
  const known = new WeakMap<UncertainLink | ShareOfLine, number>()
  const numbers = new Map<string, number>()
  const numberOf = (link: UncertainLink | ShareOfLine): number => {
    const found = known.get(link)
    if (found !== undefined) return found
    const number = kept(numbers, `${'meanN' in link ? link.meanN : link.efficiency} ${link.variation}`, () => numbers.size)
    known.set(link, number)
    return number
  }
  return ({ line, joints }) => {
    const [kinds, order]: [Kinds['kinds'], number[]] = [[], []]
    const kindOf = joints.map((joint) => {
      const number = numberOf(joint)
      let at = order.indexOf(number)
      if (at < 0) {
        at = order.push(number) - 1
        kinds.push({ efficiency: joint.efficiency, variation: joint.variation, count: 0 })
      }
      kinds[at]!.count += 1
      return at
    })
    const key = `${numberOf(line)}, ${order.join(' ')}`
    return { line, kinds, kindOf, key, counts: kinds.map(({ count }) => count).join(' ') }
  }
}

function shapeOf({ line, kinds }: Kinds, step: number): Shape {
  const deviation = line.variation * line.meanN
  const begins = [
    line.meanN - REACH * deviation,
    ...kinds.map(({ efficiency, variation }) => efficiency * line.meanN * (1 - REACH * Math.hypot(variation, line.variation))),
  ]
  const from = Math.floor(Math.log(Math.min(...begins)) / step)
  const size = Math.ceil(Math.log(line.meanN + REACH * deviation) / step) - from
  const density = new Float64Array(size)
  for (let k = 0; k < size; k += 1) {
    const x = Math.exp(step * (from + k))
    density[k] = (x / deviation) * normalPdf((x - line.meanN) / deviation)
  }
  const rows = kinds.map((kind) => {
    const spread = kind.variation * kind.efficiency
    const [holds, goes] = [new Float64Array(size).fill(1), new Float64Array(size)]
    const reach = reachOf(kind, step, size)
    for (let m = 0; m < reach.to; m += 1) {
      const share = Math.exp(-step * m)
      const one = normalCdf((kind.efficiency - share) / spread)
      holds[m] = one
      if (m >= reach.from && one > 0) goes[m] = ((share / spread) * normalPdf((kind.efficiency - share) / spread)) / one
    }
    return { holds, goes, reach }
  })
  const least = Math.floor(Math.log(line.meanN * (1 - REACH * line.variation)) / step) - from
  return { line, step, from, density, least, rows }
}

function heldOf(shape: Shape, { kinds }: Kinds): Held {
  if (kinds.length === 0) return { shape, together: 1 }
  const held = new Float64Array(shape.density.length).fill(1)
  for (const [i, { holds, reach }] of shape.rows.entries())
    for (let m = 0; m < reach.to; m += 1) held[m]! *= holds[m]! ** kinds[i]!.count
  const together = held[0]!
  for (const [m, weight] of END_WEIGHTS.entries()) if (m < held.length) held[m]! *= weight
  return { shape, held, together }
}

function tableOf({ shape: { line, step, from, density, least, rows }, held, together }: Held): Table {
  const size = density.length
  if (!held) {
    const deviation = line.variation * line.meanN
    const whole = density.map((_, k) => normalCdf((line.meanN - Math.exp(step * (from + k))) / deviation))
    return { from, whole, goes: [density] }
  }
  // Only where the line’s strength can be.
  const over = (row: Float64Array, reach: { from: number; to: number }) => {
    const sums = new Float64Array(size)
    for (let k = 0; k < size; k += 1) {
      let sum = 0
      const to = Math.min(size, k + reach.to)
      for (let n = Math.max(k + reach.from, least); n < to; n += 1) sum += density[n]! * row[n - k]!
      sums[k] = step * sum
    }
    return sums
  }
  // Under its first steps nothing holds, and beyond the reach of every joint all do: there the line’s strength alone counts.
  const first = held.findIndex((chance) => chance > NOTHING)
  const allHold = Math.max(END_WEIGHTS.length, ...rows.map(({ reach }) => reach.to))
  const whole = over(held, { from: first, to: allHold })
  let beyond = 0
  for (let k = size - 1; k >= allHold; k -= 1) {
    if (k >= least) beyond += density[k]!
    whole[k - allHold]! += step * beyond
  }
  const goes = rows.map(({ goes, reach }) => {
    const row = goes.map((each, m) => each * held[m]!)
    return over(row, { from: Math.max(first, reach.from), to: reach.to })
  })
  return { from, whole, goes: [density.map((each) => each * together), ...goes] }
}

type Kind = Kinds['kinds'][number]

/** The steps under the line’s strength between which a joint gives: before them it never holds, after them always. */
function reachOf({ efficiency, variation }: Kind, step: number, size: number): { from: number; to: number } {
  const at = (share: number) => -Math.log(share) / step
  const from = Math.max(0, Math.floor(at(efficiency * (1 + REACH * variation))))
  return { from, to: Math.min(size, Math.ceil(at(efficiency * (1 - REACH * variation))) + 1) }
}

type Read = { group: Group; kindOf: readonly number[]; held: Held; table: () => Table }

function chancesOf(count: number, all: readonly Read[]): number[] {
  const read = all.map(({ group, kindOf, table }) => ({ group, kindOf, table: table() }))
  const from = Math.min(...read.map(({ table }) => table.from))
  const to = Math.min(...read.map(({ table }) => table.from + table.whole.length))
  const whole = new Float64Array(to - from).fill(1)
  for (const { table } of read) for (let k = table.from; k < to; k += 1) whole[k - from]! *= table.whole[k - table.from]!
  const chances = new Array<number>(count).fill(0)
  const others = new Float64Array(to - from)
  for (const { group, kindOf, table } of read) {
    // The chance that every other group is whole, from this one’s first load to the last at which anything is.
    let end = 0
    for (; table.from + end < to && whole[table.from + end - from]! > 0; end += 1)
      others[end] = whole[table.from + end - from]! / table.whole[end]!
    const sums = table.goes.map((row) => {
      let sum = 0
      for (let k = 0; k < end; k += 1) sum += others[k]! * row[k]!
      return sum
    })
    chances[group.at] = sums[0]!
    for (let j = 0; j < kindOf.length; j += 1) chances[group.jointsAt[j]!] = sums[1 + kindOf[j]!]!
  }
  let total = 0
  for (const chance of chances) total += chance
  return chances.map((chance) => chance / total)
}

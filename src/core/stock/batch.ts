/** Most complete traces that are asked about. */
export const MAX_TRACES = 200
/** Lengths are compared in whole micrometres, so that a cut as long as its remnant fits. */
const PER_METRE = 1e6
/** Ways that are tried before a number of traces counts as not possible: far more than real remnants take. */
export const MAX_TRIES = 10_000
/** Places along a remnant that filling it looks at, at most. */
const MAX_PLACES = 20_000

type Cut = { length: number; perTrace: number }

/**
 * The most complete traces that can be cut from what is left on the spools of one line: each cut is one piece from one remnant.
 * @param remnantsM lengths left; @param cutsM the cuts of one trace, with repeats.
 * Source: one-dimensional cutting stock, solved by search with bounds on length and on the number of pieces; the largest cuts first.
 */
export function stockBatch({ remnantsM, cutsM }: Remnants): { traces: number } {
  const remnants = remnantsM.map(micrometres)
  const cuts = cutsOf(cutsM)
  let traces = mostByBounds(remnants, cuts)
  while (traces > 0 && !shares(remnants, cuts, traces)) traces -= 1
  return { traces }
}

/** What is cut from one remnant: its place in the list, and the cuts with how many of each. */
export type RemnantCuts = { remnant: number; cuts: { cutM: number; count: number }[] }

/**
 * Which cuts come from which remnant, for so many complete traces; undefined where that many cannot be cut.
 * @param remnantsM lengths left, m; @param cutsM the cuts of one trace with repeats, m.
 */
export function cutsFromRemnants({ remnantsM, cutsM }: Remnants, traces: number): RemnantCuts[] | undefined {
  const cuts = cutsOf(cutsM)
  return shares(remnantsM.map(micrometres), cuts, traces)?.flatMap((counts, remnant) => {
    const taken = cuts.map(({ length }, kind) => ({ cutM: length / PER_METRE, count: counts[kind]! }))
    return taken.some(({ count }) => count > 0) ? [{ remnant, cuts: taken.filter(({ count }) => count > 0) }] : []
  })
}

type Remnants = { remnantsM: readonly number[]; cutsM: readonly number[] }
/** How many of each cut come from each remnant. */
type Shares = number[][]

const micrometres = (m: number) => Math.round(m * PER_METRE)

const shares = (remnants: readonly number[], cuts: readonly Cut[], traces: number): Shares | undefined =>
  sharesByFilling(remnants, cuts, traces) ?? sharesBySearch(remnants, cuts, traces)

/** The different cuts of a trace, the longest first, each with how often it is in one. */
function cutsOf(cutsM: readonly number[]): Cut[] {
  const lengths = cutsM.map((m) => Math.round(m * PER_METRE))
  return [...new Set(lengths)]
    .sort((a, b) => b - a)
    .map((length) => ({ length, perTrace: lengths.filter((each) => each === length).length }))
}

/** No more traces than the whole length gives, nor than the pieces of each length and above that fit into the remnants. */
function mostByBounds(remnants: readonly number[], cuts: readonly Cut[]): number {
  let pieces = 0
  let most = MAX_TRACES
  for (const { length, perTrace } of cuts) {
    pieces += perTrace
    most = Math.min(most, Math.floor(piecesIn(remnants, length) / pieces))
  }
  const whole = cuts.reduce((sum, { length, perTrace }) => sum + length * perTrace, 0)
  return Math.min(most, Math.floor(remnants.reduce((sum, each) => sum + each, 0) / whole))
}

const piecesIn = (remnants: readonly number[], length: number) =>
  remnants.reduce((sum, each) => sum + Math.floor(each / length), 0)

/** Fills one remnant after the other, each as far as the pieces that are left allow; undefined where that does not cut so many traces. */
function sharesByFilling(remnants: readonly number[], cuts: readonly Cut[], traces: number): Shares | undefined {
  const step = cuts.reduce((common, { length }) => commonDivisor(common, length), 0)
  if (Math.max(...remnants) / step > MAX_PLACES) return undefined
  const lengths = cuts.map(({ length }) => length / step)
  const ascending = inOrder(remnants)
  for (const order of [ascending, ascending.toReversed()]) {
    const wanted = cuts.map(({ perTrace }) => traces * perTrace)
    const taken = remnants.map(() => cuts.map(() => 0))
    for (const remnant of order) fill(Math.floor(remnants[remnant]! / step), lengths, wanted, taken[remnant]!)
    if (wanted.every((count) => count === 0)) return taken
  }
  return undefined
}

/** The places of the remnants, the shortest first. */
const inOrder = (remnants: readonly number[]) => remnants.map((_, i) => i).sort((a, b) => remnants[a]! - remnants[b]!)

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b))

/** Cuts the pieces that fill a remnant furthest, long ones first, and moves them from the wanted counts to the taken. */
function fill(end: number, lengths: readonly number[], wanted: number[], taken: number[]): void {
  // For each place the piece that ends there first, and how many of its kind lie before it.
  const last = new Int8Array(end + 1).fill(-1)
  const used = new Int16Array(end + 1)
  last[0] = lengths.length
  for (const [kind, length] of lengths.entries()) {
    used.fill(0)
    for (let at = length; at <= end; at += 1) {
      const before = at - length
      if (last[at] !== -1 || last[before] === -1 || used[before]! >= wanted[kind]!) continue
      last[at] = kind
      used[at] = used[before]! + 1
    }
  }
  let at = end
  while (last[at] === -1) at -= 1
  while (at > 0) {
    const kind = last[at]!
    wanted[kind]! -= 1
    taken[kind]! += 1
    at -= lengths[kind]!
  }
}

/** Shares the pieces of one length after the other out over the remnants; undefined where no way was found to cut so many traces. */
function sharesBySearch(remnants: readonly number[], cuts: readonly Cut[], traces: number): Shares | undefined {
  const order = inOrder(remnants)
  const left = order.map((remnant) => remnants[remnant]!)
  const taken: Shares = remnants.map(() => cuts.map(() => 0))
  const failed = new Set<string>()
  let tries = 0

  /** What is left of the remnants takes the cuts from `from` on, by their bounds. */
  const mayTake = (from: number): boolean => {
    let pieces = 0
    let length = 0
    for (const cut of cuts.slice(from)) {
      pieces += traces * cut.perTrace
      length += traces * cut.perTrace * cut.length
      if (piecesIn(left, cut.length) < pieces) return false
    }
    return left.reduce((sum, each) => sum + each, 0) >= length
  }

  const share = (at: number, remnant: number, pieces: number): boolean => {
    const cut = cuts[at]
    if (!cut) return true
    if (pieces === 0) {
      if (!mayTake(at + 1)) return false
      // Remnants of one length are alike: only what is left of them counts.
      const state = `${at} ${left.toSorted((a, b) => a - b).join()}`
      if (failed.has(state)) return false
      const next = cuts[at + 1]
      const done = share(at + 1, 0, next ? traces * next.perTrace : 0)
      if (!done) failed.add(state)
      return done
    }
    const here = left[remnant]
    if (here === undefined) return false
    tries += 1
    if (tries > MAX_TRIES) return false
    const most = Math.min(pieces, Math.floor(here / cut.length))
    for (let count = most; count >= 0; count -= 1) {
      left[remnant] = here - count * cut.length
      taken[order[remnant]!]![at] = count
      if (share(at, remnant + 1, pieces - count)) return true
    }
    left[remnant] = here
    taken[order[remnant]!]![at] = 0
    return false
  }
  const [first] = cuts
  const isDone = first === undefined || (mayTake(0) && share(0, 0, traces * first.perTrace))
  return isDone ? taken : undefined
}

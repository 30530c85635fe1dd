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
export function stockBatch({ remnantsM, cutsM }: { remnantsM: readonly number[]; cutsM: readonly number[] }): { traces: number } {
  const remnants = remnantsM.map((m) => Math.round(m * PER_METRE))
  const cuts = cutsOf(cutsM)
  let traces = mostByBounds(remnants, cuts)
  while (traces > 0 && !canFill(remnants, cuts, traces) && !canCut(remnants, cuts, traces)) traces -= 1
  return { traces }
}

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

/** Whether filling one remnant after the other, each as far as the pieces that are left allow, cuts so many traces. */
function canFill(remnants: readonly number[], cuts: readonly Cut[], traces: number): boolean {
  const step = cuts.reduce((common, { length }) => commonDivisor(common, length), 0)
  if (Math.max(...remnants) / step > MAX_PLACES) return false
  const places = remnants.map((each) => Math.floor(each / step))
  return [places.toSorted((a, b) => a - b), places.toSorted((a, b) => b - a)].some((inOrder) => {
    const wanted = cuts.map(({ perTrace }) => traces * perTrace)
    for (const place of inOrder)
      fill(
        place,
        cuts.map(({ length }) => length / step),
        wanted,
      )
    return wanted.every((count) => count === 0)
  })
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b))

/** Cuts the pieces that fill a remnant furthest, long ones first, and takes them off the wanted counts. */
function fill(end: number, lengths: readonly number[], wanted: number[]): void {
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
    at -= lengths[kind]!
  }
}

/** Whether so many traces can be cut: the pieces of one length after the other are shared out over the remnants. */
function canCut(remnants: readonly number[], cuts: readonly Cut[], traces: number): boolean {
  const left = remnants.toSorted((a, b) => a - b)
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
    for (let taken = most; taken >= 0; taken -= 1) {
      left[remnant] = here - taken * cut.length
      if (share(at, remnant + 1, pieces - taken)) return true
    }
    left[remnant] = here
    return false
  }
  const [first] = cuts
  return first === undefined || (mayTake(0) && share(0, 0, traces * first.perTrace))
}

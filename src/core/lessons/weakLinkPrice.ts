import { linkKey } from '../documents/linkRef.ts'
import { isLine, pieceById } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { CoreError } from '../errors.ts'
import { normalCdf } from '../math/normal.ts'
import { CAST, type LoadedLink } from '../moments/cast.ts'
import { lostBelow } from '../moments/snag.ts'
import { weakLinkKeys } from '../moments/weakLink.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { replacements } from '../setup/replacement.ts'
import type { Setup } from '../setup/setup.ts'
import { learnRate } from '../statistics/rates.ts'
import { type Counts, noCounts } from './counts.ts'
import type { Priors } from './priors.ts'

/** What a trip brings, by what was logged. */
export type TripRates = {
  casts: number
  /** Snags that something is lost in. */
  snags: number
}

/** Casts in an hour where none was counted. A working value of the craft. */
const USUAL_CASTS_PER_HOUR = 3

/** Expected snags and casts in some rod hours. A snag that loses the trace also loses its sinker and counts once. */
export function tripRates(counts: Counts | undefined, { events, hours }: Priors['losses'], rodHours: number): TripRates {
  const { sinkersLost, casts, hours: fished } = counts ?? noCounts()
  const { mean } = learnRate({ priorEvents: events, priorExposure: hours, events: sinkersLost, exposure: fished })
  return { snags: mean * rodHours, casts: (fished > 0 ? casts / fished : USUAL_CASTS_PER_HOUR) * rodHours }
}

/** A weak link of one label: what a trip costs with it, in units of money, and what of that is lost in snags and in casts. */
export type WeakLinkPrice = { strengthN: number; inSnags: number; inCasts: number; cost: number }
export type WeakLinkPrices = {
  rows: WeakLinkPrice[]
  /** Places of the least cost, and of the first and last label around it that cost nearly the same. */
  best: number
  from: number
  to: number
}

/** Labels that cost no more than so many times the least make no difference. Ours. */
const NO_DIFFERENCE = 1.1

/**
 * What a trip costs against the strength of the weak link, from lines that are owned.
 * In a snag a pull for a break loses what hangs below the link that goes first; in a cast the weak link itself may go, with what is on it.
 * @returns undefined where the trace has no weak link to a sinker, or no line is given.
 * @throws CoreError as `prepareSetup` does.
 */
export function weakLinkPrices(setup: Setup, labelsN: readonly number[], rates: TripRates): WeakLinkPrices | undefined {
  const id = setup.trace.weakLink
  const piece = id === undefined ? undefined : pieceById(setup.trace, id)
  if (!piece || !isLine(piece) || labelsN.length === 0) return undefined
  const rows = [...new Set(labelsN)]
    .toSorted((a, b) => a - b)
    .flatMap((strengthN): WeakLinkPrice[] => {
      const price = priceOf({ ...setup, trace: withStrength(setup.trace, piece.id, strengthN) }, rates)
      return price ? [{ strengthN, ...price, cost: price.inSnags + price.inCasts }] : []
    })
  if (rows.length === 0) return undefined
  const best = rows.reduce((least, { cost }, i) => (cost < rows[least]!.cost ? i : least), 0)
  const isAlike = ({ cost }: WeakLinkPrice) => cost <= rows[best]!.cost * NO_DIFFERENCE
  let [from, to] = [best, best]
  while (from > 0 && isAlike(rows[from - 1]!)) from -= 1
  while (to < rows.length - 1 && isAlike(rows[to + 1]!)) to += 1
  return { rows, best, from, to }
}

const withStrength = (trace: Trace, id: string, strengthN: number): Trace => ({
  ...trace,
  pieces: trace.pieces.map((piece) => (piece.id === id && isLine(piece) ? { ...piece, strengthN } : piece)),
})

function priceOf(setup: Setup, { casts, snags }: TripRates): Pick<WeakLinkPrice, 'inSnags' | 'inCasts'> | undefined {
  const prepared = prepareSetup(setup)
  const sinker = prepared.ends.find((end) => end.role === 'sinker' && weakLinkKeys(setup.trace, prepared.path(end.id)))
  if (!sinker) return undefined
  const path = prepared.path(sinker.id)
  const replace = replacements(setup)
  const costOf = (of: (typeof path.links)[number]) => replace(lostBelow(setup.trace, of.ref)).cost
  const inSnags = snags * path.links.reduce((sum, link, i) => sum + (path.first[i] ?? 0) * costOf(link), 0)
  const weak = weakLinkKeys(setup.trace, path)
  const loaded = castLinksOf(prepared).filter(({ id }) => weak?.has(id))
  const holds = loaded.reduce(
    (all, { strengthN, variation, loadN }) => all * normalCdf((strengthN - loadN) / (variation * strengthN)),
    1,
  )
  const own = path.links.find(({ ref }) => linkKey(ref) === setup.trace.weakLink)
  return { inSnags, inCasts: own ? casts * (1 - holds) * costOf(own) : 0 }
}

/** The links as a cast loads them; none where nothing is cast. */
function castLinksOf(prepared: ReturnType<typeof prepareSetup>): readonly LoadedLink[] {
  try {
    return CAST.judge(prepared)?.links ?? []
  } catch (error) {
    if (error instanceof CoreError) return []
    throw error
  }
}

import { scaleLinear } from 'd3-scale'
import type { LinkRef } from '../documents/linkRef.ts'
import type { Link } from '../setup/pathLinks.ts'
import type { ReachLayout } from './reach.ts'
import { roundTicks } from './roundTicks.ts'

/** One link's step: its strength, and one spread either side, under its slot on the reach. */
export type ProfileStep = {
  id: string
  ref: LinkRef
  x0: number
  x1: number
  y: number
  yHigh: number
  yLow: number
  over: boolean
  /** A knot part-way in a line: within the line's own step. */
  dip: boolean
  strengthN: number
  weakest: boolean
  first: number
}
export type ProfileLayout = { steps: ProfileStep[]; topN: number; yOf: (forceN: number) => number; ticksN: number[] }

export type ProfileOptions = { height: number; padTop: number; padBottom: number; loadsN: readonly number[]; tickUnitN: number }

const MIN_STEP = 5
/** Steps above so many times the weakest are cut off at the top and say so: what matters is below. */
const TOP_OVER_WEAKEST = 2.4

/** The next of ten a decade: the scale rests while a strength is stepped, so that what moves is what changed. */
const restingTop = (leastN: number) => 10 ** (Math.ceil(10 * Math.log10(leastN)) / 10)

/**
 * The strength of each link of one path as a step under its slot on the reach. A link that the path passes out of the
 * drawing's order (through a stop) is put after the one before it, so that steps never run backwards.
 * @param first chance that each link goes first, in the order of `links`.
 */
export function layOutProfile(
  links: readonly Link[],
  first: readonly number[],
  reach: ReachLayout,
  options: ProfileOptions,
): ProfileLayout {
  const weakestN = Math.min(...links.map(({ strengthN }) => strengthN))
  const strongestN = Math.max(...links.map(({ strengthN }) => strengthN))
  const topN = restingTop(1.02 * Math.max(Math.min(strongestN, TOP_OVER_WEAKEST * weakestN), ...options.loadsN, 1))
  const yOf = scaleLinear([0, topN], [options.height - options.padBottom, options.padTop]).clamp(true)
  const slots = new Map(reach.items.map((item) => [item.id, item]))
  const knotInLine = ({ id, ref }: Link) => (slots.has(id) || ref.at !== 'joint' ? undefined : slots.get(ref.id))
  // A link in another lane, between two in this one (a pulley's stop), is passed by, not drawn across what is above it.
  const comesBack = (i: number, laneY: number) => links.slice(i + 1).some(({ id }) => slots.get(id)?.y === laneY)
  let laneY = slots.get(links[0]?.id ?? '')?.y ?? 0
  let end = 0
  const steps = links.map((link, i): ProfileStep => {
    const own = slots.get(link.id)
    const slot = own && own.y !== laneY && comesBack(i, laneY) ? undefined : own
    laneY = slot?.y ?? laneY
    const knot = knotInLine(link)
    const dip = knot?.onLine === true && i > 0
    const x0 = dip ? knot.x0 : Math.max(end, slot?.x0 ?? end)
    // A line that the path leaves part-way ends where it is left.
    const rest = links.slice(i + 1)
    const nextAt = rest.findIndex((each) => !knotInLine(each)?.onLine)
    const knots = nextAt < 0 ? rest : rest.slice(0, nextAt)
    const pastKnots = Math.max(0, ...knots.map((each) => knotInLine(each)?.x1 ?? 0))
    const left = slots.get(rest[knots.length]?.id ?? '')?.x0 ?? Number.POSITIVE_INFINITY
    const ownEnd = Math.min(slot?.x1 ?? 0, left > x0 ? left : Number.POSITIVE_INFINITY)
    const x1 = dip ? knot.x1 : Math.max(x0 + MIN_STEP, ownEnd, pastKnots)
    if (!dip) end = x1
    const spreadN = link.variation * link.strengthN
    return {
      id: link.id,
      ref: link.ref,
      dip,
      x0,
      x1,
      y: yOf(link.strengthN),
      yHigh: yOf(link.strengthN + spreadN),
      yLow: yOf(link.strengthN - spreadN),
      over: link.strengthN > topN,
      strengthN: link.strengthN,
      weakest: link.strengthN === weakestN,
      first: first[i] ?? 0,
    }
  })
  return {
    steps,
    topN,
    yOf,
    ticksN: roundTicks(0, topN, options.tickUnitN, 5),
  }
}

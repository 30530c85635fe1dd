import { type LineSpec, lineDiameterM } from '../../catalogue/materials.ts'
import type { Conditions } from '../../documents/conditions.ts'
import type { KiteBait, MovingBy } from '../../documents/moving.ts'
import { isHardware, isLine } from '../../documents/pieces.ts'
import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { freeLine, withMainLine } from '../../outfits/outfitLines.ts'
import { type KiteLead, type KiteLeadInput, kiteFollower, kiteLead } from '../../physics/flown/kiteLead.ts'
import { tipHeightM } from '../lineWanted.ts'
import { massOfKg } from '../masses.ts'
import type { Rig, Setup } from '../setup.ts'

export type KiteWay = MovingBy<'kite'>
/** All that a line to a kite has but the wind and its ring. */
export type KiteRig = Rig & { conditions: Pick<Conditions, 'freeboardM'> }
/** How a line runs to its ring and over it. */
export type KiteRun = Pick<KiteWay, 'slack' | 'ringFriction'>

/** How much harder gusts blow than the wind that is told. */
export const GUST = 1.3
/** Winds that are asked about, m/s, and how closely one is found. */
const WINDS = { least: 0.5, most: 40 }
const CLOSE_MPERS = 0.05
/** The wind from which one is looked for, m/s. */
const FROM_MPERS = 8
/** Where a chart of winds may end, m/s, and its places up to there: a wind that is dragged moves along the same curve. */
const CHART_ENDS_MPERS = [6, 12, 18, 24, 36, 60]
const CHART_PLACES = 10
/** A usual kite flies from this wind on, m/s. Nominal. */
export const KITE_FLIES_FROM_MPERS = 3

/** What hangs under the ring besides lead: float, swivel, beads and leader; bait and hook are borne by the water. Kg. */
export const hungKg = ({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): number =>
  trace.pieces.reduce((sum, piece) => {
    if (isLine(piece))
      return (
        sum +
        piece.lengthM * catalogue.materials[piece.material].densityKgperM3 * (Math.PI / 4) * lineDiameterM(catalogue, piece) ** 2
      )
    const counts = piece.role === 'float' || (piece.role === 'hardware' && !isHardware(piece, 'clipRing'))
    return counts ? sum + massOfKg(catalogue, piece) : sum
  }, 0)

/** Lead on the trace, kg. */
const leadKg = ({ trace }: Pick<Rig, 'trace'>): number =>
  trace.pieces.reduce((sum, piece) => sum + (piece.role === 'sinker' ? piece.massKg : 0), 0)

/** Lead that a bait carries, kg: its own, else what is on the trace. */
export const carriedKgOf = (rig: Pick<Rig, 'trace'>, bait: KiteBait): number => bait.leadKg ?? leadKg(rig)

/** What `kite.lead` is asked of one bait in a wind. */
export function kiteInput(
  setup: KiteRig,
  way: KiteRun,
  bait: KiteBait,
  windMperS: number,
  line: LineSpec = freeLine(setup.outfit),
): KiteLeadInput {
  const { catalogue } = setup
  return {
    windMperS,
    lineDiameterM: lineDiameterM(catalogue, line),
    lineDensityKgperM3: catalogue.materials[line.material].densityKgperM3,
    tipHeightM: tipHeightM(setup),
    ringHeightM: bait.ringHeightM,
    ringDistanceM: bait.ringDistanceM,
    slack: way.slack,
    ringFriction: way.ringFriction,
    hungMassKg: hungKg(setup),
  }
}

/** A bait under a kite: what it needs in the wind and in its gusts, and what it carries; or why it cannot be told. */
export type FlownBait = { bait: KiteBait; carriedKg: number } & (
  | {
      steady: KiteLead
      gust: KiteLead
      /** The line from the rod’s tip to the ring, down-wind and over the sea, m. */
      line: { x: number; z: number }[]
      trouble?: never
    }
  | { trouble: string }
)

/** Lead that gusts want, kg; undefined where it cannot be told. */
export const gustLeadKg = (setup: KiteRig, way: KiteWay, bait: KiteBait): number | undefined =>
  answerOf(() => kiteLead(kiteInput(setup, way, bait, GUST * way.windMperS)).leadMassKg)

/** A bait that has an answer. */
export type ToldBait = Exclude<FlownBait, { trouble: string }>
export const isTold = (flown: FlownBait): flown is ToldBait => flown.trouble === undefined

export function flownBait(setup: KiteRig, way: KiteWay, bait: KiteBait): FlownBait {
  const carriedKg = carriedKgOf(setup, bait)
  const line: { x: number; z: number }[] = []
  const lead = kiteFollower()
  try {
    const steady = lead(kiteInput(setup, way, bait, way.windMperS), ({ x, z }) => line.push({ x, z }))
    const inGusts = kiteInput(setup, way, bait, GUST * way.windMperS)
    return { bait, carriedKg, steady, gust: answerOf(() => lead(inGusts)) ?? kiteLead(inGusts), line }
  } catch (error) {
    if (error instanceof CoreError) return { bait, carriedKg, trouble: error.message }
    throw error
  }
}

/**
 * The wind up to which a lead keeps a bait in the water, its gusts counted, m/s; undefined where none does, or any, or no line comes to the
 * ring.
 */
export const mostWindMperS = (setup: KiteRig, way: KiteRun, bait: KiteBait, carriedKg: number): number | undefined =>
  answerOf(() => windHeldMperS(setup, way, bait, carriedKg))

function windHeldMperS(setup: KiteRig, way: KiteRun, bait: KiteBait, carriedKg: number): number | undefined {
  const lead = kiteFollower()
  const over = (windMperS: number) => lead(kiteInput(setup, way, bait, GUST * windMperS)).leadMassKg - carriedKg
  const least = WINDS.least
  // From a usual wind up or down, to where the sign turns.
  let [inside, outside] = [FROM_MPERS, FROM_MPERS]
  const holdsHere = over(inside) <= 0
  while (over(outside) <= 0 === holdsHere) {
    inside = outside
    outside = holdsHere ? outside * 1.4 : outside / 1.4
    if (outside > WINDS.most / GUST || outside < least) return undefined
  }
  return findRoot(over, inside, outside, CLOSE_MPERS)
}

/**
 * Pull of a bait’s line on the kite’s line at its ring, N: back along the line to the rod, and down by what hangs, as it is eased by the
 * ring’s friction.
 */
export function ringLoadN({ ringTensionN: pull, ringAngleDeg, wrapRad }: KiteLead, ringFriction: number): number {
  const angle = (ringAngleDeg * Math.PI) / 180
  return Math.hypot(pull * Math.cos(angle), pull * Math.sin(angle) + pull * Math.exp(-ringFriction * wrapRad))
}

export type WindPoint = { windMperS: number; leadKg: number }

/** The wind at which a chart ends that shows one and its gusts, m/s. */
export const chartEndMperS = (windMperS: number): number =>
  CHART_ENDS_MPERS.find((endMperS) => endMperS >= 1.1 * GUST * windMperS) ?? CHART_ENDS_MPERS.at(-1)!

/** Lead against wind, up to where a chart ends; where no answer is found a place is left out. */
export function leadByWind(setup: KiteRig, way: KiteRun, bait: KiteBait, endMperS: number): WindPoint[] {
  const lead = kiteFollower()
  return Array.from({ length: CHART_PLACES }, (_, i) => ((i + 1) / CHART_PLACES) * endMperS).flatMap((windMperS) => {
    const answer = answerOf(() => lead(kiteInput(setup, way, bait, windMperS)))
    return answer ? [{ windMperS, leadKg: answer.leadMassKg }] : []
  })
}

/** What was asked, or nothing where it has no answer. */
function answerOf<T>(ask: () => T): T | undefined {
  try {
    return ask()
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

/** The slack from which a chart of leads is to hold them: tauter they go out of all bounds. */
export const SHOWN_FROM_SLACK = 1.008
/** Slacks that a line to a kite is asked about: each about 1.8 times as far from none. */
const SLACKS = [1.004, SHOWN_FROM_SLACK, 1.014, 1.025, 1.045, 1.08, 1.15, 1.22, 1.3]

export type SlackPoint = { slack: number; leadKg: number }
/** Lead against slack, in the wind and in its gusts; from `wetFrom` on the line hangs into the sea; `end` is as far as is worth showing. */
export type SlackCurves = { steady: SlackPoint[]; gust: SlackPoint[]; wetFrom: number | undefined; end: number }

/** Where a chart of slacks ends that never come to the sea, and how far it goes past what it must show. */
const DRY_END = 1.12
const SLACK_PAST = 0.02

/** Lead against slack, to just past the slack that is set and that from which the line hangs into the sea; a place without an answer is left out. */
export function leadBySlack(setup: KiteRig, way: KiteWay, bait: KiteBait): SlackCurves {
  const [inWind, inGust] = [kiteFollower(), kiteFollower()]
  const inputAt = (slack: number, windMperS: number) => kiteInput(setup, { ...way, slack }, bait, windMperS)
  const curves: SlackCurves = { steady: [], gust: [], wetFrom: undefined, end: Math.max(DRY_END, way.slack) + SLACK_PAST }
  let before: { slack: number; lowestM: number } | undefined
  for (const slack of SLACKS) {
    const steady = answerOf(() => inWind(inputAt(slack, way.windMperS)))
    const gust = answerOf(() => inGust(inputAt(slack, GUST * way.windMperS)))
    if (steady) curves.steady.push({ slack, leadKg: steady.leadMassKg })
    if (gust) curves.gust.push({ slack, leadKg: gust.leadMassKg })
    if (steady && steady.lowestM <= 0 && curves.wetFrom === undefined) {
      const share = before ? steady.lowestM / (steady.lowestM - before.lowestM) : 0
      curves.wetFrom = slack - share * (slack - (before?.slack ?? 0))
      curves.end = Math.max(curves.wetFrom, way.slack) + SLACK_PAST
    }
    if (slack >= curves.end) break
    before = steady && { slack, lowestM: steady.lowestM }
  }
  return { ...curves, end: Math.min(SLACKS.at(-1)!, curves.end) }
}

/** The lightest of the sinkers at hand that is enough, kg; undefined where none is. */
export const ownedFor = (neededKg: number, sinkersKg: readonly number[]): number | undefined =>
  sinkersKg.filter((massKg) => massKg >= neededKg).toSorted((a, b) => a - b)[0]

/** Lead is had in steps of this, kg. */
const STEP_KG = 0.005
/** Lead in whole steps that is enough, kg. */
export const leadInStepsKg = (neededKg: number): number => Math.max(1, Math.ceil(neededKg / STEP_KG - 1e-9)) * STEP_KG

/** The same rig on a main line of another label, of the usual thickness of that. */
export const onMainLine = (rig: KiteRig, strengthN: number): KiteRig => ({
  ...rig,
  outfit: withMainLine(rig.outfit, { strengthN, diameterM: undefined }),
})

/** The kite’s own line out to a ring, straight from the rod’s tip, m. */
export const kiteLineOutM = (setup: Setup, { ringDistanceM, ringHeightM }: KiteBait): number =>
  Math.hypot(ringDistanceM, ringHeightM - tipHeightM(setup))

import { CAST_PEAK_FACTOR } from '../catalogue/castStyles.ts'
import { bestCast, rodStiffnessNperM } from '../catalogue/rods.ts'
import { isHeaded } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { MAX_LINKS } from '../physics/calculation.ts'
import { castLoad } from '../physics/cast/load.ts'
import { stiffnessNperM } from '../physics/strength/lunge.ts'
import { flyingMassKg, massOfKg } from '../setup/masses.ts'
import type { Link } from '../setup/pathLinks.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import { stretchyLines } from '../setup/stretch.ts'
import { linesAlong } from '../soundness/paths.ts'
import { beginOf, type CastBegin, type CastLink, castLinks } from './castPath.ts'
import { type Flight, flightOf, rangeOf } from './flying.ts'
import { type CalculationRequest, gradeAtLeast, type Input, type MomentKind, type MomentResult } from './moment.ts'
import { CAST_OVER_PEAK } from './thresholds.ts'
import { weakLinkKeys } from './weakLink.ts'

/** A link with the pull on it at the peak of the cast, N. */
export type LoadedLink = CastLink & { loadN: number }

/** How many times the pull on it a link holds. */
export const overPull = ({ strengthN, loadN }: LoadedLink): number => strengthN / loadN

/** The one that holds the pull on it the fewest times; undefined of none. */
export const nearestToGiving = (links: readonly LoadedLink[]): LoadedLink | undefined => nearestFirst(links)[0]

const nearestFirst = (links: readonly LoadedLink[]) => links.toSorted((a, b) => overPull(a) - overPull(b))

export type Cast = MomentResult<'cast'> & {
  links: LoadedLink[]
  /** The link with the least strength over the pull on it. */
  weakest: LoadedLink
  /** The pull of all that flies. */
  peakN: number
  ruleN: number
  massKg: number
  /** What the cast is for: the heaviest sinker, lure or jig head, else the heaviest bait. */
  carrier: string
  /** What the links that bear all of it must be for the cast to hold, N. */
  neededN: number
  /** The weak link to the sinker against the cast: its own weakest over the peak, and whether a clip bridges it. */
  weakLink?: { id: string; overPeak: number; bridged: boolean }
  /** A cast whose line catches just after release, N: informs, does not decide. */
  lockedN: number
  /** With the line's own drag taken off, in steps of 5 m. */
  rangeM: { least: number; most: number }
  /** What `cast.load` and `cast.range` were asked. */
  load: Parameters<typeof castLoad>[0]
  flight: Flight
} & CastBegin

/** The peak pull on the path to whatever carries the cast, against every link on it. */
export const CAST: MomentKind<Cast> = {
  judge: judgeCast,
  derive: deriveCast,
  levers: [{ of: 'conditions', field: 'dropM', quantity: 'length' }],
}

/**
 * Each link against what flies beyond it; the worst decides. The way begins at the leader when that reaches from the drop past the rod
 * and four turns onto the spool, else at the main line. Undefined where nothing is cast, or nothing carries it.
 */
function judgeCast(setup: PreparedSetup): Cast | undefined {
  const { conditions, catalogue, outfit } = setup
  const carrier = carrierOf(setup)
  if (conditions.castStyle === 'none' || !carrier) return undefined
  const style = catalogue.castStyles[conditions.castStyle]
  const massKg = flyingMassKg(setup)
  const best = bestCast(outfit.rod)
  const flight = flightOf(setup, style, massKg)
  const releasedMperS = flight.releaseSpeedMperS
  // A weight over the rod's best is loaded as hard as the style goes, on the safe side.
  const loadingMperS = massKg >= best.massKg ? style.releaseSpeedMperS : releasedMperS
  const load = { massKg, releaseSpeedMperS: loadingMperS, strokeM: style.strokeM, peakFactor: CAST_PEAK_FACTOR }
  const { peakN, ruleN } = castLoad(load)
  const begin = beginOf(setup, carrier)
  const links = castLinks(setup, begin).map((link) => ({ ...link, loadN: (link.massKg / massKg) * peakN }))
  const weakest = nearestToGiving(links)
  if (!weakest) return undefined
  const margin = overPull(weakest)
  const rangeM = rangeOf(flight)
  const neededN = CAST_OVER_PEAK.holds * peakN
  const lockedN = lockedPullN(setup, carrier, begin, loadingMperS, massKg)
  const inputs: Input[] = [
    { key: 'castStyle', quantity: 'word', value: conditions.castStyle, origin: 'document' },
    { key: 'massFlying', quantity: 'mass', value: massKg, origin: 'computed' },
    { key: 'bestCast', quantity: 'mass', value: best.massKg, origin: best.origin },
    { key: 'releaseSpeed', quantity: 'speed', value: releasedMperS, origin: 'computed' },
    { key: 'stroke', quantity: 'length', value: style.strokeM, origin: 'nominal' },
    { key: 'peakOverMean', quantity: 'ratio', value: CAST_PEAK_FACTOR, origin: 'nominal' },
    { key: 'peakOfCast', quantity: 'strength', value: peakN, origin: 'computed' },
    { key: 'leaderByRule', quantity: 'strength', value: ruleN, origin: 'rule' },
    { key: 'castBeginsAt', quantity: 'word', value: begin.beginsAt, origin: 'computed' },
    { key: 'leaderLength', quantity: 'length', value: begin.leaderM, origin: 'document' },
    { key: 'leaderNeeded', quantity: 'length', value: begin.leaderNeededM, origin: 'computed' },
    { key: 'turnsOnSpool', quantity: 'count', value: begin.turnsOnSpool, origin: 'computed' },
    { key: 'weakestLink', quantity: 'strength', value: weakest.strengthN, origin: weakest.origin, ref: weakest.ref },
    { key: 'massBeyond', quantity: 'mass', value: weakest.massKg, origin: 'computed' },
    { key: 'pullOnWeakest', quantity: 'strength', value: weakest.loadN, origin: 'computed' },
    { key: 'pullWhenLocked', quantity: 'strength', value: lockedN, origin: 'computed' },
    { key: 'rangeAtLeast', quantity: 'length', value: rangeM.least, origin: 'computed' },
    { key: 'rangeAtMost', quantity: 'length', value: rangeM.most, origin: 'computed' },
  ]
  return {
    moment: 'cast',
    verdict: gradeAtLeast(margin, CAST_OVER_PEAK),
    end: weakest.end,
    decides: weakest.ref,
    figure: { key: 'weakestOverPeak', quantity: 'ratio', value: margin },
    margin: margin / CAST_OVER_PEAK.holds,
    inputs,
    links,
    weakest,
    peakN,
    ruleN,
    massKg,
    carrier: carrier.id,
    ...begin,
    neededN,
    ...weakLinkOn(setup, carrier, links, peakN / massKg),
    lockedN,
    rangeM,
    load,
    flight,
  }
}

/** What flies goes on as fast as it was let go and stretches what is out, and the rod: `v √(k m)`. */
function lockedPullN(
  { outfit, conditions, catalogue, tracePath }: PreparedSetup,
  carrier: Piece,
  { wound }: CastBegin,
  speedMperS: number,
  massKg: number,
): number {
  let leftM = conditions.dropM + outfit.rod.lengthM
  const ofReel = wound.toReversed().map((line) => ({ line, lengthM: Number.POSITIVE_INFINITY }))
  const out = [...linesAlong(tracePath(carrier.id)).toReversed(), ...ofReel].map(({ line, lengthM }) => {
    const outM = Math.min(lengthM, leftM)
    leftM -= outM
    return { line, lengthM: outM }
  })
  const layers = stretchyLines(catalogue, out)
  return speedMperS * Math.sqrt(stiffnessNperM(layers, rodStiffnessNperM(catalogue, outfit.rod)) * massKg)
}

function deriveCast(_setup: PreparedSetup, cast: Cast): CalculationRequest[] {
  return [
    {
      calculation: 'cast.load',
      input: cast.load,
      from: { massKg: 'computed', releaseSpeedMperS: 'computed', strokeM: 'nominal', peakFactor: 'nominal' },
    },
    {
      calculation: 'strength.chain',
      // Each link as what it would bear if all that flies hung from it; of very many, those nearest to giving.
      input: {
        path: nearestFirst(cast.links)
          .slice(0, MAX_LINKS)
          .map(({ id, strengthN, loadN }) => ({
            type: 'hardware',
            id,
            strengthN: (strengthN * cast.peakN) / loadN,
          })),
      },
      from: { path: 'computed' },
    },
    {
      calculation: 'cast.range',
      input: cast.flight,
      from: { massKg: 'computed', dragAreaM2: 'nominal', releaseSpeedMperS: 'computed', releaseHeightM: 'computed' },
    },
  ]
}

/** The weak link on the carrier’s path: how many times it would bear the pull of what is beyond it, whether or not a clip bridges it. */
function weakLinkOn(
  { trace, path, catalogue }: PreparedSetup,
  carrier: Piece,
  links: readonly LoadedLink[],
  perKgN: number,
): Pick<Cast, 'weakLink'> {
  const own = carrier.role === 'sinker' ? weakLinkKeys(trace, path(carrier.id)) : undefined
  if (!own || trace.weakLink === undefined) return {}
  // Bridged, it is on no way of the cast: the sinker at least would hang from it.
  const loadOf = ({ id }: Link) => links.find((link) => link.id === id)?.loadN ?? massOfKg(catalogue, carrier) * perKgN
  const overPeak = Math.min(
    ...path(carrier.id)
      .links.filter(({ id }) => own.has(id))
      .map((link) => link.strengthN / loadOf(link)),
  )
  return { weakLink: { id: trace.weakLink, overPeak, bridged: !links.some(({ id }) => own.has(id)) } }
}

/** The heaviest sinker, lure or jig head; without one, the heaviest bait. */
function carrierOf({ trace, catalogue }: PreparedSetup): Piece | undefined {
  const heaviest = (of: (piece: Piece) => boolean) =>
    trace.pieces
      .filter(of)
      .reduce<Piece | undefined>(
        (best, piece) => (!best || massOfKg(catalogue, piece) > massOfKg(catalogue, best) ? piece : best),
        undefined,
      )
  return (
    heaviest((piece) => piece.role === 'sinker' || piece.role === 'lure' || isHeaded(piece)) ??
    heaviest(({ role }) => role === 'bait')
  )
}

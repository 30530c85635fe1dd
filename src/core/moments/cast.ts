import { CAST_PEAK_FACTOR } from '../catalogue/castStyles.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { sinkerDragAreaM2 } from '../catalogue/sinkers.ts'
import { pieceIdOf } from '../documents/linkRef.ts'
import type { WoundLine } from '../documents/outfit.ts'
import type { Piece, ReleaseClip } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { castLoad } from '../physics/cast/load.ts'
import { castRange } from '../physics/cast/range.ts'
import { flyingMassKg, massOfKg } from '../setup/masses.ts'
import { type Link, pathLinks } from '../setup/pathLinks.ts'
import type { PathElement } from '../setup/paths.ts'
import { type PreparedSetup, weakestOf } from '../setup/prepareSetup.ts'
import { type CalculationRequest, gradeAtLeast, type Input, type MomentKind, type MomentResult } from './moment.ts'
import { CAST_OVER_PEAK } from './thresholds.ts'
import { weakLinkKeys } from './weakLink.ts'

/** Turns of leader wanted on the spool as the cast begins. */
const TURNS_ON_SPOOL = 4
/** Spread of a release clip. Nominal, as a snap's. */
const CLIP_SPREAD = 0.08
/** Height of the hand at release over the angler's feet, m. Nominal. */
const RELEASE_ABOVE_FEET_M = 2
/** Drag area of a lure in flight, m² per kg to the two thirds, as a blunt body of about water's density. Nominal. */
const LURE_AREA_PER_MASS = 0.006

export type Cast = MomentResult<'cast'> & {
  links: Link[]
  weakest: Link
  peakN: number
  ruleN: number
  massKg: number
  /** What the cast begins at: the trace's leader, the wound-on top shot, or the main line. */
  beginsAt: 'leader' | 'topShot' | 'main'
  leaderM: number
  leaderNeededM: number
  /** Turns of the leader that lie on the spool as the cast begins; below zero where it does not reach. */
  turnsOnSpool: number
  /** What every link must bear for the cast to hold, N. */
  neededN: number
  /** The weak link to the sinker against the cast: its own weakest over the peak, and whether a clip bridges it. */
  weakLink?: { id: string; overPeak: number; bridged: boolean }
  rangeM: number
  /** What `cast.load` and `cast.range` were asked. */
  load: Parameters<typeof castLoad>[0]
  flight: Parameters<typeof castRange>[0]
}

/** The peak pull on the path to whatever carries the cast, against every link on it. */
export const CAST: MomentKind<Cast> = {
  judge: judgeCast,
  derive: deriveCast,
  levers: [{ of: 'conditions', field: 'dropM', quantity: 'length' }],
}

/**
 * The path begins at the leader when that reaches from the drop past the rod and four turns onto the spool, else at the main
 * line; what a release clip bridges leaves the path. Undefined where nothing is cast, or nothing carries it.
 */
function judgeCast(setup: PreparedSetup): Cast | undefined {
  const { trace, conditions, catalogue } = setup
  const carrier = carrierOf(setup)
  if (conditions.castStyle === 'none' || !carrier) return undefined
  const { releaseSpeedMperS, strokeM } = catalogue.castStyles[conditions.castStyle]
  const massKg = flyingMassKg(setup)
  const load = { massKg, releaseSpeedMperS, strokeM, peakFactor: CAST_PEAK_FACTOR }
  const { peakN, ruleN } = castLoad(load)
  const start = beginOf(setup, carrier)
  const links = castLinks(setup, carrier, start.wound, start.beginsAt)
  const weakest = weakestOf(links)
  const margin = weakest.strengthN / peakN
  const flight = {
    massKg,
    dragAreaM2: trace.pieces.reduce((sum, piece) => sum + flightAreaM2(catalogue, piece), 0),
    releaseSpeedMperS,
    launchDeg: conditions.launchDeg,
    releaseHeightM: RELEASE_ABOVE_FEET_M + conditions.freeboardM,
  }
  const { rangeM } = castRange(flight)
  const neededN = CAST_OVER_PEAK.holds * peakN
  const inputs: Input[] = [
    { key: 'castStyle', quantity: 'word', value: conditions.castStyle, origin: 'document' },
    { key: 'massFlying', quantity: 'mass', value: massKg, origin: 'computed' },
    { key: 'releaseSpeed', quantity: 'speed', value: releaseSpeedMperS, origin: 'nominal' },
    { key: 'stroke', quantity: 'length', value: strokeM, origin: 'nominal' },
    { key: 'peakOverMean', quantity: 'ratio', value: CAST_PEAK_FACTOR, origin: 'nominal' },
    { key: 'peakOfCast', quantity: 'strength', value: peakN, origin: 'computed' },
    { key: 'leaderByRule', quantity: 'strength', value: ruleN, origin: 'rule' },
    { key: 'castBeginsAt', quantity: 'word', value: start.beginsAt, origin: 'computed' },
    { key: 'leaderLength', quantity: 'length', value: start.leaderM, origin: 'document' },
    { key: 'leaderNeeded', quantity: 'length', value: start.leaderNeededM, origin: 'computed' },
    { key: 'turnsOnSpool', quantity: 'count', value: start.turnsOnSpool, origin: 'computed' },
    { key: 'neededOfEveryLink', quantity: 'strength', value: neededN, origin: 'rule' },
    { key: 'weakestLink', quantity: 'strength', value: weakest.strengthN, origin: weakest.origin },
    { key: 'rangeInStillAir', quantity: 'length', value: rangeM, origin: 'computed' },
  ]
  return {
    moment: 'cast',
    verdict: gradeAtLeast(margin, CAST_OVER_PEAK),
    end: carrier.id,
    decides: weakest.ref,
    figure: { key: 'weakestOverPeak', quantity: 'ratio', value: margin },
    margin: margin / CAST_OVER_PEAK.holds,
    inputs,
    links,
    weakest,
    peakN,
    ruleN,
    massKg,
    ...start,
    neededN,
    ...weakLinkOn(setup, carrier, links, peakN),
    rangeM,
    load,
    flight,
  }
}

function deriveCast(_setup: PreparedSetup, cast: Cast): CalculationRequest[] {
  return [
    {
      calculation: 'cast.load',
      input: cast.load,
      from: { massKg: 'computed', releaseSpeedMperS: 'nominal', strokeM: 'nominal', peakFactor: 'nominal' },
    },
    {
      calculation: 'strength.chain',
      input: { path: cast.links.map(({ id, strengthN }) => ({ type: 'hardware', id, strengthN })) },
      from: { path: 'computed' },
    },
    {
      calculation: 'cast.range',
      input: cast.flight,
      from: { massKg: 'computed', dragAreaM2: 'nominal', releaseSpeedMperS: 'nominal', releaseHeightM: 'computed' },
    },
  ]
}

/** The weak link on the carrier's path: what it would bear in the cast, whether or not a clip bridges it. */
function weakLinkOn(
  { trace, path }: PreparedSetup,
  carrier: Piece,
  links: readonly Link[],
  peakN: number,
): Pick<Cast, 'weakLink'> {
  const own = carrier.role === 'sinker' ? weakLinkKeys(trace, path(carrier.id)) : undefined
  if (!own || trace.weakLink === undefined) return {}
  const strengthN = Math.min(
    ...path(carrier.id)
      .links.filter(({ id }) => own.has(id))
      .map((link) => link.strengthN),
  )
  return { weakLink: { id: trace.weakLink, overPeak: strengthN / peakN, bridged: !links.some(({ id }) => own.has(id)) } }
}

/** The heaviest sinker or lure; without one, the heaviest bait. */
function carrierOf({ trace, catalogue }: PreparedSetup): Piece | undefined {
  const heaviest = (roles: readonly string[]) =>
    trace.pieces
      .filter(({ role }) => roles.includes(role))
      .reduce<Piece | undefined>(
        (best, piece) => (!best || massOfKg(catalogue, piece) > massOfKg(catalogue, best) ? piece : best),
        undefined,
      )
  return heaviest(['sinker', 'lure']) ?? heaviest(['bait'])
}

function flightAreaM2(catalogue: Catalogue, piece: Piece): number {
  if (piece.role === 'sinker') return sinkerDragAreaM2(catalogue, piece.shape, piece.massKg)
  if (piece.role === 'bait') return catalogue.baits[piece.bait].flightM2
  return piece.role === 'lure' ? LURE_AREA_PER_MASS * Math.cbrt(piece.massKg) ** 2 : 0
}

type Begin = { wound: WoundLine[] } & Pick<Cast, 'beginsAt' | 'leaderM' | 'leaderNeededM' | 'turnsOnSpool'>

/** Where the cast path begins: the leader, or leader and top shot together, when long enough to lie on the spool. */
function beginOf({ outfit, conditions, spool, tracePath }: PreparedSetup, carrier: Piece): Begin {
  const turnM = 2 * Math.PI * spool.radiusFullM
  const offSpoolM = conditions.dropM + outfit.rod.lengthM
  const leaderNeededM = offSpoolM + TURNS_ON_SPOOL * turnM
  const leaderM = leaderLengthM(tracePath(carrier.id))
  const shared = { leaderM, leaderNeededM, turnsOnSpool: (leaderM - offSpoolM) / turnM }
  if (leaderM >= leaderNeededM) return { ...shared, beginsAt: 'leader', wound: [] }
  const top = outfit.wound.findIndex(({ role }) => role === 'topShot')
  const topM = top < 0 ? 0 : (spool.layers[top]?.lengthM ?? 0)
  if (leaderM + topM >= leaderNeededM) return { ...shared, beginsAt: 'topShot', wound: outfit.wound.slice(top) }
  const main = outfit.wound.findIndex(({ role }) => role === 'main')
  return { ...shared, beginsAt: 'main', wound: outfit.wound.slice(main) }
}

/** Leader at the head of the path: only what is tied to the outfit's line, as one length, can lie on the spool. */
function leaderLengthM(path: readonly PathElement[]): number {
  const head = path.find((element) => element.kind === 'line')
  if (head?.kind !== 'line' || head.line.role !== 'leader') return 0
  const { attach } = head.line
  return attach.how === 'joined' && attach.to === OUTFIT ? head.line.lengthM : 0
}

function castLinks(
  { trace, conditions, catalogue, tracePath }: PreparedSetup,
  carrier: Piece,
  wound: WoundLine[],
  beginsAt: Cast['beginsAt'],
): Link[] {
  // On the leader, the leader's own knot lies on the spool under its turns.
  const elements = tracePath(carrier.id)
  const path = beginsAt === 'leader' && elements[0]?.kind === 'joint' ? elements.slice(1) : elements
  const whole = pathLinks({ catalogue, wound, wet: conditions.wet }, path)
  return (trace.releaseClips ?? []).reduce((links, clip) => bridge(links, clip, carrier), whole)
}

/** The links strictly between a clip's ends leave the cast path; the clip itself takes their place. */
function bridge(links: Link[], clip: ReleaseClip, carrier: Piece): Link[] {
  const from = clip.from === OUTFIT ? -1 : links.findLastIndex(({ ref }) => pieceIdOf(ref) === clip.from)
  const end = links.findIndex(({ id }) => id === clip.to)
  // A sinker makes no link of its own: it ends the path.
  const to = end >= 0 ? end : clip.to === carrier.id ? links.length : -1
  if (to < 0 || (from < 0 && clip.from !== OUTFIT)) return links
  const own: Link = {
    id: clip.id,
    ref: { at: 'clip', id: clip.id },
    kind: 'part',
    strengthN: clip.strengthN,
    variation: CLIP_SPREAD,
    governedBy: 'self',
    origin: 'nominal',
  }
  return [...links.slice(0, from + 1), own, ...links.slice(to)]
}

import { castLoad } from '../cast/load.ts'
import { castRange } from '../cast/range.ts'
import { CAST_PEAK_FACTOR, CAST_STYLES } from '../cast/styles.ts'
import { BAITS } from '../gear/baits.ts'
import { sinkerDragAreaM2 } from '../gear/sinkers.ts'
import { type Link, pathLinks } from '../strength/pathLinks.ts'
import { flyingMassKg, massOfKg } from '../trace/mass.ts'
import type { WoundLine } from '../trace/outfit.ts'
import type { PathElement } from '../trace/paths.ts'
import { OUTFIT, type Piece, pieceOfLink, type ReleaseClip, type Trace } from '../trace/schema.ts'
import { gradeAtLeast, type Input, type Moment } from './moment.ts'
import { weakLinkIds } from './weakLink.ts'
import { type Workings, weakestOf } from './workings.ts'

/** Weakest link over the peak pull that holds, and that is to be watched: a cast is repeated on wet, worn line near people. */
const HOLDS = 3
const WATCH = 2
/** Turns of leader wanted on the spool as the cast begins. */
const TURNS_ON_SPOOL = 4
/** Spread of a release clip. Nominal, as a snap's. */
const CLIP_SPREAD = 0.08
/** Height of the hand at release over the angler's feet, m. Nominal. */
const RELEASE_ABOVE_FEET_M = 2
/** Drag area of a lure in flight, m² per kg to the two thirds, as a blunt body of about water's density. Nominal. */
const LURE_AREA_PER_MASS = 0.006

export type Cast = Moment & {
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

/**
 * Cast: the peak pull on the path to whatever carries the cast, against every link on it. The path begins at the leader
 * when that reaches from the drop past the rod and four turns onto the spool, else at the main line; what a release clip
 * bridges leaves the path. Undefined where nothing is cast, or nothing carries it.
 */
export function castMoment(workings: Workings): Cast | undefined {
  const { trace, conditions } = workings
  const carrier = carrierOf(trace)
  if (conditions.castStyle === 'none' || !carrier) return undefined
  const style = CAST_STYLES[conditions.castStyle]
  const massKg = flyingMassKg(trace)
  const load = { massKg, releaseSpeedMperS: style.releaseSpeedMperS, strokeM: style.strokeM, peakFactor: CAST_PEAK_FACTOR }
  const { peakN, ruleN } = castLoad(load)
  const start = beginOf(workings, carrier)
  const links = castLinks(workings, carrier, start.wound, start.beginsAt)
  const weakest = weakestOf(links)
  const margin = weakest.strengthN / peakN
  const flight = {
    massKg,
    dragAreaM2: trace.pieces.reduce((sum, piece) => sum + flightAreaM2(piece), 0),
    releaseSpeedMperS: style.releaseSpeedMperS,
    launchDeg: conditions.launchDeg,
    releaseHeightM: RELEASE_ABOVE_FEET_M + conditions.freeboardM,
  }
  const { rangeM } = castRange(flight)
  const inputs: Input[] = [
    { name: 'style', value: style.name, unit: '', from: 'document' },
    { name: 'mass that flies', value: massKg, unit: 'kg', from: 'computed' },
    { name: 'release speed', value: style.releaseSpeedMperS, unit: 'm/s', from: 'nominal' },
    { name: 'stroke', value: style.strokeM, unit: 'm', from: 'nominal' },
    { name: 'peak over mean pull', value: CAST_PEAK_FACTOR, unit: '', from: 'nominal' },
    { name: 'peak pull', value: peakN, unit: 'N', from: 'computed' },
    { name: 'leader by the rule of 10 lb an ounce', value: ruleN, unit: 'N', from: 'rule' },
    { name: 'cast begins at', value: start.beginsAt, unit: '', from: 'computed' },
    { name: 'leader', value: start.leaderM, unit: 'm', from: 'document' },
    { name: 'leader needed to reach the reel', value: start.leaderNeededM, unit: 'm', from: 'computed' },
    { name: 'turns of leader on the spool', value: start.turnsOnSpool, unit: '', from: 'computed' },
    { name: 'needed of every link', value: HOLDS * peakN, unit: 'N', from: 'rule' },
    { name: 'weakest link', value: weakest.strengthN, unit: 'N', from: weakest.basis },
    { name: 'range in still air', value: rangeM, unit: 'm', from: 'computed' },
  ]
  return {
    moment: 'cast',
    verdict: gradeAtLeast(margin, HOLDS, WATCH),
    end: carrier.id,
    decides: weakest.id,
    figure: { name: 'weakestOverPeak', value: margin, unit: '' },
    margin: margin / HOLDS,
    inputs,
    links,
    weakest,
    peakN,
    ruleN,
    massKg,
    ...start,
    neededN: HOLDS * peakN,
    ...weakLinkOn(workings, carrier, links, peakN),
    rangeM,
    load,
    flight,
  }
}

/** The weak link on the carrier's path: what it would bear in the cast, whether or not a clip bridges it. */
function weakLinkOn({ trace, path }: Workings, carrier: Piece, links: readonly Link[], peakN: number): Pick<Cast, 'weakLink'> {
  const own = carrier.role === 'sinker' ? weakLinkIds(trace, path(carrier.id)) : undefined
  if (!own || trace.weakLink === undefined) return {}
  const strengthN = Math.min(
    ...path(carrier.id)
      .links.filter(({ id }) => own.has(id))
      .map((link) => link.strengthN),
  )
  return { weakLink: { id: trace.weakLink, overPeak: strengthN / peakN, bridged: !links.some(({ id }) => own.has(id)) } }
}

/** The heaviest sinker or lure; without one, the heaviest bait. */
function carrierOf(trace: Trace): Piece | undefined {
  const heaviest = (roles: readonly string[]) =>
    trace.pieces
      .filter(({ role }) => roles.includes(role))
      .reduce<Piece | undefined>((best, piece) => (!best || massOfKg(piece) > massOfKg(best) ? piece : best), undefined)
  return heaviest(['sinker', 'lure']) ?? heaviest(['bait'])
}

function flightAreaM2(piece: Piece): number {
  if (piece.role === 'sinker') return sinkerDragAreaM2(piece.shape, piece.massKg)
  if (piece.role === 'bait') return BAITS[piece.bait].flightM2
  return piece.role === 'lure' ? LURE_AREA_PER_MASS * Math.cbrt(piece.massKg) ** 2 : 0
}

type Begin = { wound: WoundLine[] } & Pick<Cast, 'beginsAt' | 'leaderM' | 'leaderNeededM' | 'turnsOnSpool'>

/** Where the cast path begins: the leader, or leader and top shot together, when long enough to lie on the spool. */
function beginOf({ trace, outfit, conditions, spool, tracePath }: Workings, carrier: Piece): Begin {
  const turnM = 2 * Math.PI * spool.radiusFullM
  const offSpoolM = conditions.dropM + outfit.rod.lengthM
  const leaderNeededM = offSpoolM + TURNS_ON_SPOOL * turnM
  const leaderM = leaderLengthM(trace, tracePath(carrier.id))
  const shared = { leaderM, leaderNeededM, turnsOnSpool: (leaderM - offSpoolM) / turnM }
  if (leaderM >= leaderNeededM) return { ...shared, beginsAt: 'leader', wound: [] }
  const top = outfit.wound.findIndex(({ role }) => role === 'topShot')
  const topM = top < 0 ? 0 : spool.layers[top]!.lengthM
  if (leaderM + topM >= leaderNeededM) return { ...shared, beginsAt: 'topShot', wound: outfit.wound.slice(top) }
  const main = outfit.wound.findIndex(({ role }) => role === 'main')
  return { ...shared, beginsAt: 'main', wound: outfit.wound.slice(main) }
}

/** Leader at the head of the path: only what is tied to the outfit's line, as one length, can lie on the spool. */
function leaderLengthM(trace: Trace, path: readonly PathElement[]): number {
  const head = path.find((element) => element.kind === 'line')
  if (head?.kind !== 'line' || head.line.role !== 'leader') return 0
  const atHead = trace.pieces.find(({ id }) => id === head.id)?.attach
  return atHead?.how === 'joined' && atHead.to === OUTFIT ? head.line.lengthM : 0
}

function castLinks(
  { trace, conditions, tracePath }: Workings,
  carrier: Piece,
  wound: WoundLine[],
  beginsAt: Cast['beginsAt'],
): Link[] {
  // On the leader, the leader's own knot lies on the spool under its turns.
  const elements = tracePath(carrier.id)
  const whole = pathLinks(
    wound,
    beginsAt === 'leader' && elements[0]?.kind === 'joint' ? elements.slice(1) : elements,
    conditions.wet,
  )
  return (trace.releaseClips ?? []).reduce((links, clip) => bridge(links, clip, carrier), whole)
}

/** The links strictly between a clip's ends leave the cast path; the clip itself takes their place. */
function bridge(links: Link[], clip: ReleaseClip, carrier: Piece): Link[] {
  const from = clip.from === OUTFIT ? -1 : links.findLastIndex(({ id }) => pieceOfLink(id) === clip.from)
  const end = links.findIndex(({ id }) => id === clip.to)
  // A sinker makes no link of its own: it ends the path.
  const to = end >= 0 ? end : clip.to === carrier.id ? links.length : -1
  if (to < 0 || (from < 0 && clip.from !== OUTFIT)) return links
  const own: Link = {
    id: clip.id,
    kind: 'part',
    strengthN: clip.strengthN,
    variation: CLIP_SPREAD,
    governedBy: 'self',
    basis: 'nominal',
  }
  return [...links.slice(0, from + 1), own, ...links.slice(to)]
}

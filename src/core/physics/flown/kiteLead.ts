import { CoreError } from '../../errors.ts'
import { AIR_KG_PER_M3, GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { cubicTop } from '../../math/cubicTop.ts'
import { stepRoom } from '../../math/followState.ts'
import { newton, type Residual, type Solution, type SolverTolerance, solveSystem } from '../../math/newton.ts'
import { type CurrentProfile, powerProfile } from '../water/current.ts'
import { followLine, type LinePoint, lineWeightNperM, NORMAL_COEFFICIENT } from '../water/lineInFluid.ts'
import { sinhOverRoot } from '../water/shoreHold.ts'

export type KiteLeadInput = {
  /** At 10 m over the sea. */
  windMperS: number
  lineDiameterM: number
  lineDensityKgperM3: number
  tipHeightM: number
  /** The ring on the kite's line that the bait's line runs through: over the sea, and down-wind of the rod's tip. */
  ringHeightM: number
  ringDistanceM: number
  /** Line from tip to ring over the straight way. */
  slack: number
  ringFriction: number
  /** What hangs at the ring's far side besides lead: float, swivel, leader, what the bait holds down. */
  hungMassKg: number
}
export type KiteLead = {
  lineToRingM: number
  ringTensionN: number
  /** Of the line over level at the ring. */
  ringAngleDeg: number
  wrapRad: number
  /** The lowest height anywhere on the line; at or below 0 it drags in the sea. */
  lowestM: number
  hungForceN: number
  leadMassKg: number
}

/** Slack that a line to a kite has, at least and at most. */
const MIN_SLACK = 1.001
const MAX_SLACK = 1.3
/** Height that a wind is given for, and the height under which it grows no weaker, m. */
const TOLD_AT_M = 10
const EVEN_UNDER_M = 0.5
/** As over open water. */
const WIND_EXPONENT = 1 / 7

/** How closely a line is followed and its end must come to the ring, over the straight way, by its slack: a belly hangs on that. */
const careFor = (slack: number): { rough: SolverTolerance; fine: SolverTolerance } => ({
  rough: { tolerance: 1e-2 * slack, close: 3e-2 * slack, difference: 1e-2 },
  fine: { tolerance: 1e-4 * slack, close: 2e-4 * slack, difference: 1e-3 },
})
/** The longest step in the pull's logarithm and its angle, and pulls over the first guess that are tried one after the other. */
const LONGEST: LineLoad = [1, 0.4]
const STARTS = [1, 0.5, 2, 0.2, 5]

/** The pull at the tip: its logarithm, and its angle over level. */
type LineLoad = readonly [logN: number, angle: number]
type KiteShot = Residual & { ring: LinePoint; lowestM: number }

/** How much less a line turns at its tip than one of an even load, where all of its load is the wind’s. As solved lines do. */
const LESS_AT_TIP = 0.45

/** Wind by its height over the sea. */
export const windProfile = (windMperS: number): CurrentProfile => powerProfile(windMperS, TOLD_AT_M, WIND_EXPONENT, EVEN_UNDER_M)

/**
 * The lead that keeps a bait in the water under a kite: what the belly of line between rod and ring lifts by, less what hangs there.
 * The line from the tip to the ring under its weight and the wind: two unknowns, the pull at the tip and its angle, two conditions, the
 * ring: shot and solved by damped Newton from a catenary of about its load. It runs over the ring with friction.
 * @param onPoint gets each point of the line from the tip (x down-wind, z over the sea).
 * @throws CoreError 'out-of-range' for slack outside 1.001 to 1.3, no wind, or a ring that is not over the tip; 'no-convergence' where
 * no pull brings the line to the ring.
 * Source: H. O. Berteaux, Buoy Engineering (1976), the same line in air; capstan equation (Euler–Eytelwein). Valid: a steady wind; the
 * drop's own drift left out.
 */
export const kiteLead = (input: KiteLeadInput, onPoint?: (point: LinePoint) => void): KiteLead => kiteFollower()(input, onPoint)

/**
 * The same of one after the other that change a little in wind or slack: each begins as far from its own first guess as the two before
 * were found from theirs, carried on, and where that does not get there, by way of the place midway.
 * @throws CoreError as `kiteLead` does; 'no-convergence' also where only a search from anew finds the pull.
 */
export function kiteFollower(): (input: KiteLeadInput, onPoint?: (point: LinePoint) => void) => KiteLead {
  let found: Found[] = []
  return (input, onPoint) => {
    check(input)
    const met = found.length > 0 ? followed(input, found) : solve(input)
    if (!met) throw new CoreError('no-convergence', 'No pull brings the line to the ring', { value: input.windMperS })
    found = [foundAt(input, met), ...found.slice(0, 1)]
    return leadOf(input, onPoint ? shotOf(input)(met.at, careFor(input.slack - 1).fine, onPoint) : met.shot)
  }
}

/** How far from its first guess a pull was found, and where that was among winds and slacks. */
type Found = { windMperS: number; slack: number; off: LineLoad }

function foundAt(input: KiteLeadInput, { at }: Solution<LineLoad, KiteShot>): Found {
  const [guess] = startsFor(input)
  return { windMperS: input.windMperS, slack: input.slack, off: [at[0] - guess[0], at[1] - guess[1]] }
}

/** Steps of Newton from close by; a way to a place that is not found so is halved so many times. */
const MAX_NEARBY = 10
const MAX_HALVINGS = 3

/** From what was found, at once or by way of the place midway. */
function followed(input: KiteLeadInput, found: readonly Found[], halvings = 0): Solution<LineLoad, KiteShot> | undefined {
  const met = newton(shotOf(input), carriedOn(input, found), LONGEST, careFor(input.slack - 1).fine, { mostSteps: MAX_NEARBY })
  const [last] = found
  if (met || halvings === MAX_HALVINGS || !last) return met
  const windMperS = Math.sqrt(last.windMperS * input.windMperS)
  const midway = { ...input, windMperS, slack: 1 + Math.sqrt((last.slack - 1) * (input.slack - 1)) }
  const half = followed(midway, found, halvings + 1)
  return half && followed(input, [foundAt(midway, half), last], halvings + 1)
}

const placeOf = ({ windMperS, slack }: Pick<KiteLeadInput, 'windMperS' | 'slack'>) => Math.log(windMperS * (slack - 1))

function carriedOn(input: KiteLeadInput, [last, before]: readonly Found[]): LineLoad {
  const [guess] = startsFor(input)
  const way = last && before ? placeOf(last) - placeOf(before) : 0
  const share = last && way !== 0 ? (placeOf(input) - placeOf(last)) / way : 0
  const at = (i: 0 | 1) => guess[i] + (last ? last.off[i] + share * (last.off[i] - (before?.off[i] ?? 0)) : 0)
  return [at(0), at(1)]
}

function leadOf(input: KiteLeadInput, { ring, lowestM }: KiteShot): KiteLead {
  const ringTensionN = Math.hypot(ring.tx, ring.tz)
  const angle = Math.atan2(ring.tz, ring.tx)
  const wrapRad = Math.min(Math.PI, Math.max(0, angle + Math.PI / 2))
  const hungForceN = Math.max(0, ringTensionN * Math.exp(-input.ringFriction * wrapRad) - weightOf(input) * input.ringHeightM)
  return {
    lineToRingM: input.slack * chordOf(input),
    ringTensionN,
    ringAngleDeg: (angle * 180) / Math.PI,
    wrapRad,
    lowestM,
    hungForceN,
    leadMassKg: Math.max(0, hungForceN / GRAVITY_M_PER_S2 - input.hungMassKg),
  }
}

function check({ slack, windMperS, ringHeightM, tipHeightM }: KiteLeadInput): void {
  const refuse = (message: string, value: number) => {
    throw new CoreError('out-of-range', message, { value })
  }
  if (slack < MIN_SLACK) refuse(`Under ${MIN_SLACK} of slack the line is taut`, slack)
  if (slack > MAX_SLACK) refuse(`Over ${MAX_SLACK} of slack the line lies in the sea`, slack)
  if (!(windMperS > 0)) refuse('Without wind no kite flies', windMperS)
  if (!(ringHeightM > tipHeightM)) refuse('The ring must be over the rod tip', ringHeightM)
}

/** The straight way from tip to ring, m. */
const chordOf = ({ tipHeightM, ringHeightM, ringDistanceM }: KiteLeadInput) => Math.hypot(ringDistanceM, ringHeightM - tipHeightM)

/** Follows the line that a pull at the tip makes: how far its end misses the ring, over the straight way. */
function shotOf(input: KiteLeadInput) {
  const chordM = chordOf(input)
  const { tipHeightM, ringHeightM, ringDistanceM } = input
  const forces = {
    line: { diameterM: input.lineDiameterM, densityKgperM3: input.lineDensityKgperM3 },
    current: windProfile(input.windMperS),
    fluidDensityKgperM3: AIR_KG_PER_M3,
  }
  const room = stepRoom(4)
  return ([logN, angle]: LineLoad, { tolerance }: SolverTolerance, onPoint?: (point: LinePoint) => void): KiteShot => {
    const pullN = Math.exp(logN)
    const start: LinePoint = { s: 0, x: 0, z: tipHeightM, tx: pullN * Math.cos(angle), tz: pullN * Math.sin(angle) }
    const low = new Lowest(start)
    const stop = {
      longest: input.slack * chordM,
      untilSpent: false,
      tolerance,
      scales: { along: chordM, places: chordM, rates: pullN },
      onPoint: (point: LinePoint) => {
        low.pass(point)
        onPoint?.(point)
      },
    }
    onPoint?.(start)
    const { point: ring } = followLine(forces, start, stop, room)
    return {
      missed: [(ring.x - ringDistanceM) / chordM, (ring.z - ringHeightM) / chordM],
      ring,
      lowestM: low.heightM,
    }
  }
}

/**
 * Pulls to begin at, the likeliest first: a catenary with the slack, across the straight way, of about the load that wind and weight make
 * on a line of its angles.
 */
function startsFor(input: KiteLeadInput): [LineLoad, ...LineLoad[]] {
  const { lineDiameterM: d, tipHeightM, ringHeightM, ringDistanceM } = input
  const way = Math.atan2(ringHeightM - tipHeightM, ringDistanceM)
  const x = sinhOverRoot(input.slack)
  const off = Math.atan(Math.sinh(x))
  const windMperS = windProfile(input.windMperS)((tipHeightM + ringHeightM) / 2)
  // Half of the mean square of the sine of an angle that goes evenly from one end’s to the other’s.
  const across = 0.5 - (Math.sin(2 * (way + off)) - Math.sin(2 * (way - off))) / (8 * off)
  const windNperM = 0.5 * AIR_KG_PER_M3 * NORMAL_COEFFICIENT * d * windMperS ** 2 * across
  const loadNperM = windNperM + weightOf(input) * Math.cos(way)
  const pullN = (loadNperM * chordOf(input)) / (2 * x)
  // The wind’s part lies where the line is steep, by the ring: there it turns more, by the tip less.
  const tipAngle = way - off * (1 - LESS_AT_TIP * (windNperM / loadNperM))
  const [first, ...others] = STARTS.map((times): LineLoad => [Math.log(times * pullN), tipAngle])
  return [first!, ...others]
}

const weightOf = ({ lineDensityKgperM3, lineDiameterM }: KiteLeadInput) =>
  lineWeightNperM({ diameterM: lineDiameterM, densityKgperM3: lineDensityKgperM3 }, AIR_KG_PER_M3)

/** A pull that leads nowhere may do so from that of a gentler wind, and that from a gentler one still. */
const GENTLER = 0.75
const MAX_GENTLER = 10

function solve(input: KiteLeadInput, gentler = 0): Solution<LineLoad, KiteShot> | undefined {
  const shoot = shotOf(input)
  const care = careFor(input.slack - 1)
  for (const start of startsFor(input)) {
    const found = solveSystem(shoot, start, LONGEST, care)
    if (found) return found
  }
  if (gentler === MAX_GENTLER) return undefined
  const before = solve({ ...input, windMperS: GENTLER * input.windMperS }, gentler + 1)
  return before && solveSystem(shoot, before.at, LONGEST, care)
}

/** The lowest that a line comes, from its points and its directions there. */
class Lowest {
  heightM: number
  private last: LinePoint

  constructor(start: LinePoint) {
    this.heightM = start.z
    this.last = start
  }

  pass(point: LinePoint): void {
    const [from, to] = [this.last, point]
    this.heightM = Math.min(this.heightM, to.z)
    if (from.tz < 0 && to.tz > 0) {
      const h = to.s - from.s
      const [a, b] = [(h * from.tz) / Math.hypot(from.tx, from.tz), (h * to.tz) / Math.hypot(to.tx, to.tz)]
      this.heightM = Math.min(this.heightM, -cubicTop(-from.z, -to.z, -a, -b))
    }
    this.last = point
  }
}

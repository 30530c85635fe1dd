import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { followState, type Slope, type StateEnd, type StateStop, type StepRoom, stepRoom } from '../../math/followState.ts'
import type { CurrentProfile } from './current.ts'

/** Drag coefficients of line across and along a flow, of water or of air. Sources: H. O. Berteaux, Buoy Engineering (1976); S. F. Hoerner (1965). */
export const NORMAL_COEFFICIENT = 1.2
export const TANGENTIAL_COEFFICIENT = 0.03

/** A length of one line, in water or in the wind. */
export type FluidLine = { diameterM: number; densityKgperM3: number }

/** Weight of a metre of line in a fluid, N/m; below zero where it floats. */
export const lineWeightNperM = ({ diameterM, densityKgperM3 }: FluidLine, fluidDensityKgperM3: number): number =>
  (densityKgperM3 - fluidDensityKgperM3) * GRAVITY_M_PER_S2 * (Math.PI / 4) * diameterM ** 2

export type LineForces = {
  line: FluidLine
  current: CurrentProfile
  fluidDensityKgperM3: number
  /** Along-flow coefficient; 0 for the closed forms. */
  tangentialCoefficient?: number
}

/** A point of a line: how far along, where (x down-current, z up), and the pull of what is above on it. */
export type LinePoint = { s: number; x: number; z: number; tx: number; tz: number }

export type LineStop = Omit<StateStop, 'onState'> & { onPoint?: (point: LinePoint) => void }

/**
 * Equilibrium of a line in a current or a wind, from one end on: `d(T t)/ds + f − w ẑ = 0`, `dr/ds = t`, with the fluid's force per length
 * `½ρCn d |Un| Un` across and `½ρCt d |Ut| Ut` along the line, and its weight w in that fluid.
 * @param start where the line begins, with the pull of the line on what it begins at; the pull must not be zero.
 * @returns the last point, exactly on the height or length asked for, and why it is the last.
 * @throws CoreError 'no-convergence' if the steps shrink without end.
 * Source: H. O. Berteaux, Buoy Engineering (1976); Dormand and Prince (1980) for the steps. Valid: inextensible line without
 * bending stiffness, steady current along x.
 */
export function followLine(
  forces: LineForces,
  start: LinePoint,
  stop: LineStop,
  room: StepRoom = stepRoom(4),
): { point: LinePoint; end: StateEnd } {
  const y = Float64Array.of(start.x, start.z, start.tx, start.tz)
  const { onPoint, ...until } = stop
  const onState = onPoint && ((s: number, at: Float64Array) => onPoint(pointAt(s, at)))
  const { s, end } = followState(slopeOf(forces), start.s, y, { ...until, onState }, room)
  return { point: pointAt(s, y), end }
}

function slopeOf({ line, current, fluidDensityKgperM3: rho, tangentialCoefficient = TANGENTIAL_COEFFICIENT }: LineForces): Slope {
  const normal = 0.5 * rho * NORMAL_COEFFICIENT * line.diameterM
  const tangential = 0.5 * rho * tangentialCoefficient * line.diameterM
  const weight = lineWeightNperM(line, rho)
  return (y, out) => {
    const [tx, tz] = [y[2]!, y[3]!]
    const pull = Math.sqrt(tx * tx + tz * tz)
    const [cx, cz] = [tx / pull, tz / pull]
    const u = current(y[1]!)
    // Across: u cz (cz, −cx); along: u cx (cx, cz).
    const across = normal * Math.abs(u * cz) * u * cz
    const along = tangential * Math.abs(u * cx) * u * cx
    out[0] = cx
    out[1] = cz
    out[2] = -(across * cz + along * cx)
    out[3] = -(-across * cx + along * cz) + weight
  }
}

const pointAt = (s: number, y: Float64Array): LinePoint => ({ s, x: y[0]!, z: y[1]!, tx: y[2]!, tz: y[3]! })

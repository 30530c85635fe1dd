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
  /** Speed of the fluid along x by height. */
  current: CurrentProfile
  /** Its speed along y, the same at every height; left out, the line lies in one plane. */
  currentYMperS?: number
  fluidDensityKgperM3: number
  /** Along-flow coefficient; 0 for the closed forms. */
  tangentialCoefficient?: number
}

/** A point of a line: how far along, where (x down-current, y across it, z up), and the pull of what is above on it; y and ty only where it leaves the plane. */
export type LinePoint = { s: number; x: number; z: number; tx: number; tz: number; y?: number; ty?: number }

export type LineStop = Omit<StateStop, 'onState'> & { onPoint?: (point: LinePoint) => void }

/**
 * Equilibrium of a line in a current or a wind, from one end on: `d(T t)/ds + f − w ẑ = 0`, `dr/ds = t`, with the fluid's force per length
 * `½ρCn d |Un| Un` across and `½ρCt d |Ut| Ut` along the line, and its weight w in that fluid.
 * @param start where the line begins, with the pull of the line on what it begins at; the pull must not be zero.
 * @returns the last point, exactly on the height or length asked for, and why it is the last.
 * @throws CoreError 'no-convergence' if the steps shrink without end.
 * Source: H. O. Berteaux, Buoy Engineering (1976); Dormand and Prince (1980) for the steps. Valid: inextensible line without
 * bending stiffness, steady current.
 */
export function followLine(
  forces: LineForces,
  start: LinePoint,
  stop: LineStop,
  room?: StepRoom,
): { point: LinePoint; end: StateEnd } {
  const isFlat = !forces.currentYMperS
  const state = isFlat
    ? Float64Array.of(start.x, start.z, start.tx, start.tz)
    : Float64Array.of(start.x, start.y ?? 0, start.z, start.tx, start.ty ?? 0, start.tz)
  const pointAt = isFlat ? flatPoint : pointInSpace
  const { onPoint, ...until } = stop
  const onState = onPoint && ((s: number, at: Float64Array) => onPoint(pointAt(s, at)))
  const slope = isFlat ? flatSlope(forces) : slopeInSpace(forces)
  const { s, end } = followState(slope, start.s, state, { ...until, onState }, room ?? stepRoom(state.length))
  return { point: pointAt(s, state), end }
}

/** Drag of a metre of line across and along a flow, over the square of its speed, and the weight of a metre. */
function perMetre({ line, fluidDensityKgperM3: rho, tangentialCoefficient = TANGENTIAL_COEFFICIENT }: LineForces) {
  const half = 0.5 * rho * line.diameterM
  return { normal: half * NORMAL_COEFFICIENT, tangential: half * tangentialCoefficient, weight: lineWeightNperM(line, rho) }
}

function flatSlope(forces: LineForces): Slope {
  const { current } = forces
  const { normal, tangential, weight } = perMetre(forces)
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

/** The same in three dimensions: a state of x, y, z and the pull along each. */
export function slopeInSpace(forces: LineForces): Slope {
  const { current, currentYMperS: uy = 0 } = forces
  const { normal, tangential, weight } = perMetre(forces)
  return (y, out) => {
    const [tx, ty, tz] = [y[3]!, y[4]!, y[5]!]
    const pull = Math.sqrt(tx * tx + ty * ty + tz * tz)
    const [cx, cy, cz] = [tx / pull, ty / pull, tz / pull]
    const ux = current(y[2]!)
    // What flows along the line, and what is left of it across.
    const flow = ux * cx + uy * cy
    const across = normal * Math.sqrt(Math.max(0, ux * ux + uy * uy - flow * flow))
    const along = tangential * Math.abs(flow) * flow
    out[0] = cx
    out[1] = cy
    out[2] = cz
    out[3] = -(across * (ux - flow * cx) + along * cx)
    out[4] = -(across * (uy - flow * cy) + along * cy)
    out[5] = across * flow * cz - along * cz + weight
  }
}

const flatPoint = (s: number, y: Float64Array): LinePoint => ({ s, x: y[0]!, z: y[1]!, tx: y[2]!, tz: y[3]! })
const pointInSpace = (s: number, y: Float64Array): LinePoint => ({
  s,
  x: y[0]!,
  y: y[1]!,
  z: y[2]!,
  tx: y[3]!,
  ty: y[4]!,
  tz: y[5]!,
})

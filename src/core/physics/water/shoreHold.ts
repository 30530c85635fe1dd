import { CoreError } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { NORMAL_COEFFICIENT } from './lineInFluid.ts'
import { pushN } from './push.ts'
import { massOfSubmergedKg } from './sphere.ts'

export type ShoreHoldInput = {
  lineDiameterM: number
  currentMperS: number
  /** Straight from rod to sinker, m. */
  spanM: number
  /** Line out over the span. */
  scope: number
  /** Hold of the sinker on the bed over its weight in water. */
  grip: number
  sinkerDensityKgperM3: number
  baitDragAreaM2: number
  waterDensityKgperM3?: number | undefined
}
export type ShoreHold = { lineTensionN: number; endAngleDeg: number; bowM: number; pullN: number; sinkerMassKg: number }

const MIN_SCOPE = 1.005
const MAX_SCOPE = 3

/**
 * The sinker that holds out across an even current with the line bowed between rod and sinker: a catenary of constant tension,
 * `sinh x / x = scope`, `a = span/2x`, `T = q a`, `q = ½ρCn d u²`. The pull on the sinker is the line's and the bait's.
 * @throws CoreError 'line-too-short' under a scope of 1.005, 'out-of-range' over 3, or without a current.
 * Source: H. O. Berteaux, Buoy Engineering (1976). Valid: only the line's normal drag; the sinker's own drag is left out.
 */
export function waterShoreHold(input: ShoreHoldInput): ShoreHold {
  const { scope, currentMperS, spanM, grip } = input
  checkScope(scope, currentMperS)
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const x = sinhOverRoot(scope)
  const a = spanM / (2 * x)
  const q = 0.5 * rho * NORMAL_COEFFICIENT * input.lineDiameterM * currentMperS ** 2
  const lineTensionN = q * a
  const endAngle = Math.atan(Math.sinh(x))
  const baitN = pushN(input.baitDragAreaM2, currentMperS, rho)
  const pullN = Math.hypot(lineTensionN * Math.sin(endAngle) + baitN, lineTensionN * Math.cos(endAngle))
  return {
    lineTensionN,
    endAngleDeg: (endAngle * 180) / Math.PI,
    bowM: a * (Math.cosh(x) - 1),
    pullN,
    sinkerMassKg: massOfSubmergedKg(pullN / grip, input.sinkerDensityKgperM3, rho),
  }
}

/** @throws CoreError 'line-too-short', 'out-of-range' where there is no bow, or no current to bow in. */
export function checkScope(scope: number, currentMperS: number): void {
  if (!(scope >= MIN_SCOPE))
    throw new CoreError('line-too-short', `A scope of ${scope} leaves no bow to calculate with`, { value: scope })
  if (!(scope <= MAX_SCOPE)) throw new CoreError('out-of-range', `A scope of ${scope} is over ${MAX_SCOPE}`, { value: scope })
  if (!(currentMperS > 0)) throw new CoreError('out-of-range', 'There is no current', { value: currentMperS })
}

/** Root of `sinh x / x = ratio`, ratio over 1: Newton from above, where it cannot overshoot. */
export function sinhOverRoot(scope: number): number {
  // sinh x / x ≥ 1 + x²/6, and ≥ e^x/(4x) for large x: both starts lie above the root.
  let x = Math.min(Math.sqrt(6 * (scope - 1)), 2 * Math.log(4 * scope) + 1)
  for (let i = 0; i < 50; i += 1) {
    const step = (Math.sinh(x) - scope * x) / (Math.cosh(x) - scope)
    x -= step
    if (Math.abs(step) <= 1e-15 * x) break
  }
  return x
}

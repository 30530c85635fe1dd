import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { type HangInput, waterHang } from './hang.ts'

export type HangMassInput = Omit<HangInput, 'sinkerMassKg'> & { scope: number }

/** Sinkers that are thought of at all, kg. */
const MIN_KG = 0.001
const MAX_KG = 100
/** Relative error allowed in the mass. */
const TOLERANCE = 1e-7

/**
 * The sinker for which line out over depth is `scope`: the root of `waterHang` in log mass, between a gram and 100 kg; a line that
 * is blown out counts as endless scope.
 * @throws CoreError 'no-root' with the end it lies beyond.
 */
export function waterHangMass({ scope, ...rest }: HangMassInput): { sinkerMassKg: number } {
  return { sinkerMassKg: massForScopeKg((sinkerMassKg) => waterHang({ ...rest, sinkerMassKg }).lineOutM, rest.depthM, scope) }
}

/**
 * The mass for which a line out over a depth is `scope`. ln(scope − 1) against ln mass is nearly straight, so few solves find it.
 * @param lineOutM line out for a sinker's mass; it may throw 'blown-out'.
 * @throws CoreError 'no-root' with the end it lies beyond.
 */
export function massForScopeKg(lineOutM: (sinkerMassKg: number) => number, depthM: number, scope: number): number {
  const over = (logKg: number) => {
    try {
      return Math.log(Math.max(lineOutM(Math.exp(logKg)) / depthM - 1, 1e-300)) - Math.log(scope - 1)
    } catch (error) {
      if (error instanceof CoreError && error.code === 'blown-out') return Number.POSITIVE_INFINITY
      throw error
    }
  }
  const [low, high] = [Math.log(MIN_KG), Math.log(MAX_KG)]
  if (over(low) < 0)
    throw new CoreError('no-root', `Under a gram would hold a scope of ${scope}`, { value: MIN_KG, end: 'least' })
  if (over(high) > 0)
    throw new CoreError('no-root', `Over ${MAX_KG} kg would be needed for a scope of ${scope}`, { value: MAX_KG, end: 'most' })
  return Math.exp(findRoot(over, low, high, TOLERANCE))
}

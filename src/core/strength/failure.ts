import { CoreError } from '../errors.ts'
import { forEachGaussPoint } from '../math/gaussLegendre.ts'
import { normalCdf, normalPdf } from '../math/normal.ts'

/** A link whose strength is Normal(meanN, variation·meanN). */
export type UncertainLink = { id: string; meanN: number; variation: number }
export type Failure = { first: { id: string; probability: number }[]; survival: number }

/** Beyond this many deviations a normal density is under 1e-16 of its peak. */
const REACH = 8.5
/** Widest cell of the grid, in deviations of the narrowest link that is bending there: eight Gauss points then err by under 1e-10. */
const CELL = 2
/** A narrower spread is below what the steps of a double can resolve around its mean. */
const LEAST_VARIATION = 1e-9
/** Under this chance of everything still being whole, what follows adds nothing that a double can hold. */
const NOTHING_LEFT = 1e-17

/**
 * Chance that each link goes first, and that nothing goes at `loadN`.
 * @param links strengths in N, variation > 0 (a ratio).
 * @param loadN pull for `survival`, N.
 */
export function strengthFailure(links: readonly UncertainLink[], loadN: number): Failure {
  const first = firstToGo(links)
  return { first: links.map(({ id }, i) => ({ id, probability: first[i]! })), survival: survivalAt(links, loadN) }
}

/** Chance that nothing goes at `loadN`, `Π (1 − F_i(loadN))`. */
export function survivalAt(links: readonly UncertainLink[], loadN: number): number {
  return links.reduce((product, { meanN, variation }) => product * normalCdf((meanN - loadN) / (variation * meanN)), 1)
}

/**
 * Chance that each link goes first as a pull grows until something goes, `∫ f_i(L) Π_{j≠i} (1 − F_j(L)) dL`.
 * One grid serves all links: cells as wide as the narrowest link whose density is alive there, eight Gauss points each, so a
 * narrow link among wide ones is resolved. The integral runs over the whole line of loads.
 * @returns chances in the order of `links`; they sum to 1.
 * @throws CoreError 'out-of-range' for a variation under 1e-9.
 * Source: order statistics of independent normal variables; checked against Φ((μb − μa)/√(σa²+σb²)) for two links.
 */
export function firstToGo(links: readonly UncertainLink[]): number[] {
  for (const { id, variation } of links)
    if (!(variation >= LEAST_VARIATION))
      throw new CoreError('out-of-range', `The variation of ${id} is ${variation}, under ${LEAST_VARIATION}`, {
        value: variation,
        id,
      })
  const deviations = links.map((link) => link.variation * link.meanN)
  // Below the first density's reach every chance is zero, and past the link that ends first nothing is left whole.
  const begins = links.map((link, i) => link.meanN - REACH * deviations[i]!)
  const end = Math.min(...links.map((link, i) => link.meanN + REACH * deviations[i]!))
  const sums = new Float64Array(links.length)
  const whole = new Float64Array(links.length)
  const density = new Float64Array(links.length)

  for (let low = Math.min(...begins); low < end; ) {
    let high = end
    for (let i = 0; i < links.length; i += 1) high = Math.min(high, begins[i]! > low ? begins[i]! : low + CELL * deviations[i]!)
    forEachGaussPoint(low, high, (load, weight) => {
      let all = 1
      for (let i = 0; i < links.length; i += 1) {
        const z = (load - links[i]!.meanN) / deviations[i]!
        density[i] = z < -REACH ? 0 : normalPdf(z) / deviations[i]!
        whole[i] = z < -REACH ? 1 : normalCdf(-z)
        all *= whole[i]!
      }
      if (all < NOTHING_LEFT) return
      for (let i = 0; i < links.length; i += 1) if (density[i]! > 0) sums[i]! += (weight * density[i]! * all) / whole[i]!
    })
    low = high
  }
  const total = sums.reduce((sum, value) => sum + value, 0)
  return Array.from(sums, (sum) => sum / total)
}

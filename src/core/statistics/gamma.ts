/** Terms of a series or a fraction under this share of the sum change nothing. */
const NOTHING = 1e-16
/** More terms than any argument that is asked for needs. */
const MOST_TERMS = 100_000
/** Keeps a continued fraction from dividing by zero. */
const TINY = 1e-300

/** Coefficients for g = 7 of the Lanczos series; they give `logGamma` to about 1e-15. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** ln Γ(x) for x > 0. Source: C. Lanczos (1964). */
export function logGamma(x: number): number {
  // The series is exact to rounding above a half.
  if (x < 0.5) return logGamma(x + 1) - Math.log(x)
  const sum = LANCZOS.reduce((total, each, i) => (i === 0 ? each : total + each / (x - 1 + i)), 0)
  const t = x + 6.5
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum)
}

/**
 * P(X ≤ x) of a Gamma distribution with a shape and rate 1, for x ≥ 0.
 * Source: W. Gautschi (1979): the series below the mean, the continued fraction above it.
 */
export function gammaCdf(shape: number, x: number): number {
  if (x <= 0) return 0
  const front = Math.exp(shape * Math.log(x) - x - logGamma(shape))
  if (x < shape + 1) {
    let [term, sum] = [1 / shape, 1 / shape]
    for (let n = 1; n < MOST_TERMS && term > NOTHING * sum; n += 1) {
      term *= x / (shape + n)
      sum += term
    }
    return Math.min(1, front * sum)
  }
  return 1 - front / fraction(x + 1 - shape, (n) => [n * (shape - n), x + 2 * n + 1 - shape])
}

/**
 * I(x; a, b), the regularised incomplete beta function, for x from 0 to 1.
 * Source: the continued fraction of DiDonato and Morris (1992), on the side where it converges at once.
 */
export function betaCdf(a: number, b: number, x: number): number {
  if (x <= 0) return 0
  if (x >= 1) return 1
  if (x > (a + 1) / (a + b + 2)) return 1 - betaCdf(b, a, 1 - x)
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) + logGamma(a + b) - logGamma(a) - logGamma(b)) / a
  const below = fraction(1, (n) => {
    const m = Math.floor(n / 2)
    const top = n % 2 === 0 ? m * (b - m) : -(a + m) * (a + b + m)
    return [(top * x) / ((a + n - 1) * (a + n)), 1]
  })
  return Math.min(1, front / below)
}

/** b₀ + a₁/(b₁ + a₂/(b₂ + …)), from `b₀` and each `[aₙ, bₙ]`. Source: Lentz’s method. */
function fraction(first: number, termAt: (n: number) => readonly [number, number]): number {
  let [c, d, value] = [first === 0 ? TINY : first, 0, first === 0 ? TINY : first]
  for (let n = 1; n < MOST_TERMS; n += 1) {
    const [a, b] = termAt(n)
    d = 1 / (b + a * d || TINY)
    c = b + a / c || TINY
    value *= c * d
    if (Math.abs(c * d - 1) < NOTHING) break
  }
  return value
}

/** x that a Gamma distribution with a shape and rate 1 stays under with a chance. */
export const gammaQuantile = (shape: number, chance: number): number =>
  // Far above the mean the density falls faster than this grows.
  quantile((x) => gammaCdf(shape, x), chance, shape + 40 * Math.sqrt(shape + 1) + 40)

/** x from 0 to 1 that a Beta distribution stays under with a chance. */
export function betaQuantile(a: number, b: number, chance: number): number {
  const low = quantile((x) => betaCdf(a, b, x), chance, 1)
  // Near 1 what is left of 1 has the digits.
  return low < 0.5 ? low : 1 - quantile((x) => betaCdf(b, a, x), 1 - chance, 1)
}

/** Where a rising function of x from 0 to `most` passes a value; halved in the logarithm, for a quantile may be very near zero. */
function quantile(cdf: (x: number) => number, chance: number, most: number): number {
  let [low, high] = [-700, Math.log(most)]
  while (high - low > 1e-13 * Math.max(1, Math.abs(low))) {
    const middle = (low + high) / 2
    if (middle === low || middle === high) break
    if (cdf(Math.exp(middle)) < chance) low = middle
    else high = middle
  }
  return low === -700 ? 0 : Math.exp((low + high) / 2)
}

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { learnForetold } from './foretold.ts'
import { betaCdf, betaQuantile, gammaCdf, gammaQuantile, logGamma } from './gamma.ts'
import { learnBetterRate, learnRate, learnShare } from './rates.ts'

const chance = fc.double({ min: 0.001, max: 0.999, noNaN: true })
const shape = fc.double({ min: 0.3, max: 400, noNaN: true })
/** How far apart, over the larger of them. */
const apart = (a: number, b: number) => Math.abs(a - b) / Math.max(Math.abs(a), Math.abs(b), 1e-300)

describe('the Gamma and Beta distributions', () => {
  test('the Gamma function grows by its argument, and is that of whole numbers and of a half', () => {
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 13)
    expect(logGamma(11)).toBeCloseTo(Math.log(3_628_800), 12)
    fc.assert(fc.property(shape, (x) => void expect(Math.abs(logGamma(x + 1) - logGamma(x) - Math.log(x))).toBeLessThan(1e-10)))
  })

  test('a Gamma distribution of whole shape is what a Poisson process has not counted yet', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.double({ min: 0.01, max: 80, noNaN: true }), (k, x) => {
        let [term, fewer] = [Math.exp(-x), 0]
        for (let i = 0; i < k; i += 1) {
          fewer += term
          term *= x / (i + 1)
        }
        expect(gammaCdf(k, x)).toBeCloseTo(1 - fewer, 12)
      }),
    )
  })

  test('a Beta distribution of whole numbers is a binomial one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 25 }), fc.integer({ min: 1, max: 25 }), chance, (a, b, x) => {
        const n = a + b - 1
        let sum = 0
        for (let k = a; k <= n; k += 1)
          sum += Math.exp(logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1)) * x ** k * (1 - x) ** (n - k)
        expect(betaCdf(a, b, x)).toBeCloseTo(sum, 10)
      }),
    )
  })

  test('a quantile is where the distribution has its chance, and known where it can be written down', () => {
    fc.assert(
      fc.property(shape, shape, chance, (a, b, p) => {
        expect(gammaCdf(a, gammaQuantile(a, p))).toBeCloseTo(p, 8)
        expect(betaCdf(a, b, betaQuantile(a, b, p))).toBeCloseTo(p, 5)
        expect(apart(gammaQuantile(1, p), -Math.log1p(-p))).toBeLessThan(1e-10)
        expect(apart(betaQuantile(a, 1, p), p ** (1 / a))).toBeLessThan(1e-9)
      }),
    )
  })
})

describe('what a log teaches', () => {
  const counted = fc.record({ events: fc.nat({ max: 200 }), exposure: fc.double({ min: 0, max: 300, noNaN: true }) })
  const prior = { priorEvents: 0.5, priorExposure: 4 }

  test('more exposure without an event lowers a rate, an event raises it, and its interval narrows', () => {
    fc.assert(
      fc.property(counted, (seen) => {
        const [now, idle, one] = [
          learnRate({ ...prior, ...seen }),
          learnRate({ ...prior, ...seen, exposure: seen.exposure + 5 }),
          learnRate({ ...prior, ...seen, events: seen.events + 1 }),
        ]
        expect(idle.high).toBeLessThan(now.high)
        expect(one.low).toBeGreaterThan(now.low)
        expect(idle.high - idle.low).toBeLessThan(now.high - now.low)
        expect(now.low).toBeLessThan(now.mean)
        expect(now.mean).toBeLessThan(now.high)
      }),
    )
  })

  test('one rate is above the other or below it; two alike are even', () => {
    fc.assert(
      fc.property(counted, counted, (a, b) => {
        const above = learnBetterRate({ ...prior, a, b }).probability
        expect(above + learnBetterRate({ ...prior, a: b, b: a }).probability).toBeCloseTo(1, 9)
        expect(learnBetterRate({ ...prior, a, b: a }).probability).toBeCloseTo(0.5, 9)
      }),
    )
  })

  test('a share of yes is one less that of no, interval and all', () => {
    fc.assert(
      fc.property(fc.nat({ max: 60 }), fc.nat({ max: 60 }), (yes, no) => {
        const of = learnShare({ priorYes: 1, priorNo: 1, yes, no })
        const other = learnShare({ priorYes: 1, priorNo: 1, yes: no, no: yes })
        expect(of.mean + other.mean).toBeCloseTo(1, 12)
        expect(of.low + other.high).toBeCloseTo(1, 9)
      }),
    )
  })

  test('events of one chance are binomial, in whatever order; so many or more and fewer than that are all there is', () => {
    const n = 12
    const binomial = (k: number, p: number) =>
      Math.exp(logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1)) * p ** k * (1 - p) ** (n - k)
    fc.assert(
      fc.property(chance, fc.integer({ min: 1, max: n }), (p, k) => {
        const alike = learnForetold({ chances: Array(n).fill(p), happened: k })
        expect(alike.atLeast - learnForetold({ chances: Array(n).fill(p), happened: k + 1 }).atLeast).toBeCloseTo(
          binomial(k, p),
          10,
        )
        expect(alike.expected).toBeCloseTo(n * p, 10)
      }),
    )
    fc.assert(
      fc.property(fc.array(chance, { minLength: 1, maxLength: 40 }), fc.nat({ max: 40 }), (chances, k) => {
        const happened = Math.min(k, chances.length)
        const told = learnForetold({ chances, happened })
        const fewer = happened === 0 ? 0 : learnForetold({ chances, happened: happened - 1 }).atMost
        expect(told.atLeast + fewer).toBeCloseTo(1, 10)
        expect(learnForetold({ chances: chances.toReversed(), happened }).midP).toBeCloseTo(told.midP, 10)
      }),
    )
  })
})

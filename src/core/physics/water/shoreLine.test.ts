import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { BED_LAYER_M } from './current.ts'
import { pushN } from './push.ts'
import { waterShoreHold } from './shoreHold.ts'
import { type ShoreLineInput, type ShorePoint, waterShoreLine } from './shoreLine.ts'
import { submergedWeightN } from './sphere.ts'

const beach: ShoreLineInput = {
  lineDiameterM: 0.00035,
  lineDensityKgperM3: 1140,
  surfaceCurrentMperS: 0.6,
  depthM: 4,
  spanM: 70,
  tipHeightM: 4,
  scope: 1.15,
  profileExponent: 1 / 7,
  grip: 0.5,
  breakOutN: 0,
  sinkerDensityKgperM3: 11_340,
  baitDragAreaM2: 0.001,
}
const at = (more: Partial<ShoreLineInput>) => waterShoreLine({ ...beach, ...more })
/** All of the line in an even stream, and as heavy as the water. */
const even = { lineDensityKgperM3: SEA_WATER_KG_PER_M3, profileExponent: 0, tipHeightM: 0, depthM: 0.5 }

describe('water.shoreLine', () => {
  test('in an even stream, all in the water, it is the catenary but for what the stream drags along the line', () => {
    for (const scope of [1.02, 1.1, 1.3]) {
      const catenary = waterShoreHold({ ...beach, scope, currentMperS: beach.surfaceCurrentMperS })
      const { pullN, bowM, rodPullN } = at({ ...even, scope })
      expect(pullN / catenary.pullN).toBeCloseTo(1, 1)
      expect(bowM / catenary.bowM).toBeCloseTo(1, 1)
      expect(rodPullN / catenary.lineTensionN).toBeCloseTo(1, 1)
    }
  })

  test('twice the stream pulls four times as hard, where nothing else does', () => {
    const bare = { ...even, baitDragAreaM2: 0 }
    expect(at({ ...bare, surfaceCurrentMperS: 1.2 }).pullN / at({ ...bare, surfaceCurrentMperS: 0.6 }).pullN).toBeCloseTo(4, 1)
  })

  test('the line ends at the rod tip, is as long as it was said to be, and bows as far as the furthest of its points', () => {
    const realistic = fc.record({
      scope: fc.double({ min: 1.01, max: 1.4, noNaN: true }),
      surfaceCurrentMperS: fc.double({ min: 0.3, max: 2, noNaN: true }),
      depthM: fc.double({ min: 1, max: 15, noNaN: true }),
      spanM: fc.double({ min: 25, max: 120, noNaN: true }),
    })
    fc.assert(
      fc.property(realistic, (given) => {
        const points: ShorePoint[] = []
        // As heavy as the water, it lies on the bed nowhere.
        const input = { ...beach, ...given, lineDensityKgperM3: SEA_WATER_KG_PER_M3 }
        const { bowM } = waterShoreLine(input, (point) => points.push(point))
        const { x, y, z } = points.at(-1)!
        const chordM = Math.hypot(input.spanM, input.depthM + input.tipHeightM)
        const slackM = (input.scope - 1) * chordM
        expect(Math.hypot(x, y - input.spanM, z - input.depthM - input.tipHeightM)).toBeLessThan(1e-3 * slackM)
        const straights = points.slice(1).reduce((sum, p, i) => {
          const q = points[i]!
          return sum + Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z)
        }, 0)
        expect(straights).toBeLessThanOrEqual(input.scope * chordM * (1 + 1e-6))
        expect(straights).toBeGreaterThan((1 + 0.8 * (input.scope - 1)) * chordM)
        const furthest = Math.max(...points.map((p) => p.x))
        expect(bowM).toBeGreaterThanOrEqual(furthest)
        expect(bowM).toBeLessThan(1.1 * furthest + 0.01)
      }),
      { numRuns: 60 },
    )
  })

  test('the pull falls as more line is let out, fast up to 1.15 and slowly past 1.3; it rises with stream, depth and thickness', () => {
    const byScope = [1.02, 1.05, 1.1, 1.15, 1.2, 1.3, 1.4].map((scope) => at({ scope }).pullN)
    for (const [i, pullN] of byScope.entries()) if (i > 0) expect(pullN).toBeLessThan(byScope[i - 1]!)
    expect(byScope[0]! - byScope[3]!).toBeGreaterThan(3 * (byScope[3]! - byScope[5]!))
    const rising = (values: Partial<ShoreLineInput>[]) => {
      const pulls = values.map((more) => at(more).pullN)
      for (const [i, pullN] of pulls.entries()) if (i > 0) expect(pullN).toBeGreaterThan(pulls[i - 1]!)
    }
    rising([0.3, 0.6, 0.9, 1.5, 2.5].map((surfaceCurrentMperS) => ({ surfaceCurrentMperS })))
    rising([0.0002, 0.0003, 0.0005].map((lineDiameterM) => ({ lineDiameterM })))
    rising([2, 4, 8, 16].map((depthM) => ({ depthM })))
    rising([12, 8, 4, 2].map((tipHeightM) => ({ tipHeightM })))
  })

  test('what holds: grip and wires bear the pull along the bed, the weight alone holds the lift', () => {
    const { pullN, liftN, sinkerMassKg } = at({})
    const weightOf = (massKg: number) => submergedWeightN(massKg, 11_340, SEA_WATER_KG_PER_M3)
    expect(weightOf(sinkerMassKg)).toBeCloseTo(pullN / 0.5 + liftN, 6)
    expect(weightOf(at({ breakOutN: pullN / 2 }).sinkerMassKg)).toBeCloseTo(pullN / 2 / 0.5 + liftN, 6)
    expect(weightOf(at({ breakOutN: 2 * pullN }).sinkerMassKg)).toBeCloseTo(liftN, 6)
  })

  test('the bait adds its push, by the stream near the bed', () => {
    const near = 0.6 * (BED_LAYER_M / beach.depthM) ** (1 / 7)
    const baitN = pushN(0.02, near, SEA_WATER_KG_PER_M3)
    const [bare, baited] = [at({ baitDragAreaM2: 0 }).pullN, at({ baitDragAreaM2: 0.02 }).pullN]
    expect(baited).toBeGreaterThan(bare + 0.7 * baitN)
    expect(baited).toBeLessThan(bare + baitN)
  })

  test.each([
    [{ scope: 1.004 }, 'line-too-short'],
    [{ scope: 3.01 }, 'out-of-range'],
    [{ surfaceCurrentMperS: 0 }, 'out-of-range'],
    [{ lineDensityKgperM3: 7900, surfaceCurrentMperS: 0.1, scope: 1.3 }, 'line-on-bed'],
    // A floating line with so much slack in so weak a stream lies on the water.
    [{ lineDensityKgperM3: 970, surfaceCurrentMperS: 0.02, scope: 1.3, depthM: 1, tipHeightM: 1 }, 'no-convergence'],
  ])('%j is refused: %s', (more, code) => {
    expect(() => at(more)).toThrow(expect.objectContaining({ code }))
  })
})

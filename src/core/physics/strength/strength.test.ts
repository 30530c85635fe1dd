import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { calculate } from '../../calculations/registry.ts'
import { type ChainElement, strengthChain } from './chain.ts'
import { type DragInput, strengthDrag } from './drag.ts'
import { strengthWaterDragN } from './waterDrag.ts'

const newtons = fc.double({ min: 5, max: 2000, noNaN: true })
const share = fc.double({ min: 0.3, max: 1, noNaN: true })
const scale = fc.double({ min: 0.01, max: 100, noNaN: true })

describe('strength.chain', () => {
  const path = fc
    .array(fc.tuple(newtons, share, share), { minLength: 2, maxLength: 12 })
    .map((rows) =>
      rows.flatMap(([strengthN, efficiencyAbove, efficiencyBelow], i): ChainElement[] => [
        ...(i === 0 ? [] : [{ type: 'joint' as const, id: `j${i}`, efficiencyAbove, efficiencyBelow }]),
        { type: 'line', id: `l${i}`, strengthN },
      ]),
    )

  test('joints of efficiency 1 leave the weakest line: nothing is multiplied up', () => {
    fc.assert(
      fc.property(path, (elements) => {
        const perfect = elements.map((element) =>
          element.type === 'joint' ? { ...element, efficiencyAbove: 1, efficiencyBelow: 1 } : element,
        )
        const lines = elements.flatMap((element) => (element.type === 'line' ? [element.strengthN] : []))
        expect(strengthChain(perfect).weakest.strengthN).toBe(Math.min(...lines))
      }),
    )
  })

  test('strengths scale with force, and the weakest stays the same link', () => {
    fc.assert(
      fc.property(path, scale, (elements, k) => {
        const scaled = elements.map((element) =>
          element.type === 'joint' ? element : { ...element, strengthN: element.strengthN * k },
        )
        const [a, b] = [strengthChain(elements), strengthChain(scaled)]
        expect(b.weakest.strengthN / (k * a.weakest.strengthN)).toBeCloseTo(1, 9)
      }),
    )
  })

  test('a better joint never weakens the chain', () => {
    fc.assert(
      fc.property(path, fc.nat(), (elements, pick) => {
        const joints = elements.filter(({ type }) => type === 'joint')
        const chosen = joints[pick % joints.length]!.id
        const better = elements.map((element) =>
          element.id === chosen ? { ...element, efficiencyAbove: 1, efficiencyBelow: 1 } : element,
        )
        expect(strengthChain(better).weakest.strengthN).toBeGreaterThanOrEqual(strengthChain(elements).weakest.strengthN)
      }),
    )
  })

  test('on equal strengths above and the first link win', () => {
    const line = (id: string): ChainElement => ({ type: 'line', id, strengthN: 100 })
    const chain = strengthChain([line('a'), { type: 'joint', id: 'j', efficiencyAbove: 0.9, efficiencyBelow: 0.9 }, line('b')])
    expect(chain.links[1]!.governedBy).toBe('above')
    expect(strengthChain([line('a'), line('b')]).weakest.id).toBe('a')
  })

  test('a joint with no line on either side is an issue with the path to it', () => {
    const outcome = calculate('strength.chain', {
      path: [
        { type: 'hardware', id: 'ring', strengthN: 100 },
        { type: 'joint', id: 'knot', efficiencyAbove: 1, efficiencyBelow: 1 },
      ],
    })
    expect(outcome.ok ? [] : outcome.issues[0]!.path).toEqual(['path', 1])
  })
})

describe('strength.drag', () => {
  const input = fc.record({
    weakestN: newtons,
    lineClassN: newtons,
    spoolFullRadiusM: fc.double({ min: 0.025, max: 0.04, noNaN: true }),
    spoolRadiusM: fc.double({ min: 0.015, max: 0.025, noNaN: true }),
    guideWrapRad: fc.double({ min: 0, max: 1.6, noNaN: true }),
    guideFriction: fc.double({ min: 0, max: 0.2, noNaN: true }),
    startFactor: fc.double({ min: 1, max: 1.5, noNaN: true }),
    waterDragN: fc.double({ min: 0, max: 3, noNaN: true }),
    allowedFraction: share,
    dragN: fc.double({ min: 0, max: 100, noNaN: true }),
  })

  test('without friction, stick or spool loss the hook feels the setting', () => {
    const result = strengthDrag({
      weakestN: 100,
      lineClassN: 150,
      spoolFullRadiusM: 0.03,
      spoolRadiusM: 0.03,
      guideWrapRad: 0,
      guideFriction: 0.2,
      startFactor: 1,
      waterDragN: 0,
      allowedFraction: 0.75,
      dragN: 40,
    })
    expect(result).toEqual({ multiplier: 1, ceilingN: 75, ceilingShareOfClass: 0.5, peakN: 40, peakShareOfWeakest: 0.4 })
  })

  test('set at the ceiling, the peak is just the allowed share of the weakest', () => {
    fc.assert(
      fc.property(input, (given: DragInput) => {
        const { ceilingN } = strengthDrag(given)
        fc.pre(ceilingN > 0)
        expect(strengthDrag({ ...given, dragN: ceilingN }).peakShareOfWeakest).toBeCloseTo(given.allowedFraction, 9)
      }),
    )
  })

  test('forces scale, radii cancel, and a smaller spool never raises the ceiling', () => {
    fc.assert(
      fc.property(input, scale, scale, (given, F, L) => {
        const a = strengthDrag(given)
        const b = strengthDrag({
          ...given,
          weakestN: given.weakestN * F,
          lineClassN: given.lineClassN * F,
          waterDragN: given.waterDragN * F,
          dragN: given.dragN * F,
          spoolFullRadiusM: given.spoolFullRadiusM * L,
          spoolRadiusM: given.spoolRadiusM * L,
        })
        expect(b.ceilingN).toBeCloseTo(a.ceilingN * F, 6)
        expect(b.peakShareOfWeakest).toBeCloseTo(a.peakShareOfWeakest, 9)
        expect(strengthDrag({ ...given, spoolRadiusM: given.spoolRadiusM * 0.9 }).ceilingN).toBeLessThanOrEqual(a.ceilingN)
      }),
    )
  })

  test('water drag above the limit leaves a ceiling of nothing, not less', () => {
    expect(
      strengthDrag({
        weakestN: 10,
        lineClassN: 10,
        spoolFullRadiusM: 1,
        spoolRadiusM: 1,
        guideWrapRad: 0,
        guideFriction: 0,
        startFactor: 1,
        waterDragN: 20,
        allowedFraction: 0.75,
        dragN: 1,
      }).ceilingN,
    ).toBe(0)
  })
})

describe('strength.waterDrag', () => {
  test('nothing in still water; four times at twice the speed; scales as ρ d v² L', () => {
    const at = (speedMperS: number) => strengthWaterDragN({ lineOutM: 100, diameterM: 0.0003, speedMperS })
    expect(at(0)).toBe(0)
    expect(at(4)).toBeCloseTo(4 * at(2), 12)
    fc.assert(
      fc.property(scale, scale, scale, (M, L, T) => {
        const rescaled = strengthWaterDragN({
          lineOutM: 100 * L,
          diameterM: 0.0003 * L,
          speedMperS: (2 * L) / T,
          waterDensityKgperM3: (1025 * M) / L ** 3,
        })
        expect(rescaled / ((at(2) * M * L) / T ** 2)).toBeCloseTo(1, 9)
      }),
    )
  })
})

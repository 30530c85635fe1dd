import { describe, expect, test } from 'vitest'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { withOwn } from '../catalogue/catalogue.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { chooseKnots, type KnotChoice, type TiedEnd, WISHES, type Wish } from './choose.ts'
import { KNOT_FACTS } from './facts.ts'

const line = (material: 'mono' | 'fluoro' | 'braid' | 'wire' | 'cord', lb: number, end: TiedEnd['end'] = 'strand'): TiedEnd => ({
  end,
  line: { material, strengthN: lb * LB },
})
const eye: TiedEnd = { end: 'eye' }
const ids = (chosen: ReturnType<typeof chooseKnots>) => chosen.suited.map(({ id }) => id)
const why = (chosen: ReturnType<typeof chooseKnots>, id: string) => chosen.others.find((each) => each.id === id)?.why

describe('the chooser', () => {
  test('every connection is offered or said why it is not, whatever matters most', () => {
    for (const wish of WISHES)
      for (const [above, below] of [
        [line('mono', 30), eye],
        [line('braid', 50), line('mono', 60)],
        [line('fluoro', 40), { end: 'hook' } as const],
        [line('wire', 60), eye],
        [{ end: 'loop' }, eye],
        [line('mono', 30, 'loop'), eye],
      ] as const) {
        const chosen = chooseKnots(catalogue, above, below, wish)
        expect(chosen.suited.length + chosen.others.length).toBe(Object.keys(KNOT_FACTS).length)
        for (const { strengthN, share, bulkM, lineUsedM } of chosen.suited) {
          expect(share).toBeGreaterThanOrEqual(0.5)
          for (const figure of [strengthN, bulkM]) expect(figure).toBeGreaterThan(0)
          expect(lineUsedM).toBeGreaterThanOrEqual(0)
        }
      }
  })

  test('through the guides braid meets its leader by a woven knot, and what is thick is said to be', () => {
    const chosen = chooseKnots(catalogue, line('braid', 50), line('mono', 60), 'guides')
    expect(ids(chosen).slice(0, 2).toSorted()).toEqual(['fg', 'pr'])
    expect(why(chosen, 'surgeonsJoin')).toBe('is too thick for the guides')
    expect(why(chosen, 'palomar')).toContain('not to another line')
  })

  test('by strength they fall, by speed the time rises', () => {
    const figures = (wish: 'strength' | 'speed', of: 'strengthN' | 'minutes') =>
      chooseKnots(catalogue, line('mono', 30), eye, wish).suited.map((choice) => choice[of])
    expect(figures('strength', 'strengthN')).toEqual(figures('strength', 'strengthN').toSorted((a, b) => b - a))
    expect(figures('speed', 'minutes')).toEqual(figures('speed', 'minutes').toSorted((a, b) => a - b))
  })

  test('what slips, what no hand draws down, and what does not swing are left out with the reason', () => {
    expect(why(chooseKnots(catalogue, line('braid', 30), eye, 'strength'), 'clinch')).toContain('less than half')
    const thick = chooseKnots(catalogue, line('mono', 300), eye, 'strength')
    expect(ids(thick)).toContain('crimpLoop')
    expect(why(thick, 'uni')).toBe('is not drawn down by hand in line so thick')
    const swinging = chooseKnots(catalogue, line('fluoro', 30), eye, 'swing')
    expect(ids(swinging)).toContain('nonSlipLoop')
    expect(ids(swinging)).not.toContain('palomar')
    expect(why(chooseKnots(catalogue, line('mono', 30), line('mono', 30), 'sea'), 'bimini')).toBe('doubles a line')
  })

  test('the weaker line decides, a double counts twice, and one’s own figure goes before the nominal', () => {
    const [weak] = chooseKnots(catalogue, line('mono', 20), line('mono', 60), 'strength').suited
    expect(weak!.strengthN).toBeLessThan(20 * LB)
    const palomar = (end: 'strand' | 'double', from = catalogue) =>
      chooseKnots(from, line('mono', 20, end), eye, 'strength').suited.find(({ id }) => id === 'palomar')!
    expect(palomar('double').strengthN).toBeCloseTo(2 * palomar('strand').strengthN, 9)
    const own = withOwn(catalogue, [{ connection: 'palomar', material: 'mono', mean: 0.6, spread: 0.05, tests: 6 }])
    expect(palomar('strand', own).figure).toMatchObject({ mean: 0.6, origin: 'own' })
  })

  test('how thick a knot is goes with the thicker of its lines, whichever side that is on', () => {
    const joins = (above: number, below: number) =>
      chooseKnots(catalogue, line('mono', above), line('mono', below), 'strength').suited.find(({ id }) => id === 'doubleUni')!
    const thick = lineDiameterM(catalogue, { material: 'mono', strengthN: 60 * LB })
    for (const [above, below] of [
      [40, 60],
      [60, 40],
    ] as const)
      expect(joins(above, below).bulkM).toBeCloseTo(KNOT_FACTS.doubleUni.bulk * thick, 12)
  })

  test.each([
    ['guides', ({ bulkM, share }) => bulkM / share],
    ['sea', ({ id, minutes, share }) => (minutes * KNOT_FACTS[id].coldFactor) / share],
    ['cold', ({ id, minutes }) => minutes * KNOT_FACTS[id].coldFactor],
  ] as [Wish, (choice: KnotChoice) => number][])('for “%s” the least of its own measure is first', (wish, measure) => {
    const measures = chooseKnots(catalogue, line('mono', 30), line('mono', 40), wish).suited.map(measure)
    expect(measures.length).toBeGreaterThan(2)
    expect(measures).toEqual(measures.toSorted((a, b) => a - b))
  })
})

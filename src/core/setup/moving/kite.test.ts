import { describe, expect, test } from 'vitest'
import { outfit, set, setupFor, usual } from '../../../../tests/fixtures/moving.ts'
import { LB } from '../../../../tests/fixtures/outfits.ts'
import { lineDiameterM } from '../../catalogue/materials.ts'
import { isHardware, isLine } from '../../documents/pieces.ts'
import { withMainLine } from '../../outfits/outfitLines.ts'
import { kiteLead } from '../../physics/flown/kiteLead.ts'
import { tipHeightM } from '../lineWanted.ts'
import { massOfKg } from '../masses.ts'
import {
  chartEndMperS,
  flownBait,
  GUST,
  gustLeadKg,
  hungKg,
  isTold,
  kiteInput,
  kiteLineOutM,
  leadBySlack,
  leadByWind,
  leadInStepsKg,
  mostWindMperS,
  ownedFor,
  ringLoadN,
} from './kite.ts'

describe('flown from a kite', () => {
  const mono = withMainLine(outfit, { material: 'mono', strengthN: 30 * LB })
  const setup = setupFor('kiteBait', undefined, mono)
  const way = usual('kite')
  const [short, long] = way.baits

  test('the long line wants more lead than the short, gusts more than the wind, and both more of a thicker line', () => {
    const lead = (bait: typeof short, times = 1) => flownBait(setup, usual('kite', { windMperS: times * 8 }), bait!)
    const [near, far, harder] = [lead(short), lead(long), lead(long, 1.2)]
    if (near.trouble !== undefined || far.trouble !== undefined || harder.trouble !== undefined) throw new Error('no answer')
    expect(far.steady.leadMassKg).toBeGreaterThan(near.steady.leadMassKg)
    expect(far.gust.leadMassKg).toBeGreaterThan(far.steady.leadMassKg)
    expect(harder.steady.leadMassKg).toBeGreaterThan(far.steady.leadMassKg)
    const thick = flownBait(
      { ...setup, outfit: withMainLine(mono, { strengthN: 60 * LB }) },
      usual('kite', { windMperS: 8 }),
      long!,
    )
    if (thick.trouble !== undefined) throw new Error(thick.trouble)
    expect(thick.gust.leadMassKg).toBeGreaterThan(far.gust.leadMassKg)
  })

  test('up to a wind the lead carried is enough: its gusts want just that', () => {
    const flown = flownBait(setup, way, long!)
    if (flown.trouble !== undefined) throw new Error(flown.trouble)
    const mostMperS = mostWindMperS(setup, way, long!, flown.carriedKg)!
    const wanted = flownBait(setup, { ...way, windMperS: mostMperS }, long!)
    if (wanted.trouble !== undefined) throw new Error(wanted.trouble)
    expect(wanted.gust.leadMassKg).toBeCloseTo(flown.carriedKg, 3)
    expect(flownBait(setup, way, { ...long!, leadKg: 2 })).toMatchObject({ carriedKg: 2 })
    expect(mostWindMperS(setup, way, long!, 2)).toBeUndefined()
    expect(GUST).toBe(1.3)
  })

  test('what hangs there besides lead helps; bait and hook are borne by the water', () => {
    const grams = hungKg(setup) * 1000
    expect(grams).toBeGreaterThan(10)
    const heavier = { ...setup, trace: set('marker', { massKg: 0.02 })(setup.trace) }
    expect(hungKg(heavier) * 1000).toBeCloseTo(grams + 10, 6)
    expect(hungKg({ ...setup, trace: set('hook-bait', { massKg: 1 })(setup.trace) }) * 1000).toBeCloseTo(grams, 9)
    expect(kiteInput(setup, way, long!, 6).hungMassKg * 1000).toBeCloseTo(grams, 9)
  })

  test('lead falls with slack, in gusts from more; its curves end where the belly is in the sea, past the slack that is set', () => {
    const { steady, gust, wetFrom, end } = leadBySlack(setup, usual('kite', { windMperS: 4 }), long!)
    for (const points of [steady, gust])
      for (const [i, { leadKg }] of points.slice(1).entries()) expect(leadKg).toBeLessThanOrEqual(points[i]!.leadKg)
    for (const [i, { slack, leadKg }] of gust.entries()) {
      expect(slack).toBe(steady[i]!.slack)
      expect(leadKg).toBeGreaterThanOrEqual(steady[i]!.leadKg)
      expect(leadKg).toBeCloseTo(gustLeadKg(setup, { ...usual('kite', { windMperS: 4 }), slack }, long!)!, 4)
    }
    expect(gust[0]!.leadKg).toBeGreaterThan(1.05 * steady[0]!.leadKg)
    const lowestM = (slack: number) => kiteLead(kiteInput(setup, { ...way, slack }, long!, 4)).lowestM
    expect(lowestM(wetFrom!)).toBeCloseTo(0, 0)
    const dry = steady.filter(({ slack }) => slack < wetFrom!)
    expect(dry.length).toBeGreaterThan(2)
    for (const { slack } of dry) expect(lowestM(slack)).toBeGreaterThan(0)
    expect(end).toBeCloseTo(wetFrom! + 0.02, 12)
    const last = steady.at(-1)!.slack
    expect([last >= end, steady.at(-2)!.slack < end]).toEqual([true, true])
    const slacker = leadBySlack(setup, usual('kite', { windMperS: 4, slack: 1.2 }), long!)
    expect([slacker.wetFrom, slacker.end]).toEqual([wetFrom, expect.closeTo(1.22, 12)])
    // What never comes to the sea is shown to a usual end.
    const high = leadBySlack(setup, usual('kite', { windMperS: 20 }), { ...short!, ringHeightM: 60, ringDistanceM: 10 })
    expect([high.wetFrom, high.end]).toEqual([undefined, expect.closeTo(1.14, 12)])
  })

  test('the line that is drawn goes from the tip to the ring, as long as its slack says', () => {
    const flown = flownBait(setup, way, long!)
    const points = isTold(flown) ? flown.line : []
    const [tip, ring] = [points[0]!, points.at(-1)!]
    expect([ring.x, ring.z]).toEqual([expect.closeTo(long!.ringDistanceM, 1), expect.closeTo(long!.ringHeightM, 1)])
    const lengthM = points.slice(1).reduce((sum, { x, z }, i) => sum + Math.hypot(x - points[i]!.x, z - points[i]!.z), 0)
    expect(lengthM / Math.hypot(ring.x - tip.x, ring.z - tip.z)).toBeCloseTo(way.slack, 2)
  })

  test('a line pulls on the kite’s line by what comes in to the ring and what goes down from it', () => {
    const lead = {
      lineToRingM: 1,
      ringTensionN: 2,
      ringAngleDeg: 0,
      wrapRad: Math.PI / 2,
      lowestM: 1,
      hungForceN: 0,
      leadMassKg: 0,
    }
    expect(ringLoadN(lead, 0)).toBeCloseTo(Math.hypot(2, 2), 12)
    expect(ringLoadN({ ...lead, ringAngleDeg: 90, wrapRad: Math.PI }, 0)).toBeCloseTo(4, 12)
    expect(ringLoadN(lead, 0.2)).toBeLessThan(ringLoadN(lead, 0))
  })

  test('lead grows with the wind, from none, the same by the chart as alone; a chart ends past the gusts, and is the same for winds near by', () => {
    const endMperS = chartEndMperS(way.windMperS)
    const points = leadByWind(setup, way, long!, endMperS)
    for (const [i, { leadKg }] of points.slice(1).entries()) expect(leadKg).toBeGreaterThanOrEqual(points[i]!.leadKg)
    for (const { windMperS, leadKg } of points)
      expect(leadKg).toBeCloseTo(kiteLead(kiteInput(setup, way, long!, windMperS)).leadMassKg, 4)
    expect(points.at(-1)!.windMperS).toBeCloseTo(endMperS, 12)
    expect([4, 5, 8, 12, 40].map(chartEndMperS)).toEqual([6, 12, 12, 18, 60])
    for (let windMperS = 0.5; windMperS <= 40; windMperS += 0.5)
      expect(chartEndMperS(windMperS)).toBeGreaterThan(GUST * windMperS)
  })

  test('a ring under the rod is told in words; of the sinkers owned the lightest that is enough is named', () => {
    expect(flownBait(setup, way, { ...short!, ringHeightM: 1 }).trouble).toMatch(/ring must be over the rod tip/)
    expect(flownBait(setup, { ...way, windMperS: 40 }, long!)).toBeDefined()
    expect(ownedFor(0.031, [0.06, 0.03, 0.09])).toBe(0.06)
    expect(ownedFor(0.2, [0.06])).toBeUndefined()
  })

  test('what hangs there is its lines by their thickness, its float and its hardware; the clip ring rides on the line', () => {
    const { trace, catalogue } = setup
    const linesKg = trace.pieces
      .filter(isLine)
      .map(
        (line) =>
          line.lengthM * (Math.PI / 4) * lineDiameterM(catalogue, line) ** 2 * catalogue.materials[line.material].densityKgperM3,
      )
    const hung = trace.pieces.filter(
      (piece) => piece.role === 'float' || (piece.role === 'hardware' && !isHardware(piece, 'clipRing')),
    )
    expect(trace.pieces.some((piece) => isHardware(piece, 'clipRing'))).toBe(true)
    const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)
    expect(hungKg(setup)).toBeCloseTo(sum(linesKg) + sum(hung.map((piece) => massOfKg(catalogue, piece))), 12)
  })

  test('friction of the ring eases what goes down from it by the capstan’s law', () => {
    const lead = { lineToRingM: 1, ringTensionN: 2, ringAngleDeg: 0, wrapRad: 1.2, lowestM: 1, hungForceN: 0, leadMassKg: 0 }
    expect(ringLoadN(lead, 0.2)).toBeCloseTo(Math.hypot(2, 2 * Math.exp(-0.24)), 12)
  })

  test('lead is had in steps of 5 g, and at least one; an owned sinker that is just enough is', () => {
    expect([0, 0.005, 0.0051, 0.0299].map((kg) => Math.round(1000 * leadInStepsKg(kg)))).toEqual([5, 5, 10, 30])
    expect(ownedFor(0.06, [0.09, 0.06, 0.03])).toBe(0.06)
  })

  test('the kite’s line is out straight from the rod’s tip to the ring', () => {
    const tipM = tipHeightM(setup)
    expect(kiteLineOutM(setup, { ...long!, ringDistanceM: 30, ringHeightM: tipM + 40 })).toBeCloseTo(50, 9)
  })

  test('a place without an answer is left out of a chart', () => {
    const under = { ...long!, ringHeightM: 0.5 }
    expect(leadByWind(setup, way, under, 12)).toEqual([])
    expect(leadBySlack(setup, way, under)).toMatchObject({ steady: [], gust: [], wetFrom: undefined })
    expect([gustLeadKg(setup, way, under), mostWindMperS(setup, way, under, 0.1)]).toEqual([undefined, undefined])
  })
})

import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { inWords, judged } from '../../../tests/fixtures/judgedDrafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { pieceNamed } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { withFields } from '../edit/changes.ts'
import { CAST } from '../moments/cast.ts'
import { type Body, streamAreaM2 } from './bodies.ts'
import { fishingModeOf } from './fishingMode.ts'
import { flightAreaM2 } from './flight.ts'
import { massOfKg } from './masses.ts'
import { prepareSetup } from './prepareSetup.ts'
import { onFloat } from './settling/onFloat.ts'
import { baitAreaM2, weightOf } from './settling/settling.ts'

const outfit = braidOutfit(50)
const conditions = { ...defaultConditions(), castStyle: 'overhead' as const }
const drafted = (family: Parameters<typeof draftOf>[0]) => draftOf(family, outfit, conditions).trace
const changed = (trace: Trace, id: string, change: object) => withFields(trace, id, change)
const idOf = (trace: Trace, role: Piece['role']) => trace.pieces.find((piece) => piece.role === role)!.id

describe('a bait or lure as it is measured', () => {
  const ledger = drafted('runningLedger')
  const bait = idOf(ledger, 'bait')
  const areaOf = (trace: Trace) => streamAreaM2({ trace, catalogue }, pieceNamed(trace, bait) as Body)

  test('its drag area is that of the ellipse of its length and depth, or its own; in the stream and in the air', () => {
    const measured = changed(ledger, bait, { lengthM: 0.3, depthM: 0.06 })
    expect(areaOf(measured)).toBeCloseTo((Math.PI / 4) * 0.3 * 0.06, 12)
    expect(areaOf(changed(measured, bait, { dragAreaM2: 0.004 }))).toBe(0.004)
    expect(areaOf(changed(ledger, bait, { lengthM: 0.3 }))).toBe(areaOf(ledger))
    expect(baitAreaM2({ trace: measured, catalogue }) - baitAreaM2({ trace: ledger, catalogue })).toBeCloseTo(
      areaOf(measured) - areaOf(ledger),
      12,
    )
    const flightOf = (trace: Trace) => flightAreaM2({ trace, catalogue }, pieceNamed(trace, bait), false)
    expect(flightOf(measured) / flightOf(ledger)).toBeCloseTo(areaOf(measured) / areaOf(ledger), 9)
  })

  test('a lure that is larger for its weight sinks slower; one that floats takes no line down', () => {
    const trace = drafted('straightLure')
    const lure = idOf(trace, 'lure')
    const [plain, large] = [trace, changed(trace, lure, { dragAreaM2: 0.02 })].map(
      (each) => weightOf({ trace: each, catalogue })!,
    )
    expect(large!.fallAreaM2).toBeGreaterThan(2 * plain!.fallAreaM2)
    expect(large!.dragCoefficient).toBeGreaterThan(2 * plain!.dragCoefficient)
    expect(weightOf({ trace: changed(trace, lure, { floats: true }), catalogue })).toBeUndefined()
  })

  test('a bait that floats makes its hook lighter in the water, and holds itself under a float', () => {
    const free = drafted('freeLine')
    const floating = changed(free, idOf(free, 'bait'), { floats: true })
    const density = (trace: Trace) => weightOf({ trace, catalogue })!.densityKgperM3
    expect(density(floating)).toBeLessThan(density(free))
    const float = drafted('slidingFloat')
    const lifted = changed(float, idOf(float, 'bait'), { floats: true })
    expect(onFloat({ trace: lifted, catalogue })!.loadN).toBeLessThan(onFloat({ trace: float, catalogue })!.loadN)
  })
})

describe('a jig head', () => {
  const bare = drafted('freeLine')
  const hook = idOf(bare, 'hook')
  const jig = changed(bare, hook, { headKg: 0.028 })

  test('weighs what its hook and its head weigh, and takes the line down as lead does', () => {
    const weight = weightOf({ trace: jig, catalogue })!
    expect(weight.massKg - massOfKg(catalogue, pieceNamed(bare, hook))).toBeCloseTo(0.028, 12)
    expect(weight).toMatchObject({ id: hook, densityKgperM3: 11340 })
  })

  test('carries the cast: further than the bare hook and bait', () => {
    const cast = (trace: Trace) => CAST.judge(prepareSetup(setupOf(trace, outfit, conditions)))!
    expect(cast(jig).carrier).toBe(hook)
    expect(cast(bare).carrier).toBe(idOf(bare, 'bait'))
    expect(cast(jig).rangeM.most).toBeGreaterThan(cast(bare).rangeM.most)
  })

  test('a design of one’s own that ends in one is worked', () => {
    const own = { ...jig, family: 'ownDesign' as const }
    expect(fishingModeOf({ ...own, pieces: own.pieces.filter(({ role }) => role !== 'float') })).toBe('worked')
    expect(fishingModeOf({ ...bare, family: 'ownDesign' })).toBe('swims')
  })
})

test('a nail weight counts with its lure or bait, an opened eye is weaker than the bend', () => {
  const mass = (text: string, role: string) => {
    const { trace } = inWords(text)
    return massOfKg(catalogue, trace.pieces.find((piece) => piece.role === role)!)
  }
  expect(mass('leader 2 m, J 2/0, soft lure 8 g nail 2 g', 'lure')).toBeCloseTo(0.01, 12)
  expect(mass('leader 2 m, J 2/0, dead bait 100 g nail 5 g', 'bait')).toBeCloseTo(0.105, 12)
  const hookN = (text: string) => judged(inWords(text)).run!.deciding.links.find(({ id }) => id === 'hook')!.strengthN
  expect(hookN('leader 2 m, J 2/0 opened') / hookN('leader 2 m, J 2/0')).toBeCloseTo(0.6, 12)
})

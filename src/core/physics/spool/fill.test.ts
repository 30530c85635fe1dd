import fc from 'fast-check'
import { expect, test } from 'vitest'
import { calculate } from '../../calculations/registry.ts'
import { CoreError } from '../../errors.ts'
import { type SpoolInput, spoolFill } from './fill.ts'

const reel = { capacityLengthM: 300, capacityDiameterM: 0.00035, arborRadiusM: 0.018, fullRadiusM: 0.027 }
const spool = fc.record({
  diameterM: fc.double({ min: 0.0002, max: 0.0004, noNaN: true }),
  lengthM: fc.double({ min: 50, max: 400, noNaN: true }),
  out: fc.double({ min: 0, max: 1, noNaN: true }),
})
const wind = (row: { diameterM: number; lengthM: number; out: number }): SpoolInput => ({
  ...reel,
  layers: [{ id: 'main', diameterM: row.diameterM, lengthM: row.lengthM }],
  lineOutM: row.out * row.lengthM,
})
const codeOf = (act: () => unknown) => {
  try {
    act()
  } catch (error) {
    return error instanceof CoreError ? error.code : error
  }
}

test('an empty spool is at the arbor, a full one at the rim', () => {
  const full = spoolFill({ ...reel, layers: [{ id: 'main', diameterM: 0.0003 }], lineOutM: 0 })
  expect(full.radiusFullM).toBeCloseTo(0.027, 12)
  const out = full.layers[0]!.lengthM
  expect(spoolFill({ ...reel, layers: [{ id: 'main', diameterM: 0.0003 }], lineOutM: out }).radiusM).toBeCloseTo(0.018, 12)
})

test('the volume of line that left is the volume the spool lost', () => {
  fc.assert(
    fc.property(spool, (row) => {
      const filled = spoolFill(wind(row))
      const lost = (filled.radiusFullM ** 2 - filled.radiusM ** 2) / (0.027 ** 2 - 0.018 ** 2)
      expect(lost).toBeCloseTo((row.out * row.lengthM * row.diameterM ** 2) / (300 * 0.00035 ** 2), 9)
    }),
  )
})

test('scaled in length, radii scale and shares stay', () => {
  fc.assert(
    fc.property(spool, fc.double({ min: 0.1, max: 10, noNaN: true }), (row, L) => {
      const a = spoolFill(wind(row))
      const given = wind(row)
      const b = spoolFill({
        capacityLengthM: given.capacityLengthM * L,
        capacityDiameterM: given.capacityDiameterM * L,
        arborRadiusM: given.arborRadiusM * L,
        fullRadiusM: given.fullRadiusM * L,
        layers: given.layers.map((layer) => ({ ...layer, diameterM: layer.diameterM * L, lengthM: layer.lengthM! * L })),
        lineOutM: given.lineOutM * L,
      })
      expect(b.radiusM / (L * a.radiusM)).toBeCloseTo(1, 9)
      expect(b.fillShare).toBeCloseTo(a.fillShare, 9)
    }),
  )
})

test('more line out never lowers the drag’s growth', () => {
  fc.assert(
    fc.property(spool, (row) => {
      const less = spoolFill({ ...wind(row), lineOutM: row.out * row.lengthM * 0.5 })
      expect(spoolFill(wind(row)).dragGrowth).toBeGreaterThanOrEqual(less.dragGrowth)
    }),
  )
})

test('over-full is a result; no room for an open layer and line beyond the spool are codes', () => {
  const layers = [{ id: 'main', diameterM: 0.00035, lengthM: 330 }]
  expect(spoolFill({ ...reel, layers, lineOutM: 0 }).fillShare).toBeCloseTo(1.1, 9)
  expect(codeOf(() => spoolFill({ ...reel, layers, lineOutM: 331 }))).toBe('line-out-over-spool')
  expect(codeOf(() => spoolFill({ ...reel, layers: [...layers, { id: 'top', diameterM: 0.0003 }], lineOutM: 0 }))).toBe(
    'overfull',
  )
})

test('two open layers are an issue, not a guess', () => {
  const open = { id: 'a', diameterM: 0.0003 }
  const outcome = calculate('spool.fill', { ...reel, layers: [open, { ...open, id: 'b' }], lineOutM: 0 })
  expect(outcome.ok ? [] : outcome.issues[0]!.path).toEqual(['layers'])
})

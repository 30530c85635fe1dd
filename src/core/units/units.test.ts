import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { formatComputed, formatEntered, formatTape } from './formatQuantity.ts'
import { describeHookSize, parseHookSize } from './hookSize.ts'
import { parseQuantity } from './parseQuantity.ts'
import { QUANTITIES, type Quantity } from './quantities.ts'

/** Text, and the SI value worked by hand from the definitions of the units. */
const READ: [Quantity, string, number][] = [
  ['strength', '30lb', 133.446648457815],
  ['strength', '13.6 kg', 133.37044],
  ['strength', '134 N', 134],
  ['strength', '1 kN', 1000],
  ['strength', '30', 133.446648457815],
  ['strength', '30#', 133.446648457815],
  ['diameter', 'PE 1.5', 0.000202083],
  ['diameter', 'pe1', 0.000165],
  ['diameter', '0.35mm', 0.00035],
  ['diameter', '0,35 mm', 0.00035],
  ['length', '4 ft 6', 1.3716],
  ['length', `4'6"`, 1.3716],
  ['length', '18"', 0.4572],
  ['length', '1.2 m', 1.2],
  ['length', '30 fm', 54.864],
  ['length', '50 yd', 45.72],
  ['length', '1 m 20 cm', 1.2],
  ['mass', '3 oz', 0.085048569375],
  ['mass', '1 1/2 oz', 0.0425242846875],
  ['mass', '85g', 0.085],
  ['mass', '1 lb 8 oz', 0.680388555],
  ['speed', '1.2kn', 0.6173333],
  ['speed', '0.6 m/s', 0.6],
]

test.each(READ)('%s “%s” is %d in SI', (quantity, text, si) => {
  const parsed = parseQuantity(quantity, text, quantity === 'strength' ? 'lb' : Object.keys(QUANTITIES[quantity].units)[0]!)
  expect(parsed.ok ? parsed.si : parsed.message).toBeCloseTo(si, 6)
})

/** Text that must not be guessed at, and a word of the message that says what was understood. */
const REFUSED: [Quantity, string, RegExp][] = [
  ['speed', '1.2 kN', /“kN” is a strength/],
  ['strength', '30 kn', /“kn” is a speed/],
  ['strength', '30 KN', /knots or kilonewtons/],
  ['length', '2/0', /hook size/],
  ['strength', '1,500', /1\.500 or 1500/],
  ['length', '4 6', /two numbers/],
  ['mass', '8 oz 1 lb', /./],
  ['length', '4 kg 6', /is a strength|two numbers/],
  ['length', '3 furlongs', /“furlongs” is not a unit of length: use m, cm/],
  ['mass', 'heavy', /does not start with a number/],
  ['mass', '', /such as 150 g/],
  ['length', '1/0 m', /divides by zero/],
  ['strength', '1e9 lb', /“e” is not a unit|“e9 lb” is not a value/],
  ['diameter', '#4', /PE number or a wire/],
  ['strength', '9'.repeat(400), /too long for a strength/],
]

test.each(REFUSED)('%s “%s” is refused and says why', (quantity, text, message) => {
  const parsed = parseQuantity(quantity, text, quantity === 'length' ? 'ft' : 'lb')
  expect(parsed.ok).toBe(false)
  expect(parsed.ok ? '' : parsed.message).toMatch(message)
})

test('a minus sign is read, for the field to refuse', () => {
  expect(parseQuantity('length', '−2 m', 'm')).toMatchObject({ ok: true, si: -2, unit: 'm' })
})

test('a number is bare only where no unit was typed with it', () => {
  const bare = (text: string) => {
    const parsed = parseQuantity('mass', text, 'g')
    return parsed.ok && parsed.bare
  }
  expect(['4', '1 1/2', '4 g', '4oz', '1 lb 4 oz'].map(bare)).toEqual([true, true, false, false, false])
})

test('what was typed comes back as typed: 30 lb is never 29.99', () => {
  const units = (Object.keys(QUANTITIES) as Quantity[]).flatMap((quantity) =>
    Object.keys(QUANTITIES[quantity].units).map((unit) => [quantity, unit] as const),
  )
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.integer({ min: 1, max: 99_999 }),
      fc.integer({ min: 0, max: 2 }),
      ([quantity, unit], digits, decimals) => {
        const typed = String(digits / 10 ** decimals)
        const parsed = parseQuantity(quantity, `${typed} ${unit}`, unit)
        if (!parsed.ok) throw new Error(parsed.message)
        expect(formatEntered(quantity, parsed.si, unit)).toEqual({ value: typed, unit })
      },
    ),
  )
})

test('a length typed in the other system is shown with the decimals of a computed figure', () => {
  const shown = (m: number, unit: string) => formatEntered('length', m, unit).value
  expect([shown(5 * 0.3048, 'm'), shown(65 * 0.3048, 'm'), shown(1.375, 'm'), shown(0.0005, 'm'), shown(1.2, 'ft')]).toEqual([
    '1.52',
    '20',
    '1.375',
    '0.0005',
    '3.9',
  ])
})

test('three figures after a mark are decimals after the reader’s own sign, and asked about after the other', () => {
  const read = (text: string, sign: '.' | ',') => {
    const parsed = parseQuantity('length', text, 'm', sign)
    return parsed.ok ? parsed.si : parsed.message
  }
  expect([read('1,375', ','), read('1.375', '.'), read('2.5', ','), read('2,5', '.')]).toEqual([1.375, 1.375, 2.5, 2.5])
  expect(read('1.375', ',')).toMatch(/1,375 or 1375/)
  expect(read('1,375', '.')).toMatch(/1\.375 or 1375/)
})

test('a fish in stone, with pounds after it', () => {
  expect(parseQuantity('fish', '11 st 4', 'kg')).toMatchObject({ ok: true, unit: 'st', si: expect.closeTo(158 * 0.45359237, 9) })
  expect(formatComputed('fish', 158 * 0.45359237, 'st')).toEqual({ value: '11.3', unit: 'st' })
})

test('computed figures keep the decimals of their unit, until they are too large for decimals to be worth anything', () => {
  const shown = (si: number, unit: string) => formatComputed(unit === 'm' ? 'length' : 'strength', si, unit).value
  expect([shown(41.8, 'lb'), shown(88, 'lb'), shown(133.4, 'lb')]).toEqual(['9.4', '19.8', '30'])
  expect([shown(1.2, 'm'), shown(9.876, 'm'), shown(30.31, 'm')]).toEqual(['1.20', '9.88', '30'])
  // By the tape every centimetre counts, whatever the size.
  expect(formatTape(30.314, 'm').value).toBe('30.31')
  expect([9.56, 10.44].map((m) => formatComputed('depth', m, 'm').value)).toEqual(['9.6', '10.4'])
})

describe('hook sizes', () => {
  test('grow through 10, 2, 1, 1/0, 2/0', () => {
    const steps = ['10', '#2', 'size 1', '1/0', '2 / 0'].map((text) => {
      const parsed = parseHookSize(text)
      return parsed.ok ? parsed.size.step : Number.NaN
    })
    expect(steps).toEqual([-9, -1, 0, 1, 2])
  })
  test('2 is echoed as small, so that it is not taken for 2/0', () => {
    const parsed = parseHookSize('2')
    expect(parsed.ok && describeHookSize(parsed.size)).toBe('size 2 (small; not 2/0)')
  })
  test.each(['2/1', '0', '30/0', 'large', ''])('“%s” is refused', (text) => expect(parseHookSize(text).ok).toBe(false))
})

test('fractions as they are typed and as one letter', () => {
  const oz = 0.028349523125
  for (const [typed, unit, si] of [
    ['1½ ft', 'm', 1.5 * 0.3048],
    ['3/4 oz', 'g', 0.75 * oz],
    ['¾oz', 'g', 0.75 * oz],
    ['1 1/2', 'oz', 1.5 * oz],
    ['1 1⁄2 oz', 'g', 1.5 * oz],
    ['2⅛ oz', 'g', 2.125 * oz],
  ] as const) {
    const read = parseQuantity(typed.includes('ft') ? 'length' : 'mass', typed, unit)
    expect(read.ok ? read.si : read.message, typed).toBeCloseTo(si, 12)
  }
})

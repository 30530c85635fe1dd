import fc from 'fast-check'
import { expect, test } from 'vitest'
import { UNITS } from '../../../tests/fixtures/show.ts'
import { parseQuantity } from '../../core/units/parseQuantity.ts'
import { phraseText, say } from '../../core/units/phrase.ts'
import type { Formats } from './formats.ts'
import { showIn } from './show.ts'

const showAs = (formats: Partial<Formats>) => showIn(UNITS, { decimalSign: '.', clock: '24', dayOrder: 'day', ...formats })

test('with a decimal comma no figure keeps a point, and what is shown reads back as the same value', () => {
  const show = showAs({ decimalSign: ',' })
  expect([show.number(1.25, 2), show.percent(0.0125, 1), show.depth(9.56)]).toEqual(['1,25', '1,3\u00a0%', '9,6 m'])
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 99_999 }), (cm) => {
      const lengthM = cm / 100
      const text = show.entered('length', lengthM)
      expect(text).not.toContain('.')
      expect(parseQuantity('length', text, 'm', ',')).toMatchObject({ ok: true, si: expect.closeTo(lengthM, 9) })
    }),
  )
})

test('a number in a sentence of the core takes the sign too, and a whole one stays whole', () => {
  const show = showAs({ decimalSign: ',' })
  const written = phraseText(say`It holds ${1.5} times the pull; ${3} times is best.`, ({ si, ...figure }) =>
    'decimals' in figure ? show.number(si, figure.decimals) : String(si),
  )
  expect(written).toBe('It holds 1,5 times the pull; 3 times is best.')
})

test.each([
  ['2026-11-24T00:05:00Z', '00:05', '12:05\u00a0am'],
  ['2026-11-24T06:40:00Z', '06:40', '6:40\u00a0am'],
  ['2026-11-24T12:00:00Z', '12:00', '12:00\u00a0pm'],
  ['2026-11-24T23:59:00Z', '23:59', '11:59\u00a0pm'],
])('%s is %s or %s', (instant, in24, in12) => {
  const at = Date.parse(instant)
  expect(showAs({ clock: '24' }).clock(at, 'UTC')).toBe(in24)
  expect(showAs({ clock: '12' }).clock(at, 'UTC')).toBe(in12)
})

test('hours of a day from its begin to its end', () => {
  const hours = (clock: '24' | '12') => [0, 6, 12, 18, 24].map(showAs({ clock }).hour)
  expect(hours('24')).toEqual(['00:00', '06:00', '12:00', '18:00', '24:00'])
  expect(hours('12')).toEqual(['12:00\u00a0am', '6:00\u00a0am', '12:00\u00a0pm', '6:00\u00a0pm', 'midnight'])
})

test('a day in each order', () => {
  const orders = (['day', 'month', 'year'] as const).map((dayOrder) => showAs({ dayOrder }).date('2026-11-24'))
  expect(orders).toEqual(['24 Nov 2026', 'Nov 24, 2026', '2026-11-24'])
  for (const none of ['', '2026-', new Date(Number.NaN)]) expect(showAs({}).date(none)).toBe('–')
})

import { expect, test } from 'vitest'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { inImperial as show } from '../../../tests/fixtures/show.ts'
import type { DayEvent } from '../../core/plan/dayEvents.ts'
import { compassPoint, daysFrom, eventWords, sinkerWords } from './waterWords.ts'

test.each([
  [0, 'N'],
  [11.2, 'N'],
  [11.3, 'NNE'],
  [45, 'NE'],
  [180, 'S'],
  [269, 'W'],
  [348.8, 'N'],
  [360, 'N'],
])('%d° is %s', (deg, point) => expect(compassPoint(deg)).toBe(point))

test.each([
  [{ kind: 'high', heightM: 3.048 }, 'High water 10.0 ft'],
  [{ kind: 'low', heightM: 0.3048 }, 'Low water 1.0 ft'],
  [{ kind: 'slack', rateMperS: 0.1028889 }, 'Slack, 0.2 kn'],
  [{ kind: 'change', to: { shape: 'pear', massKg: 0.1700971387 } }, 'To 6 oz pear'],
  [{ kind: 'change', to: { shape: 'pear', massKg: 0.1700971387, number: '6' } }, 'To 6 oz (no. 6) pear'],
  [{ kind: 'change', to: undefined }, 'No sinker in the box holds'],
  [{ kind: 'dusk' }, 'Dark'],
  [{ kind: 'moonrise' }, 'Moonrise'],
] as const)('an event in the reader’s own units: %o', (event, words) => {
  expect(eventWords(catalogue, { timeMs: 0, ...event } as DayEvent, show)).toBe(words)
})

test('a sinker’s shape is told only where it is wanted', () => {
  const sinker = { shape: 'gripWire', massKg: 0.0283495231 } as const
  expect([sinkerWords(catalogue, sinker, show), sinkerWords(catalogue, sinker, show, false)]).toEqual(['1 oz wired grip', '1 oz'])
})

test('days between two instants', () => {
  const day = 86_400_000
  expect([0.4, -0.4, 1, 3.2, -1, -6].map((days) => daysFrom(0, days * day))).toEqual([
    'today',
    'today',
    'in 1 day',
    'in 3 days',
    '1 day ago',
    '6 days ago',
  ])
})

import { expect, test } from 'vitest'
import { readHeightCsv } from '../../../files/heightCsv.ts'
import { readTides, type TypedTide } from './readTides.ts'

const DAY = { date: '2026-11-24', timeZone: 'Europe/London', unitM: 1, heights: [] }
const rows = (...all: [string, string][]): TypedTide[] => all.map(([time, height]) => ({ time, height }))
const FOUR = rows(['0512', '4,6'], ['11:20', '0.9'], ['17.35', '4.4'], ['2348', '1.1'])

test('four tides typed are those of the same table as a file, to the minute', () => {
  const file = readHeightCsv(
    'date,time,height_m\n2026-11-24,05:12,4.6\n2026-11-24,11:20,0.9\n2026-11-24,17:35,4.4\n2026-11-24,23:48,1.1',
    DAY.timeZone,
  )
  expect(file.ok && readTides(FOUR, DAY)).toEqual({ ok: true, heights: file.ok && file.value })
})

test('feet are read as feet; a day typed again takes the place of what it had, and other days stay', () => {
  const first = readTides(FOUR, DAY)
  const heights = first.ok ? first.heights : []
  const next = readTides(rows(['0601', '15'], ['1210', '3']), { ...DAY, date: '2026-11-25', unitM: 0.3048, heights })
  expect(next.ok && next.heights.map(({ heightM }) => Number(heightM.toFixed(3)))).toEqual([4.6, 0.9, 4.4, 1.1, 4.572, 0.914])
  const again = readTides(FOUR.slice(0, 3), { ...DAY, heights: next.ok ? next.heights : [] })
  expect(again.ok && again.heights).toHaveLength(5)
})

test.each([
  ['half a row yet', rows(['0512', '4.6'], ['1120', '']), undefined],
  ['one tide yet', rows(['0512', '4.6']), undefined],
  ['no time', rows(['25:00', '4.6'], ['1120', '0.9']), '“25:00” is not a time, such as 06:40.'],
  ['no height', rows(['0512', 'high'], ['1120', '0.9']), '“high” is not a height up to 20 m.'],
  ['too high', rows(['0512', '46'], ['1120', '0.9']), '“46” is not a height up to 20 m.'],
  ['back in time', rows(['1120', '4.6'], ['0512', '0.9']), 'Each tide must be later than the one before it.'],
  ['no turn', rows(['0512', '1'], ['1120', '2'], ['1735', '3']), 'High and low water must take turns: one height is neither.'],
])('%s changes nothing', (_, typed, fault) => {
  const heights = [{ at: '2026-11-20T10:00:00.000Z', heightM: 1 }]
  expect(readTides(typed, { ...DAY, heights })).toMatchObject(fault ? { ok: false, fault } : { ok: true, heights })
})

test('a row half typed, and a row at fault, are named by their place', () => {
  expect(readTides(rows(['0512', '4.6'], ['1120', '']), DAY)).toMatchObject({ half: 1 })
  expect(readTides(rows(['0512', '4.6'], ['1175', '0.9']), DAY)).toMatchObject({ row: 1 })
  expect(readTides(FOUR, DAY)).not.toHaveProperty('half')
})

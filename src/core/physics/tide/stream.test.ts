import { expect, test } from 'vitest'
import { type StreamInput, tideStream } from './stream.ts'

const input: StreamInput = {
  hourFromHighWater: 0,
  tidalRangeM: 4,
  neapRangeM: 2,
  springRangeM: 4,
  table: [
    { hour: -6, springMperS: 1, neapMperS: 0.5, directionDeg: 90 },
    { hour: 0, springMperS: 0.8, neapMperS: 0.4, directionDeg: 0 },
    { hour: 6, springMperS: 0.8, neapMperS: 0.4, directionDeg: 180 },
  ],
}
const at = (more: Partial<StreamInput>) => tideStream({ ...input, ...more })

test('at springs and neaps the rows themselves; halfway in range, halfway in rate; under neaps it goes on down to nothing', () => {
  expect(at({}).rateMperS).toBeCloseTo(0.8, 12)
  expect(at({ tidalRangeM: 2 }).rateMperS).toBeCloseTo(0.4, 12)
  expect(at({ tidalRangeM: 3 }).rateMperS).toBeCloseTo(0.6, 12)
  expect(at({ tidalRangeM: 0 })).toEqual({ rateMperS: 0, directionDeg: null })
})

test('between two rows the velocity is a vector: streams that oppose meet in slack water', () => {
  const opposed = at({ hourFromHighWater: 3, table: input.table.slice(1) })
  expect(opposed.rateMperS).toBeCloseTo(0, 12)
  const { rateMperS, directionDeg } = at({ hourFromHighWater: -3, table: input.table.slice(0, 2) })
  expect(rateMperS).toBeCloseTo(Math.hypot(0.5, 0.4), 12)
  expect(directionDeg).toBeCloseTo((Math.atan2(0.5, 0.4) * 180) / Math.PI, 9)
})

test('two rows of one hour are one: the first', () => {
  const table = [input.table[0]!, { ...input.table[0]!, springMperS: 3 }, ...input.table.slice(1)]
  expect(at({ hourFromHighWater: -4, table })).toEqual(at({ hourFromHighWater: -4 }))
})

test('the end rows hold for half an hour more, and no longer', () => {
  expect(at({ hourFromHighWater: -6.5 })).toEqual(at({ hourFromHighWater: -6 }))
  for (const hourFromHighWater of [6.6, -7, Number.NaN])
    expect(() => at({ hourFromHighWater })).toThrow(expect.objectContaining({ code: 'hour-outside-table' }))
  expect(() => at({ springRangeM: 2 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

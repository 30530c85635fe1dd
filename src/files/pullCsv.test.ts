import { describe, expect, test } from 'vitest'
import { LB } from '../../tests/fixtures/outfits.ts'
import { readPullCsv, writePullCsv } from './pullCsv.ts'

const HEAD = 'when,knot,turns,material,line,load,parted,wet,note\n'
const ROW = '2026-11-20,grinner,5,mono,30 lb,25.2,knot,yes,from a new spool\n'
const read = (text: string) => {
  const result = readPullCsv(text)
  if (!result.ok) throw new Error(JSON.stringify(result.faults))
  return result.value
}

describe('pulls as a table', () => {
  test('are read as people write them, a knot by any of its names', () => {
    expect(read(HEAD + ROW)).toEqual([
      expect.objectContaining({
        kind: 'pull',
        at: '2026-11-20T00:00:00.000Z',
        connection: 'uni',
        turns: 5,
        material: 'mono',
        lineN: expect.closeTo(30 * LB, 6),
        loadN: expect.closeTo(25.2 * LB, 6),
        parted: 'knot',
        wet: true,
        note: 'from a new spool',
      }),
    ])
  })

  test.each([
    ['grinner', 'granny', 'knot: '],
    ['mono', 'string', 'material: '],
    ['2026-11-20', 'last week', 'when: '],
    ['30 lb', '30 kn', 'line: '],
    ['25.2', '-4', 'load: '],
    [',knot,', ',somewhere,', 'parted: '],
    [',5,', ',half,', 'turns: '],
    [',knot,', ',,', 'parted: '],
  ])('%s as %s is refused by its line and column', (was, is, message) => {
    expect(readPullCsv(HEAD + ROW + ROW.replace(was, is))).toEqual({
      ok: false,
      faults: [{ line: 3, message: expect.stringContaining(message) }],
    })
  })

  test('of 500 lines each wrong one is named, and nothing is taken', () => {
    const rows = Array.from({ length: 500 }, (_, i) => (i % 200 === 50 ? ROW.replace('25.2', 'lots') : ROW))
    const result = readPullCsv(HEAD + rows.join(''))
    expect(result.ok ? [] : result.faults.map(({ line }) => line)).toEqual([52, 252, 452])
  })

  test('the same table read twice is the same pulls; two lines alike are two', () => {
    const [first, again] = [read(HEAD + ROW + ROW), read(HEAD + ROW + ROW)]
    expect(first.map(({ id }) => id)).toEqual(again.map(({ id }) => id))
    expect(new Set(first.map(({ id }) => id)).size).toBe(2)
    const many = Array.from({ length: 1000 }, (_, i) => ROW.replace('25.2', String(20 + i / 1000)))
    expect(new Set(read(HEAD + many.join('')).map(({ id }) => id)).size).toBe(1000)
  })

  test('a line pulled by itself has no knot, and its label for its line; there and back too', () => {
    const [straight] = read(`${HEAD}2026-11-20,None,,fluoro,20 lb,23 lb,,,\n`)
    expect(straight).toEqual({
      formatVersion: 1,
      kind: 'straight',
      id: straight!.id,
      at: '2026-11-20T00:00:00.000Z',
      material: 'fluoro',
      labelN: expect.closeTo(20 * LB, 6),
      loadN: expect.closeTo(23 * LB, 6),
      wet: false,
    })
    const [back] = read(writePullCsv([straight!]))
    expect(back).toMatchObject({ kind: 'straight', material: 'fluoro', loadN: expect.closeTo(23 * LB, 6) })
  })

  test('written and read again, all but the ids is the same', () => {
    const [pull] = read(HEAD + ROW)
    const spoolId = '20000000-0000-4000-8000-000000000001'
    const told = [pull!, { ...pull!, discarded: 'nicked', wet: false, spoolId }]
    for (const [i, back] of read(writePullCsv(told)).entries()) {
      expect({ ...back, id: '' }).toEqual({ ...told[i], id: '', lineN: expect.anything(), loadN: back.loadN })
      expect(back.loadN / told[i]!.loadN).toBeCloseTo(1, 10)
    }
  })
})

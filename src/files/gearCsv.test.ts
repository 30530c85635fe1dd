import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contractArb } from '../../tests/fixtures/contractArb.ts'
import { type Gear, gearSchema } from '../core/documents/gear.ts'
import { readGearCsv, writeGearCsv } from './gearCsv.ts'

const HEAD = 'kind,name,material,pattern,size,shape,metal,type,strength,diameter,length,weight,spins\n'

describe('the box as a table', () => {
  test('quantities are read as people write them', () => {
    const read = readGearCsv(
      `${HEAD}sinker,six ounces,,,,bomb,,,,,,6 oz,\nline,new spool,braid,,,,,,30,0.28,300 yd,,\nlure,spinner,,,,,,,,,,28,yes\nhardware,50 lb snap,,,,,,snapSwivel,50 lb,,,,\n`,
    )
    const near = (si: number) => expect.closeTo(si, 9)
    expect(read.ok && read.value).toMatchObject([
      { kind: 'sinker', massKg: near(6 * 0.028349523125) },
      { kind: 'line', strengthN: near(30 * 4.4482216152605), diameterM: near(0.00028), lengthM: near(300 * 0.9144) },
      { kind: 'lure', massKg: near(0.028), spins: true },
      { kind: 'hardware', type: 'snapSwivel', strengthN: near(50 * 4.4482216152605) },
    ])
  })

  test('every wrong line is named, and nothing is taken in', () => {
    const read = readGearCsv(
      `${HEAD}sinker,good,,,,bomb,,,,,,100 g,\nanchor,what,,,,,,,,,,,\nhook,wrong,,j,2/1,,,,,,,,\nsinker,heavy,,,,bomb,,,,,,3 kn,\nsinker,,,,,bomb,,,,,,100 g,\n`,
    )
    expect(read.ok).toBe(false)
    expect(read.ok ? [] : read.faults.map(({ line }) => line)).toEqual([3, 4, 5, 6])
    expect(read.ok ? '' : read.faults[1]!.message).toContain('hook size')
  })

  test('written and read again, what is owned is the same', () => {
    const items = fc.array(contractArb(gearSchema) as fc.Arbitrary<Gear>, { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(items, (box) => {
        // As it is stored: text without blanks at its ends. What a spreadsheet would run, and an empty size, are written otherwise.
        const plain = box
          .flatMap((item) => gearSchema.safeParse(item).data ?? [])
          .filter((item) =>
            Object.values(item).every((value) => typeof value !== 'string' || /^[\p{L}\p{N}]/u.test(value.trim())),
          )
          .map((item) => ('size' in item && item.size ? { ...item, size: item.size.trim() } : item))
        if (plain.length === 0) return
        const read = readGearCsv(writeGearCsv(plain))
        expect(read.ok, JSON.stringify(read)).toBe(true)
        if (!read.ok) return
        for (const [i, item] of read.value.entries()) {
          for (const [field, value] of Object.entries(plain[i]!)) {
            const back = (item as Record<string, unknown>)[field]
            if (typeof value === 'number') expect(Math.abs((back as number) / value - 1)).toBeLessThan(1e-10)
            else if (typeof value === 'boolean') expect(back ?? false).toBe(value)
            else expect(back).toBe(value)
          }
        }
      }),
      { numRuns: 60 },
    )
  })
})

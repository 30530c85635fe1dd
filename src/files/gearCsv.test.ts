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
    expect(read.ok && read.value.map(({ item }) => item)).toMatchObject([
      { kind: 'sinker', massKg: near(6 * 0.028349523125) },
      { kind: 'line', strengthN: near(30 * 4.4482216152605), diameterM: near(0.00028), lengthM: near(300 * 0.9144) },
      { kind: 'lure', massKg: near(0.028), spins: true },
      { kind: 'hardware', type: 'snapSwivel', strengthN: near(50 * 4.4482216152605) },
    ])
  })

  test('what is on hand: pieces, or the lengths on spools; written and read again it is the same', () => {
    const table = (kind: string, onHand: string) =>
      readGearCsv(
        kind === 'line'
          ? `kind,name,material,strength,length,on hand\nline,spool,mono,30,100 m,${onHand}\n`
          : `kind,name,pattern,size,on hand,least,in a pack,pack cost,kept in,bought\nhook,h,j,2/0,${onHand},10,25,6.5,tin,2026-10-01\n`,
      )
    const rows = (read: ReturnType<typeof table>) => (read.ok ? read.value : [])
    expect(rows(table('hook', '12'))[0]).toMatchObject({
      onHand: [12],
      item: { minimumCount: 10, packCount: 25, packCost: 6.5, keptIn: 'tin', boughtOn: '2026-10-01' },
    })
    expect(rows(table('line', '62 m + 840 cm'))[0]!.onHand).toEqual([62, expect.closeTo(8.4, 9)])
    expect(rows(table('hook', ''))[0]).not.toHaveProperty('onHand')
    for (const wrong of ['-3', '2.5', 'many', '1e12']) expect(table('hook', wrong), wrong).toMatchObject({ ok: false })
    for (const wrong of ['-3 m', '5 lb', '4 m + ']) expect(table('line', wrong), wrong).toMatchObject({ ok: false })
    for (const read of [rows(table('hook', '12')), rows(table('line', '62 m + 8.4 m'))])
      expect(rows(readGearCsv(writeGearCsv(read)))).toEqual(read)
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
        const read = readGearCsv(writeGearCsv(plain.map((item) => ({ item }))))
        expect(read.ok, JSON.stringify(read)).toBe(true)
        if (!read.ok) return
        for (const [i, { item }] of read.value.entries()) {
          for (const [field, value] of Object.entries(plain[i]!)) {
            const back = (item as Record<string, unknown>)[field]
            if (back === value) continue
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

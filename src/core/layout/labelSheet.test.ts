import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CoreError } from '../errors.ts'
import { FOOT_MM, type LabelGrid, labelPages, labelParts, PAPERS } from './labelSheet.ts'

const sheets = fc.record({
  kind: fc.constant('sheet' as const),
  paper: fc.constantFrom(...(Object.keys(PAPERS) as (keyof typeof PAPERS)[])),
  columns: fc.integer({ min: 1, max: 6 }),
  rows: fc.integer({ min: 1, max: 20 }),
  marginXMm: fc.double({ min: 0, max: 25, noNaN: true }),
  marginYMm: fc.double({ min: 0, max: 25, noNaN: true }),
  gapMm: fc.double({ min: 0, max: 8, noNaN: true }),
  skip: fc.nat({ max: 40 }),
})

test('every label has a place of its own on the paper, clear of the scale bar; its code and its text lie within it', () => {
  fc.assert(
    fc.property(sheets, fc.integer({ min: 1, max: 90 }), (grid, count) => {
      let pages: ReturnType<typeof labelPages>
      try {
        pages = labelPages(grid, count)
      } catch (error) {
        expect(error).toBeInstanceOf(CoreError)
        return
      }
      expect(pages.reduce((sum, { boxes }) => sum + boxes.length, 0)).toBe(count)
      for (const { boxes, widthMm, heightMm } of pages) {
        for (const box of boxes) {
          expect(box.xMm + box.widthMm).toBeLessThanOrEqual(widthMm + 1e-9)
          expect(box.yMm + box.heightMm).toBeLessThanOrEqual(heightMm - FOOT_MM + 1e-9)
          const { code, text } = labelParts(box)
          expect(code.xMm).toBeGreaterThan(box.xMm)
          expect(code.yMm + code.heightMm).toBeLessThan(box.yMm + box.heightMm)
          expect(text.xMm).toBeGreaterThan(code.xMm + code.widthMm)
          expect(text.xMm + text.widthMm).toBeLessThan(box.xMm + box.widthMm)
        }
        const places = new Set(boxes.map(({ xMm, yMm }) => `${xMm.toFixed(6)} ${yMm.toFixed(6)}`))
        expect(places.size).toBe(boxes.length)
      }
    }),
  )
})

test('labels that were used are left out on the first sheet only', () => {
  const grid: LabelGrid = { kind: 'sheet', paper: 'A4', columns: 3, rows: 8, marginXMm: 7, marginYMm: 12, gapMm: 2, skip: 22 }
  expect(labelPages(grid, 30).map(({ boxes }) => boxes.length)).toEqual([2, 24, 4])
  expect(labelPages({ kind: 'single', widthMm: 62, heightMm: 29 }, 2)).toHaveLength(2)
  expect(() => labelPages({ ...grid, columns: 12 }, 1)).toThrow(/too small/)
})

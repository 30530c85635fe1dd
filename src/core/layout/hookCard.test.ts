import fc from 'fast-check'
import { expect, test } from 'vitest'
import { NOMINAL_CATALOGUE as catalogue } from '../catalogue/catalogue.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import { HOOK_PATTERN_IDS } from '../catalogue/ids.ts'
import { hookCard } from './hookCard.ts'

test('every size of the patterns is on the card once, true in millimetres, inside it and clear of the others', () => {
  const some = fc.subarray([...HOOK_PATTERN_IDS], { minLength: 1, maxLength: 2 })
  const sizes = fc.subarray([...catalogue.hooks.sizes], { minLength: 1 })
  fc.assert(
    fc.property(some, sizes, fc.integer({ min: 130, max: 400 }), (patterns, of, widthMm) => {
      const { hooks, heightMm, widthMm: wideMm } = hookCard(catalogue, patterns, of, widthMm)
      expect(hooks.map(({ size, pattern }) => `${size} ${pattern}`)).toEqual(
        of.flatMap((size) => patterns.map((pattern) => `${size} ${pattern}`)),
      )
      const boxes = hooks.map(({ x, y, outline, labelY, pattern, size }) => {
        expect(outline.pointY - outline.shankY).toBeCloseTo(1000 * hookDimensions(catalogue, pattern, size)!.gapeM, 9)
        return { left: x - 2 * outline.eyeMm, right: x + outline.lengthMm, top: y - outline.eyeMm, bottom: labelY }
      })
      for (const [i, box] of boxes.entries()) {
        expect(box.left).toBeGreaterThanOrEqual(0)
        expect(box.right).toBeLessThanOrEqual(wideMm)
        expect(box.bottom).toBeLessThanOrEqual(heightMm)
        for (const other of boxes.slice(i + 1))
          expect(box.right < other.left || other.right < box.left || box.bottom < other.top || other.bottom < box.top).toBe(true)
      }
    }),
  )
})

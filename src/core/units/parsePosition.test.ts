import fc from 'fast-check'
import { expect, test } from 'vitest'
import { formatPosition, parsePosition } from './parsePosition.ts'

test.each([
  ['latitude', '58.655', 58.655],
  ['latitude', '58 39.3 N', 58.655],
  ['latitude', `58°39'18"N`, 58.655],
  ['latitude', '58,655', 58.655],
  ['latitude', '90 S', -90],
  ['longitude', '-9.288', -9.288],
  ['longitude', '−9.288', -9.288],
  ['longitude', '9° 17.28′ w', -9.288],
  ['longitude', '180', 180],
  ['latitude', '-0', 0],
] as const)('%s %s', (kind, text, deg) => {
  const read = parsePosition(kind, text)
  expect(read.ok && read.deg).toBeCloseTo(deg, 9)
})

test.each([
  ['latitude', '', 'is not a latitude'],
  ['latitude', 'north', 'is not a latitude'],
  ['latitude', '91', 'ends at 90°'],
  ['longitude', '180 0.1 E', 'ends at 180°'],
  ['latitude', '58 W', 'W is not of a latitude'],
  ['longitude', '-9 W', 'not both'],
  ['latitude', '58 61 N', 'under 60'],
  ['latitude', '1e3', 'is not a latitude'],
] as const)('%s “%s” is refused', (kind, text, message) => {
  const read = parsePosition(kind, text)
  expect(read.ok ? '' : read.message).toContain(message)
})

test('what is shown reads back to within two metres', () => {
  for (const [kind, most] of [
    ['latitude', 90],
    ['longitude', 180],
  ] as const)
    fc.assert(
      fc.property(fc.double({ min: -most, max: most, noNaN: true }), (deg) => {
        const read = parsePosition(kind, formatPosition(kind, deg))
        expect(read.ok && Math.abs(read.deg - deg)).toBeLessThan(1e-5)
      }),
    )
})

// Anything slower than linear would run into the time limit of the test.
test('a hundred thousand digits are refused', () => {
  expect(parsePosition('latitude', '9'.repeat(100_000)).ok).toBe(false)
})

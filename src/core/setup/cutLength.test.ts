import { expect, test } from 'vitest'
import { leader } from '../../../tests/fixtures/pieces.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import type { LinePiece, Trace } from '../documents/trace.ts'
import { cutOf } from './cutLength.ts'

test('each strand of a twisted line is longer by its helix: √(1 + (π d n)²) of the finished length', () => {
  const plain = { ...leader(60, 0.8), strands: 2 } as LinePiece
  const cutM = (twistPerM: number) => {
    const line = { ...plain, twistPerM }
    return cutOf({ trace: { pieces: [line] } as unknown as Trace, catalogue }, line).cutM
  }
  const d = lineDiameterM(catalogue, plain)
  for (const n of [20, 150]) expect(cutM(n) - cutM(0)).toBeCloseTo(2 * 0.8 * (Math.hypot(1, Math.PI * d * n) - 1), 12)
  // Well above the rounding: 2 strands of 0.8 m take up millimetres at 150 turns a metre.
  expect(cutM(150) - cutM(0)).toBeGreaterThan(0.05)
})

import { expect, test } from 'vitest'
import { inWords } from '../../../tests/fixtures/judgedDrafts.ts'
import { leader } from '../../../tests/fixtures/pieces.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { buildSteps } from '../build/steps.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { lineById } from '../documents/pieces.ts'
import type { LinePiece, Trace } from '../documents/trace.ts'
import { withPiece } from '../edit/changes.ts'
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

test('each wrap around a hook’s shank takes a circle of the wire and the line', () => {
  const { trace } = inWords('leader 1 m 60 lb (J 4/0 3 wraps), J 4/0')
  const line = lineById(trace, 'leader')!
  const { wrapsM, cutM } = cutOf({ trace, catalogue }, line)
  const { wireM } = hookDimensions(catalogue, 'j', '4/0')!
  expect(wrapsM).toBeCloseTo(3 * Math.PI * (wireM + lineDiameterM(catalogue, line)), 12)
  const unwrapped = withPiece(trace, 'hook-2', ({ wraps: _, ...hook }: any) => hook)
  expect(cutM - cutOf({ trace: unwrapped, catalogue }, line).cutM).toBeCloseTo(wrapsM, 12)
  expect(buildSteps({ trace, catalogue })).toContainEqual({ do: 'wrap', line: 'leader', piece: 'hook-2', times: 3 })
})

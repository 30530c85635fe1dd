import { expect, test } from 'vitest'
import { longChain, manySliders, manySnoods } from '../../../tests/fixtures/longTraces.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { NOMINAL_CATALOGUE } from '../catalogue/catalogue.ts'
import { MOST_PIECES } from '../documents/vocabulary.ts'
import { evaluate } from './evaluate.ts'
import { parseRequest } from './parseRequest.ts'

/** Many times what they take on a machine of their own, and a thousandth of what a walk takes that doubles with each part. */
const [PARSE_MS, EVALUATE_MS] = [200, 800]

test.each([longChain, manySliders, manySnoods])('%o: as many parts as a trace may have are read and judged soon', (made) => {
  const trace = made(MOST_PIECES)
  const times = Array.from({ length: 3 }, () => {
    const beganMs = performance.now()
    const parsed = parseRequest({ trace: structuredClone(trace), outfit: braidOutfit(50) }, NOMINAL_CATALOGUE)
    if (!parsed.ok) throw new Error(parsed.issues[0]?.message)
    const readMs = performance.now()
    expect(evaluate(parsed.request.setup).moments.run?.paths.length).toBeGreaterThan(0)
    return { parseMs: readMs - beganMs, evaluateMs: performance.now() - readMs }
  })
  expect(Math.min(...times.map(({ parseMs }) => parseMs))).toBeLessThan(PARSE_MS)
  expect(Math.min(...times.map(({ evaluateMs }) => evaluateMs))).toBeLessThan(EVALUATE_MS)
})

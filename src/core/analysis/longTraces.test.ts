import { expect, test } from 'vitest'
import { longChain, manySliders, manySnoods } from '../../../tests/fixtures/longTraces.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { NOMINAL_CATALOGUE } from '../catalogue/catalogue.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Trace } from '../documents/trace.ts'
import { MAX_PIECES } from '../documents/vocabulary.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { evaluate, evaluateInSteps } from './evaluate.ts'
import { parseRequest } from './parseRequest.ts'

const judgedIn = (trace: Trace) => {
  const beganMs = performance.now()
  const parsed = parseRequest({ trace: structuredClone(trace), outfit: braidOutfit(50) }, NOMINAL_CATALOGUE)
  if (!parsed.ok) throw new Error(parsed.issues[0]?.message)
  expect(evaluate(parsed.request.setup).moments.run?.paths.length).toBeGreaterThan(0)
  return performance.now() - beganMs
}

/** Quadratic work gives 16 for four times the parts; a walk that doubles with each part never ends. */
test.each([longChain, manySliders, manySnoods])(
  '%o: the time to judge a trace grows at most with the cube of its parts',
  (made) => {
    const least = (parts: number) => Math.min(...Array.from({ length: 4 }, () => judgedIn(made(parts))))
    expect(least(MAX_PIECES) / least(MAX_PIECES / 4)).toBeLessThan(64)
  },
)

test('a long trace is judged in steps, none of them over half of the work', () => {
  const setup = {
    trace: manySnoods(MAX_PIECES),
    outfit: braidOutfit(50),
    conditions: defaultConditions(),
    catalogue: NOMINAL_CATALOGUE,
  }
  const longestShare = () => {
    const prepared = prepareSetup(setup)
    const steps = evaluateInSteps(prepared)
    const timesMs: number[] = []
    for (let isDone = false; !isDone; ) {
      const beganMs = performance.now()
      isDone = steps.next().done === true
      timesMs.push(performance.now() - beganMs)
    }
    expect(timesMs.length).toBeGreaterThan(prepared.ends.length)
    return Math.max(...timesMs) / timesMs.reduce((sum, ms) => sum + ms, 0)
  }
  expect(Math.min(...Array.from({ length: 5 }, longestShare))).toBeLessThan(0.5)
})

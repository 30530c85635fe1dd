import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { attempt, growthArb, STARTS } from '../../../tests/fixtures/randomTraces.ts'
import { REACH_OPTIONS } from '../../../tests/fixtures/reach.ts'
import { rigOf } from '../../../tests/fixtures/setups.ts'
import type { Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { drawInWords } from '../edit/inWords.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import { layOutReach } from './reach.ts'

const outfit = braidOutfit(50)
const options = REACH_OPTIONS

function inWords(
  words: string,
  trace = emptyTrace('words'),
  place: Parameters<typeof drawInWords>[1] = { at: 'end', of: OUTFIT },
) {
  const drawn = drawInWords(rigOf(trace, outfit), place, words)
  if (!drawn.ok) throw new Error(drawn.why)
  return drawn.trace
}

/** Every piece once, no slot on another, no drop through a slot. */
function expectClear(trace: Trace) {
  const { items, drops } = layOutReach(trace, outfit, options)
  const ids = items.map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(ids).toEqual(expect.arrayContaining(trace.pieces.map(({ id }) => id)))
  const slots = items.filter(({ onLine }) => !onLine).sort((a, b) => a.y - b.y || a.x0 - b.x0)
  for (const [i, slot] of slots.entries()) {
    const before = slots[i - 1]
    if (before?.y === slot.y) expect(slot.x0).toBeGreaterThanOrEqual(before.x1 - 0.01)
  }
  for (const { x, y0, y1 } of drops)
    for (const { x0, x1, y } of items) if (y > y0 && y < y1) expect(x <= x0 + 0.01 || x >= x1 - 0.01).toBe(true)
}

describe('the layout of the reach', () => {
  test('ends where the upper of two snoods carries a part that hangs below it (2026-11-29: it never did)', () => {
    const snoods = inWords(
      'body 2 m (boom 32 cm, snood 30 cm, J 1/0, lugworm; boom 1.2 m, snood 30 cm, J 1/0, lugworm), bomb 150 g',
    )
    const upper = snoods.pieces.find(({ role }) => role === 'snood')!
    expectClear(inWords('split shot 3 g', snoods, { at: 'along', line: upper.id, downM: 0.15 }))
  })

  test('draws every part of any sound trace of up to 60, clear of the others', () => {
    fc.assert(
      fc.property(fc.constantFrom(...STARTS), growthArb, (start, edits) => {
        let trace = start
        for (const edit of edits) {
          const result = attempt(trace, outfit, edit)
          if (!result.ok || result.trace.pieces.length > 60) continue
          trace = result.trace
          expectClear(trace)
          layOutReach(trace, outfit, { ...options, trueScale: true })
        }
      }),
      { numRuns: atDepth(3, 200) },
    )
  }, 60_000)

  test('draws two parts joined to your main line (2026-11-29: only one was drawn)', () => {
    const hook = inWords('hook 2/0').pieces[0]!
    expectClear({ ...emptyTrace('two'), pieces: [hook, { ...hook, id: 'hook-2' }] })
  })

  test('ends for as many parts as a document may have, branches of branches among them', () => {
    const ladder = (depth: number): string =>
      depth === 0 ? 'hook' : `body 50 cm (swivel, snood 30 cm, hook; swivel, ${ladder(depth - 1)}), swivel`
    for (const words of [ladder(28), `body 3 m (${Array(60).fill('boom, snood 40 cm, hook').join('; ')}), bomb`]) {
      const trace = inWords(words)
      expect(trace.pieces.length).toBeGreaterThan(160)
      expectClear(trace)
    }
  })
})

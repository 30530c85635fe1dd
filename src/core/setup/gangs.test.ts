import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, rigOf, setupOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Trace } from '../documents/trace.ts'
import { withFields } from '../edit/changes.ts'
import { moveHook } from '../edit/moveHook.ts'
import { takeDrawing } from '../layout/takeDrawing.ts'
import { COVERAGE } from '../moments/thresholds.ts'
import { baitedHooks, riggingsFor } from './baiting.ts'
import { gangsFor } from './gangs.ts'
import { prepareSetup } from './prepareSetup.ts'
import { twistsOf } from './settling/twist.ts'

const outfit = braidOutfit(50)
const { trace: captive, conditions } = draftOf('captiveSinker', outfit, defaultConditions())
const { trace: pulley } = draftOf('pulley', outfit, conditions)
const prepared = (trace: Trace) => prepareSetup(setupOf(trace, outfit, conditions))
const baited = (trace: Trace) => baitedHooks(prepared(trace))[0]!
const changed = (trace: Trace, id: string, change: object) => withFields(trace, id, change)
const bait = (change: object) => baited(changed(captive, 'hook-c-bait', change))

describe('few large hooks or more small ones', () => {
  test('the more there are the smaller they get, each within what holds the bait, or said not to be', () => {
    const gangs = gangsFor(catalogue, bait({ bait: 'wholePouting', lengthM: 0.2, depthM: 0.03 }), COVERAGE)
    expect(gangs.map(({ count }) => count)).toEqual([1, 2, 3, 4, 5])
    const sizes = gangs.slice(1).map(({ size }) => catalogue.hooks.sizes.indexOf(size))
    expect(sizes).toEqual(sizes.toSorted((a, b) => b - a))
    for (const { count, coverage, sound, freeGape } of gangs.slice(1)) {
      expect(sound, `${count}`).toBe(coverage >= COVERAGE.least && coverage <= COVERAGE.most && freeGape >= 0.5)
      expect(freeGape).toBeGreaterThanOrEqual(0.5)
    }
    expect(gangs[0]!.freeGape).toBeGreaterThanOrEqual(0.5)
  })
})

describe('how a bait is put on', () => {
  test('what of it lies in the gap is said by its rigging, where that is one for it', () => {
    const rigged = (change: object) => bait({ bait: 'halfFish', ...change }).wanted.riggedShare
    expect(rigged({})).toBeUndefined()
    expect(rigged({ rigging: 'bound' })).toBe(catalogue.riggings.bound.buried)
    // Nothing dead is hooked through the nose to swim.
    expect(rigged({ rigging: 'nose' })).toBeUndefined()
    const live = draftOf('liveBaitLeader', outfit, { ...defaultConditions(), castStyle: 'none' }).trace
    const bridled = baited(changed(live, 'hook-bait', { rigging: 'bridled' }))
    expect(bridled.wanted.riggedShare).toBe(0)
    expect(riggingsFor(catalogue, bridled.body)).toContain('throat')
    expect(riggingsFor(catalogue, { form: 'soft', alive: false })).toEqual(['skin', 'flush', 'ring'])
  })

  test('trimmed, it does not spin', () => {
    const spinning = changed(captive, 'hook-c-bait', { bait: 'cuttlefishStrip' })
    expect(twistsOf(prepared(spinning)).map(({ id }) => id)).toEqual(['hook-c-bait'])
    expect(twistsOf(prepared(changed(spinning, 'hook-c-bait', { trimmed: true })))).toEqual([])
  })

  test('hooks moved by any steps stay in their bait, none nearer to the next than eye to bend', () => {
    const move = fc.record({ id: fc.constantFrom('upper', 'tail'), byM: fc.double({ min: -0.1, max: 0.1, noNaN: true }) })
    fc.assert(
      fc.property(fc.array(move, { maxLength: 8 }), (moves) => {
        let trace = changed(pulley, 'tail-bait', { bait: 'wholePouting', lengthM: 0.2, depthM: 0.03 })
        for (const { id, byM } of moves) {
          const on = baited(trace)
          const { tailMm, roomMm } = takeDrawing(catalogue, on)
          const moved = moveHook(rigOf(trace, outfit), on, { tailM: tailMm / 1000, roomM: roomMm / 1000 }, id, byM)
          if (!moved.ok) continue
          trace = moved.trace
          const drawn = takeDrawing(catalogue, baited(trace))
          const { gang } = baited(trace)
          expect(gang!.betweenM).toBeGreaterThanOrEqual(gang!.pitchM - 1e-9)
          if (id === 'tail') expect(drawn.tailMm).toBeCloseTo(Math.min(roomMm, Math.max(0, tailMm - byM * 1000)), 6)
        }
      }),
      { numRuns: 60 },
    )
  })

  test('wherever the last bend is put, hooks that fit their bait stay in it, and that far from its tail', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.12, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lengthM, tailM) => {
          const { hooks, bait: drawn, tailMm, roomMm } = takeDrawing(catalogue, bait({ lengthM, depthM: 0.03, tailM }))
          const [first, last] = [hooks[0]!, hooks.at(-1)!]
          const end = last.x + last.outline.lengthMm
          if (first.x < -1e-6) {
            expect(roomMm).toBe(0)
            return
          }
          expect(tailMm).toBeCloseTo(Math.min(roomMm, 1000 * tailM), 9)
          expect(drawn.lengthMm - end).toBeCloseTo(tailMm, 9)
        },
      ),
    )
  })
})

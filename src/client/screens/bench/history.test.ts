import fc from 'fast-check'
import { expect, test } from 'vitest'
import { braidOutfit } from '../../../../tests/fixtures/outfits.ts'
import { attempt, editsArb, STARTS } from '../../../../tests/fixtures/randomTraces.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { type History, type HistoryAction, historyReducer, startHistory } from './history.ts'

const run = (actions: HistoryAction<number>[], from: History<number> = startHistory(0)) =>
  actions.reduce<History<number>>(historyReducer, from)
const edit = (next: number, tag?: string): HistoryAction<number> => ({ type: 'edit', change: () => next, tag })

test('as many undos as edits come back to the start, and as many redos to the end', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 1 }), { minLength: 1, maxLength: 30 }), (values) => {
      const edited = run(values.map((value) => edit(value)))
      const undone = run(
        values.map(() => ({ type: 'undo' })),
        edited,
      )
      expect(undone.present).toBe(0)
      expect(
        run(
          values.map(() => ({ type: 'redo' })),
          undone,
        ),
      ).toEqual({ ...edited, tag: undefined })
    }),
  )
})

test('keystrokes in one field are one step until the field is left', () => {
  const typed = run([edit(3, 'a'), edit(30, 'a'), { type: 'settle' }, edit(31, 'a'), edit(4, 'b')])
  expect(typed.past).toEqual([0, 30, 31])
})

test('an edit after an undo drops what was undone; undo at the start changes nothing', () => {
  expect(run([edit(1), edit(2), { type: 'undo' }, edit(5)]).future).toEqual([])
  expect(run([{ type: 'undo' }]).present).toBe(0)
})

test('whatever was drawn, undo restores each trace exactly as it was', () => {
  const outfit = braidOutfit(50)
  fc.assert(
    fc.property(fc.constantFrom(...STARTS), editsArb, (start, edits) => {
      const seen = [JSON.stringify(start)]
      let history = startHistory<Trace>(start)
      for (const edit of edits) {
        const result = attempt(history.present, outfit, edit)
        if (!result.ok) continue
        history = historyReducer(history, { type: 'edit', change: () => result.trace })
        seen.push(JSON.stringify(history.present))
      }
      for (const before of seen.toReversed()) {
        expect(JSON.stringify(history.present)).toBe(before)
        history = historyReducer(history, { type: 'undo' })
      }
    }),
    { numRuns: 50 },
  )
})

import { expect, test } from 'vitest'
import { draftOf } from '../../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../../tests/fixtures/outfits.ts'
import { MARK } from '../../../../tests/fixtures/tides.ts'
import { defaultConditions } from '../../../core/documents/conditions.ts'
import { usualMoving } from '../../../core/documents/moving.ts'
import { springWater } from '../../../core/setup/springWater.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedMark } from '../../api/documents.ts'
import { benchEdits } from './benchEdits.ts'
import { type History, historyReducer, startHistory } from './history.ts'

const made = draftOf('straightLure', braidOutfit(30), { ...defaultConditions(), castStyle: 'none' })
const OUTFIT = '10000000-0000-4000-8000-000000000001'
const saved = (content: SavedMark['content']) => ({ id: '20000000-0000-4000-8000-000000000001', content }) as SavedMark

/** The edits of a trace that nothing is drawn of between one and the next. */
function bench(conditions: Partial<TraceContent['conditions']> = {}) {
  let history: History<TraceContent> = startHistory({
    trace: made.trace,
    outfitId: OUTFIT,
    conditions: { ...made.conditions, moving: undefined, water: undefined, ...conditions },
  })
  const edits = benchEdits((action) => {
    history = historyReducer(history, action)
  })
  return { edits, content: () => history.present, steps: () => history.past.length }
}

test('edits that nothing was drawn between all count, each a step that undo takes back', () => {
  const { edits, content, steps } = bench()
  const before = content()
  edits.editConditions({ dragN: 20 })
  edits.editTrace((trace) => ({ ...trace, name: 'Ebb lure' }))
  edits.editConditions({ lineOutM: 80 })
  expect(content()).toMatchObject({ trace: { name: 'Ebb lure' }, conditions: { dragN: 20, lineOutM: 80 } })
  expect(steps()).toBe(3)
  for (let i = 0; i < 3; i += 1) edits.undo()
  expect(content()).toBe(before)
})

test('keystrokes under one tag are a step until the field is left', () => {
  const { edits, steps } = bench()
  for (const dragN of [1, 12]) edits.editConditions({ dragN }, 'drag')
  expect(steps()).toBe(1)
  edits.settle()
  edits.editConditions({ dragN: 2 }, 'drag')
  expect(steps()).toBe(2)
})

test('a mark brings its water; of what is towed its depth, and no stream where none was told; no mark leaves the water', () => {
  const still = bench()
  still.edits.chooseMark(saved(MARK))
  expect(still.content().conditions.water).toEqual(springWater(MARK))
  still.edits.chooseMark(undefined)
  expect(still.content()).toMatchObject({ markId: undefined, conditions: { water: springWater(MARK) } })
  const towed = bench({ moving: usualMoving('trolled') })
  towed.edits.chooseMark(saved({ ...MARK, depthM: 31 }))
  expect(towed.content().conditions).toMatchObject({ water: undefined, moving: { way: 'trolled', waterM: 31 } })
  const flown = bench({ moving: usualMoving('kite') })
  flown.edits.chooseMark(saved(MARK))
  expect(flown.content().conditions.moving).toEqual(usualMoving('kite'))
})

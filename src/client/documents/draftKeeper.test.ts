import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { defaultConditions } from '../../core/documents/conditions.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { DraftKeeper } from './draftKeeper.ts'

const content: TraceContent = {
  trace: FAMILY_FIXTURES[0]!.trace,
  outfitId: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101',
  conditions: defaultConditions(),
}
const named = (name: string): TraceContent => ({ ...content, trace: { ...content.trace, name } })

/** What a browser keeps: its items are what it is made of, its methods are not. */
function browserStorage(): Storage {
  const methods = {
    getItem(this: Record<string, string>, key: string) {
      return this[key] ?? null
    },
    setItem(this: Record<string, string>, key: string, value: string) {
      this[key] = value
    },
    removeItem(this: Record<string, string>, key: string) {
      delete this[key]
    },
  }
  return Object.create(methods)
}
/** Turns to a window: what it kept for itself. */
const turnTo = (windowStorage: Storage) => vi.stubGlobal('sessionStorage', windowStorage)

const open = (id = 'one') => new DraftKeeper('traces', id)
const nameIn = (keeper: DraftKeeper<'traces'>) => keeper.resumed?.content.trace.name

beforeEach(() => {
  vi.stubGlobal('localStorage', browserStorage())
  turnTo(browserStorage())
  vi.useFakeTimers({ now: 1_000 })
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

test('a draft that was left comes back with the revision it was made from, and goes when it is dropped', () => {
  const first = open()
  first.keep(3, content)
  first.release()
  expect(open('another').resumed).toBeUndefined()
  const second = open()
  expect(second.resumed).toEqual({ baseRevision: 3, content })
  second.keep(3, named('further'))
  expect(Object.keys(localStorage)).toHaveLength(1)
  second.drop()
  expect(Object.keys(localStorage)).toHaveLength(0)
})

test('one that is taken up and saved as it was leaves nothing behind', () => {
  const first = open()
  first.keep(3, content)
  first.release()
  open().drop()
  expect(open().resumed).toBeUndefined()
})

test('two windows have drafts of their own: each finds its own again, whichever was loaded last', () => {
  const [mine, yours] = [browserStorage(), browserStorage()]
  const first = open()
  turnTo(mine)
  first.keep(1, named('mine'))
  turnTo(yours)
  const second = open()
  expect(second.resumed).toBeUndefined()
  expect(second.others()).toMatchObject([{ elsewhere: true }])
  vi.advanceTimersByTime(1_000)
  second.keep(1, named('yours'))
  second.release()
  turnTo(mine)
  first.keep(1, named('mine still'))
  first.release()
  vi.advanceTimersByTime(1_000)
  turnTo(mine)
  expect(nameIn(open())).toBe('mine still')
  turnTo(yours)
  expect(nameIn(open())).toBe('yours')
})

test('a window of neither takes up the latest that was left, and is told of the other', () => {
  // Both were open at once, and both were left.
  const both = [open(), open()]
  both.forEach((keeper, i) => {
    vi.advanceTimersByTime(1_000)
    keeper.keep(1, named(['earlier', 'later'][i]!))
  })
  for (const keeper of both) keeper.release()
  turnTo(browserStorage())
  const third = open()
  expect(nameIn(third)).toBe('later')
  const [other] = third.others()
  expect(other).toMatchObject({ elsewhere: false, keptAtMs: 2_000 })
  expect(third.look(other!)).toMatchObject({ content: { trace: { name: 'earlier' } } })
  third.discard(other!.key)
  expect(third.others()).toEqual([])
  expect(third.look(other!)).toEqual({ message: 'It no longer exists.' })
})

test('a window that is copied does not write over the one it was copied from', () => {
  const first = open()
  first.keep(1, named('first'))
  // The copy has all that the window kept for itself.
  const copy = open()
  expect(copy.resumed).toBeUndefined()
  copy.keep(1, named('copy'))
  expect(copy.look(copy.others()[0]!)).toMatchObject({ content: { trace: { name: 'first' } } })
})

test('a page that comes back has its draft for its own again', () => {
  const first = open()
  first.keep(1, content)
  first.release()
  first.claim()
  expect(open().resumed).toBeUndefined()
})

test('what the version before kept under the name alone is taken up', () => {
  localStorage.setItem('wide-reach.draft.one', JSON.stringify({ baseRevision: 2, content }))
  const keeper = open()
  expect(keeper.resumed).toEqual({ baseRevision: 2, content })
  keeper.keep(2, content)
  expect(localStorage.getItem('wide-reach.draft.one')).toBeNull()
})

test('work of a newer version is kept aside, whatever is done here, and said to be so', () => {
  const newer = JSON.stringify({ baseRevision: 1, content: { ...content, trace: { ...content.trace, formatVersion: 99 } } })
  localStorage.setItem('wide-reach.draft.one', newer)
  const keeper = open()
  expect(keeper.resumed).toBeUndefined()
  keeper.keep(1, content)
  keeper.drop()
  expect(localStorage.getItem('wide-reach.draft.one')).toBe(newer)
  expect(keeper.look(keeper.others()[0]!)).toMatchObject({ message: expect.stringContaining('newer version') })
})

test('a draft that does not read, or no longer holds together, is not taken up', () => {
  for (const text of [
    '',
    '{',
    '{"baseRevision":"one"}',
    JSON.stringify({ baseRevision: 1, content: { ...content, trace: { ...content.trace, weakLink: 'ghost' } } }),
  ]) {
    localStorage.setItem('wide-reach.draft.one', text)
    expect(open().resumed).toBeUndefined()
  }
})

test('a browser that keeps nothing is no error: it is said', () => {
  const refuse = () => {
    throw new Error('denied')
  }
  vi.stubGlobal('localStorage', { getItem: refuse, setItem: refuse, removeItem: refuse })
  const keeper = open()
  keeper.keep(1, content)
  expect([keeper.notStored, keeper.resumed, keeper.others()]).toEqual([true, undefined, []])
  expect(() => keeper.release()).not.toThrow()
  keeper.drop()
  expect(keeper.notStored).toBe(false)
})

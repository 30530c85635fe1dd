import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { learnedHolding } from '../learning/markLessons.ts'
import { atMark } from './atMark.ts'
import { requiredSinkerAt } from './holding.ts'
import { holdNow } from './holdNow.ts'
import { settledOn } from './preparedWithSinker.ts'

const outfit = braidOutfit(50)
const setup = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
const tide = tideOfDay('2026-11-24')
const timeMs = tide.startMs + 4 * HOUR_MS
const at = (mark: typeof MARK, sinkerKg?: number) => holdNow({ setup, mark, holds: [], tide, winds: [], sinkerKg }, timeMs)

test('what is as likely to hold as not is the least at the middle grip of a cast sinker, and that with the reserve of a hanging one', () => {
  for (const mark of [{ ...MARK, method: 'shore' as const, scope: 1.05, distanceM: 70 }, MARK]) {
    const settling = settledOn(setup, atMark(mark, tide, [], timeMs).water, undefined)!
    const required = requiredSinkerAt(learnedHolding(catalogue, mark, []))(settling)(settling.weight.shape)
    if ('trouble' in required) throw new Error(required.trouble)
    const even = mark.method === 'shore' ? required.neededKg : required.wantedKg
    expect(at(mark, even)!.chance).toBeCloseTo(0.5, 2)
    expect(at(mark, 2 * even)!.chance).toBeGreaterThan(0.9)
    expect(at(mark, even / 2)!.chance).toBeLessThan(0.1)
    expect(at(mark, even)!.massKg).toBe(even)
  }
})

test('without a sinker said, the trace’s own is judged; what takes nothing down is not', () => {
  const own = setup.trace.pieces.find(({ id }) => id === 'sinker') as { massKg: number }
  expect(at(MARK)!.massKg).toBe(own.massKg)
  const bare = {
    ...setup,
    trace: {
      ...setup.trace,
      pieces: setup.trace.pieces.filter(({ role }) => role !== 'sinker' && role !== 'hook' && role !== 'bait'),
    },
  }
  expect(holdNow({ setup: bare, mark: MARK, holds: [], tide, winds: [], sinkerKg: 0.2 }, timeMs)).toBeUndefined()
})

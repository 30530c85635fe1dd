import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { evaluated, setupOf } from '../../../tests/fixtures/setups.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import { peakByLineOut, unsafeFromM } from './peakByLineOut.ts'

const outfit = braidOutfit(50)
const usual: Conditions = { ...defaultConditions(), dragN: 10 * LB }

describe('peak by line out', () => {
  const trace = draftOf('runningLedger', outfit, usual).trace
  const points = peakByLineOut(setupOf(trace, outfit, { ...usual, castStyle: 'none' }), 'hook')

  test('rises as the spool empties, and at the line out set it is the peak that Run gives', () => {
    for (const [i, point] of points.entries()) if (i > 0) expect(point.peakN).toBeGreaterThan(points[i - 1]!.peakN)
    for (const { lineOutM, peakN, allowedN } of [points[0]!, points[20]!, points[60]!]) {
      const { drag } = evaluated(trace, outfit, { ...usual, lineOutM }).run!.paths[0]!
      expect(peakN).toBeCloseTo(drag.peakN, 9)
      expect(usual.dragN / drag.ceilingN <= 1).toBe(peakN <= allowedN)
    }
  })

  test('the limit steps down where weaker backing comes off the spool, and the unsafe stretch begins at the crossing', () => {
    const backed = points.at(-1)!
    expect(backed.allowedN).toBeLessThanOrEqual(points[0]!.allowedN)
    expect(unsafeFromM(points.map((point) => ({ ...point, allowedN: point.lineOutM > 100 ? 0 : 1e6 })))).toBeGreaterThan(100)
    expect(unsafeFromM(points.map((point) => ({ ...point, allowedN: 1e6 })))).toBeUndefined()
  })
})

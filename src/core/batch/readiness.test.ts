import { describe, expect, test } from 'vitest'
import type { Batch } from '../documents/batch.ts'
import type { Tied } from '../documents/tied.ts'
import { BATCH_VERSION, TIED_VERSION } from '../documents/versions.ts'
import { readinessOf, tiedOfBatches, tracesToTie } from './readiness.ts'
import { sparesFor } from './spareRates.ts'

const batch = (id: string, more: Partial<Batch> = {}) => ({
  id,
  content: { formatVersion: BATCH_VERSION, name: `batch ${id}`, traceId: 'design', traceRevision: 3, count: 4, ...more } as Batch,
})
const tied = (id: string, more: Partial<Tied> = {}) => ({
  id,
  content: {
    formatVersion: TIED_VERSION,
    name: id,
    traceId: 'design',
    traceRevision: 3,
    tiedOn: '2026-11-20',
    state: 'ready',
    ...more,
  } as Tied,
})

const TODAY = '2026-11-30'
// Three of batch one, of which one is lost, and one that belongs to no batch.
const TIED = [
  tied('a', { batchId: 'one' }),
  tied('b', { batchId: 'one' }),
  tied('c', { batchId: 'one', state: 'lost' }),
  tied('d'),
]

describe('readiness of designs', () => {
  test('what is ready and what was tied of a batch are counted apart: a lost trace was tied', () => {
    expect([...tiedOfBatches(TIED)]).toEqual([['one', 3]])
    expect(readinessOf(TIED, [batch('one')], TODAY).get('design')).toEqual({
      ready: 3,
      short: [{ count: 1, forDate: undefined }],
    })
  })

  test('a batch is needed up to its day, and not after it', () => {
    const short = (forDate: string) => readinessOf([], [batch('one', { forDate })], TODAY).get('design')?.short
    expect(short(TODAY)).toEqual([{ count: 4, forDate: TODAY }])
    expect(short('2026-11-29')).toBeUndefined()
  })

  test('to tie is what a batch lacks, and the spares beyond those that are ready', () => {
    const spares = {
      hours: 60,
      designs: [{ id: 'design', revision: 5 }],
      assurance: 0.9,
      losses: { priorEvents: 1, priorExposure: 10, events: 0, exposure: 0 },
    }
    const enough = sparesFor(60, 0.9, spares.losses)
    expect(enough).toBeGreaterThan(3)
    expect(tracesToTie([batch('one'), batch('done', { count: 0 })], TIED, spares)).toEqual([
      { why: 'batch one', traceId: 'design', revision: 3, traces: 1, choices: undefined },
      { why: 'spares', traceId: 'design', revision: 5, traces: enough - 3, choices: undefined },
    ])
    expect(tracesToTie([], TIED, { ...spares, hours: 0.5 })).toEqual([])
  })
})

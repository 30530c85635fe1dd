import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { activeObservations } from '../../src/core/learning/activeObservations.ts'
import { demoState } from '../../src/shared/demo.ts'
import { parseObservations } from '../../src/shared/observations.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const state = async (method = 'GET') => demoState.parse((await server.send(method, '/demo')).body)
const list = async (kind: string): Promise<{ id: string; content: any; revision: number }[]> =>
  (await server.send('GET', `/${kind}`)).body.documents
const activeIds = async () =>
  activeObservations(parseObservations((await server.send('GET', '/observations')).body))
    .filter(({ kind }) => kind !== 'retraction')
    .map(({ id }) => id)
    .toSorted()

describe('the demonstration data', () => {
  test('is all shown at first; removed it is gone whole, and brought back it is all there again', async () => {
    const [before, observed] = [await state(), await activeIds()]
    expect(before.missing).toBe(0)
    expect(observed.length).toBeGreaterThan(40)
    const counts = async () =>
      Promise.all(
        ['traces', 'outfits', 'marks', 'gear', 'rule-sets', 'tied', 'trips'].map(async (kind) => (await list(kind)).length),
      )
    const all = await counts()
    expect(before.shown).toHaveLength(all.reduce((sum, count) => sum + count, 0))
    expect(await state('DELETE')).toEqual({ shown: [], missing: before.shown.length })
    expect(await counts()).toEqual([0, 0, 0, 0, 0, 0, 0])
    expect((await list('fish')).length).toBeGreaterThan(5)
    expect(await activeIds()).toEqual([])
    expect((await state('POST')).shown.toSorted()).toEqual(before.shown.toSorted())
    expect(await counts()).toEqual(all)
    expect(await activeIds()).toEqual(observed)
    // Again, after what was added by the first time.
    await state('DELETE')
    expect(await activeIds()).toEqual([])
    await server.send('DELETE', '/traces?trash=true')
    expect((await state('POST')).missing).toBe(0)
    expect(await activeIds()).toEqual(observed)
  })

  test('what was changed, and what a trace of one’s own uses, stays', async () => {
    const [trace, changed] = await list('traces')
    const { outfitId, markId } = trace!.content
    const id = crypto.randomUUID()
    expect((await server.send('POST', '/traces', { id, content: { ...trace!.content, markId } })).status).toBe(201)
    const content = { ...changed!.content, trace: { ...changed!.content.trace, name: 'mine now' } }
    expect((await server.send('PUT', `/traces/${changed!.id}`, { baseRevision: 1, content })).status).toBe(200)
    await Promise.all([state('DELETE'), state('DELETE')])
    expect((await list('traces')).map((each) => each.id).toSorted()).toEqual([id, changed!.id].toSorted())
    expect((await list('outfits')).map((each) => each.id)).toContain(outfitId)
    expect((await state()).shown).toEqual([])
  })
})

import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { sql } from 'kysely'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { freePort } from '../../scripts/lib/freePort.ts'
import { startServerProcess } from '../../scripts/lib/serverProcess.ts'
import type { Batch } from '../../src/core/documents/batch.ts'
import type { Tied } from '../../src/core/documents/tied.ts'
import { freshDatabase, startTestServer, type TestServer } from './testServer.ts'

const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const hook = (name: string) => ({ formatVersion: 5, kind: 'hook', name, pattern: 'circle', size: '2/0' })
const batch = (count: number): Batch => ({ formatVersion: 1, name: 'For Saturday', traceId: HOUND, traceRevision: 1, count })
const tied = (change: Partial<Tied> = {}): Tied => ({
  formatVersion: 1,
  name: 'One',
  traceId: HOUND,
  traceRevision: 1,
  tiedOn: '2026-11-30',
  state: 'ready',
  ...change,
})

async function added(kind: 'gear' | 'batches' | 'tied', content: object): Promise<string> {
  const id = randomUUID()
  expect((await server.send('POST', `/${kind}`, { id, content })).status).toBe(201)
  return id
}
const newItem = () => added('gear', hook(`hook ${randomUUID()}`))
const moved = (itemId: string, quantity: number, reason: string, id = randomUUID()) =>
  server.send('POST', '/stock/movements', { movements: [{ id, itemId, spool: 1, quantity, reason }] })
const counted = (itemId: string, count: number, seen: number | null, id = randomUUID()) =>
  server.send('POST', '/stock/counts', { counts: [{ id, itemId, spool: 1, counted: count, seen }] })
const levelOf = async (itemId: string): Promise<number | undefined> =>
  (await server.send('GET', '/stock')).body.levels.find((each: { itemId: string }) => each.itemId === itemId)?.quantity
const historyOf = async (itemId: string) => (await server.send('GET', `/stock/items/${itemId}`)).body.movements

describe('the ledger', () => {
  test('an item that was never counted has no level; what is bought and used adds up', async () => {
    const item = await newItem()
    expect(await levelOf(item)).toBeUndefined()
    await moved(item, 25, 'bought')
    await moved(item, -3, 'used')
    await moved(item, 0.1, 'returned')
    await moved(item, 0.2, 'returned')
    expect(await levelOf(item)).toBe(22.3)
    expect((await historyOf(item)).map(({ quantity }: { quantity: number }) => quantity)).toEqual([0.2, 0.1, -3, 25])
  })

  test('fifty who each take one of twenty: twenty have it, thirty are told that none is left', async () => {
    const item = await newItem()
    await moved(item, 20, 'bought')
    const answers = await Promise.all(Array.from({ length: 50 }, () => moved(item, -1, 'used')))
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(20)
    const refused = answers.filter(({ status }) => status === 409)
    expect(refused).toHaveLength(30)
    for (const { body } of refused) {
      expect(body.error).toMatchObject({ code: 'not-enough', message: expect.stringContaining('Only 0 left') })
      expect(body.short).toEqual([{ itemId: item, spool: 1, left: 0 }])
    }
    expect(await levelOf(item)).toBe(0)
    expect(await historyOf(item)).toHaveLength(21)
  })

  test('movements go in together or not at all, and two that cross do not wait for each other for ever', async () => {
    const [one, other] = [await newItem(), await newItem()]
    for (const item of [one, other]) await moved(item, 30, 'bought')
    const take = (items: string[], quantity: number) =>
      server.send('POST', '/stock/movements', {
        movements: items.map((itemId) => ({ id: randomUUID(), itemId, spool: 1, quantity, reason: 'used' })),
      })
    expect((await take([one, other], -31)).status).toBe(409)
    const crossing = await Promise.all(Array.from({ length: 30 }, (_, i) => take(i % 2 === 0 ? [one, other] : [other, one], -1)))
    expect(crossing.map(({ status }) => status)).toEqual(crossing.map(() => 200))
    expect([await levelOf(one), await levelOf(other)]).toEqual([0, 0])
    const third = await newItem()
    await moved(third, 5, 'bought')
    expect((await take([third, one], -1)).status).toBe(409)
    expect(await levelOf(third)).toBe(5)
  })

  test('a movement sent twice moves once; undone twice, it is undone once', async () => {
    const item = await newItem()
    const id = randomUUID()
    await moved(item, 10, 'bought', id)
    expect((await moved(item, 10, 'bought', id)).status).toBe(200)
    expect(await levelOf(item)).toBe(10)
    const undo = (name = randomUUID()) => server.send('POST', '/stock/undo', { id: name, undoes: id })
    const name = randomUUID()
    expect([(await undo(name)).status, (await undo(name)).status]).toEqual([200, 200])
    expect((await undo()).body.error.code).toBe('undone')
    expect(await levelOf(item)).toBe(0)
    const again = randomUUID()
    await moved(item, 4, 'bought', again)
    await moved(item, -4, 'used')
    expect((await server.send('POST', '/stock/undo', { id: randomUUID(), undoes: again })).body.error.code).toBe('not-enough')
  })

  test('a count writes the difference, if the level is still the one it was compared with', async () => {
    const item = await newItem()
    expect((await counted(item, 7, null)).status).toBe(200)
    expect(await levelOf(item)).toBe(7)
    expect((await counted(item, 9, null)).body).toMatchObject({
      error: { code: 'moved' },
      short: [{ itemId: item, spool: 1, left: 7 }],
    })
    await counted(item, 5, 7)
    expect(await levelOf(item)).toBe(5)
    expect((await historyOf(item)).map(({ quantity, reason }: any) => [quantity, reason])).toEqual([
      [-2, 'counted'],
      [7, 'counted'],
    ])
    const firsts = await Promise.all([counted(await newItem(), 3, null), ...[1, 2, 3].map(() => counted(item, 6, 5))])
    expect(firsts.filter(({ status }) => status === 200)).toHaveLength(2)
    expect(await levelOf(item)).toBe(6)
  })

  test('refuses what is not in the box, nothing, too much, and a count below zero', async () => {
    const item = await newItem()
    expect((await moved(randomUUID(), 1, 'bought')).body.error.code).toBe('unknown-item')
    for (const quantity of [0, 0.0004, 1e9, Number.NaN]) expect((await moved(item, quantity, 'bought')).status).toBe(400)
    expect((await counted(item, -1, null)).status).toBe(400)
    expect((await moved(item, 1, 'counted')).status).toBe(400)
    expect(await levelOf(item)).toBeUndefined()
  })

  test('the database itself refuses to change or delete a movement', async () => {
    await expect(sql`update stock_movements set quantity = 1`.execute(server.db)).rejects.toThrow(/only ever added/)
    await expect(sql`delete from stock_movements`.execute(server.db)).rejects.toThrow(/only ever added/)
  })
})

describe('a batch', () => {
  const progressOf = async (id: string) => (await server.send('GET', `/batches/${id}/progress`)).body
  const tick = (batchId: string, change: number, of = 24, id = randomUUID()) =>
    server.send('POST', `/batches/${batchId}/ticks`, { ticks: [{ id, part: 'cut body', change, of }] })
  const finish = (batchId: string, itemId: string, traces: number, each = 2, id = randomUUID()) =>
    server.send('POST', `/batches/${batchId}/finish`, {
      id,
      movements: [{ id: randomUUID(), itemId, spool: 1, quantity: -each * traces }],
      tied: Array.from({ length: traces }, () => ({ id: randomUUID(), content: tied({ batchId }) })),
    })

  test('ticks of two people add up, never below zero nor above all, and one sent twice counts once', async () => {
    const id = await added('batches', batch(12))
    await Promise.all(Array.from({ length: 20 }, () => tick(id, 1)))
    expect((await progressOf(id)).parts).toEqual({ 'cut body': 20 })
    await Promise.all([tick(id, 24), tick(id, 24)])
    expect((await progressOf(id)).parts).toEqual({ 'cut body': 24 })
    const name = randomUUID()
    await tick(id, -1, 24, name)
    await tick(id, -1, 24, name)
    expect((await progressOf(id)).parts).toEqual({ 'cut body': 23 })
    await tick(id, -100)
    expect((await progressOf(id)).parts).toEqual({ 'cut body': 0 })
    expect((await tick(randomUUID(), 1)).status).toBe(404)
  })

  test('finishing takes the stock and makes the tied traces; undone, both are given back', async () => {
    const item = await newItem()
    await moved(item, 30, 'bought')
    const id = await added('batches', batch(12))
    expect([(await finish(id, item, 13)).status, await levelOf(item)]).toEqual([409, 30])
    const answers = await Promise.all([finish(id, item, 8), finish(id, item, 8)])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(answers.find(({ status }) => status === 409)!.body.error.message).toBe(
      '8 of 12 traces of this batch are finished already.',
    )
    expect(await levelOf(item)).toBe(14)
    const [done] = (await progressOf(id)).finishes
    expect(done.tied).toHaveLength(8)
    expect((await historyOf(item))[0]).toMatchObject({ quantity: -16, reason: 'used', batchId: id })

    const [first] = done.tied
    const { revision, content } = (await server.send('GET', `/tied/${first}`)).body
    await server.send('PUT', `/tied/${first}`, { baseRevision: revision, content: { ...content, state: 'lost' } })
    const undo = () => server.send('POST', `/batches/${id}/undo`, { id: randomUUID(), undoes: done.id })
    expect((await undo()).body.error).toMatchObject({ code: 'in-use', message: expect.stringContaining('1 of these traces is') })
    expect(await levelOf(item)).toBe(14)
    await server.send('PUT', `/tied/${first}`, { baseRevision: revision + 1, content })
    const undone = await Promise.all([undo(), undo()])
    expect(undone.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await levelOf(item)).toBe(30)
    expect((await progressOf(id)).finishes).toEqual([])
    expect((await server.send('GET', `/tied/${first}`)).body.binnedAt).not.toBeNull()
  })

  test('with too little in the box nothing is taken and nothing is tied', async () => {
    const item = await newItem()
    await moved(item, 5, 'bought')
    const id = await added('batches', batch(12))
    const refused = await finish(id, item, 3)
    expect(refused.body.error.code).toBe('not-enough')
    expect([await levelOf(item), (await progressOf(id)).finishes]).toEqual([5, []])
    const { documents } = (await server.send('GET', '/tied')).body
    expect(documents.filter(({ content }: { content: Tied }) => content.batchId === id)).toEqual([])
  })
})

test('a server killed between stock and tied traces has done both or neither', async () => {
  const databaseUrl = await freshDatabase('demo')
  const port = await freePort()
  const send = async (method: string, path: string, body?: unknown) =>
    (
      await fetch(`http://127.0.0.1:${port}/api${path}`, {
        method,
        headers: { 'Content-Type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      })
    ).json() as Promise<any>
  let child = await startServerProcess({ DATABASE_URL: databaseUrl, PORT: String(port) })
  const itemId = randomUUID()
  await send('POST', '/gear', { id: itemId, content: hook('counted') })
  await send('POST', '/stock/movements', {
    movements: [{ id: randomUUID(), itemId, spool: 1, quantity: 1_000, reason: 'bought' }],
  })
  const batches = Array.from({ length: 8 }, () => randomUUID())
  for (const id of batches) await send('POST', '/batches', { id, content: batch(200) })
  let finished = 0
  const workers = batches.map(async (batchId) => {
    try {
      for (;;) {
        await send('POST', `/batches/${batchId}/finish`, {
          id: randomUUID(),
          movements: [{ id: randomUUID(), itemId, spool: 1, quantity: -5 }],
          tied: Array.from({ length: 5 }, () => ({ id: randomUUID(), content: tied({ batchId }) })),
        })
        // Killed while the others are each in the middle of finishing theirs.
        if (++finished === 20) child.kill('SIGKILL')
      }
    } catch {
      // The server is gone.
    }
  })
  await Promise.all([once(child, 'exit'), ...workers])
  child = await startServerProcess({ DATABASE_URL: databaseUrl, PORT: String(port) })
  const { levels } = await send('GET', '/stock')
  const { documents } = await send('GET', '/tied')
  const tiedThere = documents.filter(({ content }: { content: Tied }) => content.batchId !== undefined).length
  expect(tiedThere).toBeGreaterThanOrEqual(100)
  expect(levels.find((each: { itemId: string }) => each.itemId === itemId).quantity).toBe(1_000 - tiedThere)
  child.kill('SIGKILL')
  await once(child, 'exit')
})

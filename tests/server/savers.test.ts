import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, expect, inject, test } from 'vitest'
import { atDepth } from '../depth.ts'
import { startTestServer, type TestServer } from './testServer.ts'

const SAVERS = atDepth(8, 20)
const SAVES_EACH = atDepth(4, 8)

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

/** A trace that twenty save at once, each until its own saves are in; what was acknowledged, by revision. */
async function savedByMany(disturb: () => Promise<void>): Promise<{ id: string; acknowledged: Map<number, string> }> {
  const { content } = (await server.send('GET', '/traces')).body.documents[0]
  const named = (name: string) => ({ ...content, trace: { ...content.trace, name } })
  const id = randomUUID()
  await server.send('POST', '/traces', { id, content: named('first') })
  const acknowledged = new Map<number, string>()
  const saver = async (_: unknown, who: number) => {
    let base = 1
    for (let done = 0; done < SAVES_EACH; ) {
      const name = `saver ${who}, save ${done}`
      const { status, body } = await server.send('PUT', `/traces/${id}`, { baseRevision: base, content: named(name) })
      if (status === 503) continue
      expect([200, 409]).toContain(status)
      const current = status === 200 ? body : body.current
      base = current.revision
      if (status === 409) continue
      // What a save is answered with is what that save wrote, and no other save was told the same revision.
      expect(body.content.trace.name).toBe(name)
      expect(acknowledged.has(body.revision)).toBe(false)
      acknowledged.set(body.revision, name)
      done += 1
    }
  }
  await Promise.all([disturb(), ...Array.from({ length: SAVERS }, saver)])
  return { id, acknowledged }
}

async function expectWhole({ id, acknowledged }: Awaited<ReturnType<typeof savedByMany>>): Promise<void> {
  expect(acknowledged.size).toBe(SAVERS * SAVES_EACH)
  for (const [revision, name] of acknowledged)
    expect((await server.send('GET', `/traces/${id}/revisions/${revision}`)).body.content.trace.name).toBe(name)
  const revisions: { revision: number }[] = (await server.send('GET', `/traces/${id}/revisions`)).body
  expect(revisions.map(({ revision }) => revision)).toEqual(Array.from(revisions, (_, i) => revisions.length - i))
}

test('many savers on one document: each answer names its own content, and all of it is there', async () => {
  await expectWhole(await savedByMany(async () => {}))
})

test('the bin is emptied for good: what is in it goes with its revisions, all else stays; without saying so nothing is deleted', async () => {
  const before = (await server.send('GET', '/traces')).body.documents
  const [{ id, revision }] = before
  expect((await server.send('DELETE', '/traces')).status).toBe(400)
  expect((await server.send('DELETE', '/traces?trash=false')).status).toBe(400)
  await expect(server.db.deleteFrom('documentRevisions').where('id', '=', id).execute()).rejects.toThrow(/only ever added/)
  await server.send('DELETE', `/traces/${id}`)
  expect((await server.send('DELETE', '/outfits?trash=true')).body).toEqual({ deleted: 0 })
  expect((await server.send('DELETE', '/traces?trash=true')).body).toEqual({ deleted: 1 })
  expect((await server.send('POST', `/traces/${id}/restore`)).status).toBe(404)
  expect((await server.send('GET', `/traces/${id}/revisions/${revision}`)).status).toBe(404)
  expect((await server.send('GET', '/traces')).body.documents).toHaveLength(before.length - 1)
  expect((await server.send('DELETE', '/traces?trash=true')).body).toEqual({ deleted: 0 })
})

test('with connections cut under them: what was acknowledged is there, the rest is saved again', async () => {
  const cut = async () => {
    const admin = new pg.Client(inject('postgres').adminUrl)
    await admin.connect()
    for (let i = 0; i < 5; i += 1)
      await admin.query(
        'select pg_terminate_backend(pid), pg_sleep(0.05) from pg_stat_activity where datname = $1 and pid <> pg_backend_pid()',
        [new URL(server.databaseUrl).pathname.slice(1)],
      )
    await admin.end()
  }
  await expectWhole(await savedByMany(cut))
})

import { randomUUID } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { sql } from 'kysely'
import pino from 'pino'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { BackupFault } from '../../src/server/backup/backupFault.ts'
import { backupLines } from '../../src/server/backup/backupLines.ts'
import { Checksum } from '../../src/server/backup/format.ts'
import { KeptBackups, outdated } from '../../src/server/backup/keptBackups.ts'
import { restoreBackup } from '../../src/server/backup/restoreBackup.ts'
import { type Database, openDatabase } from '../../src/server/db/database.ts'
import { migrate } from '../../src/server/db/migrate.ts'
import { atDepth } from '../depth.ts'
import { freshDatabase, startTestServer, type TestServer } from './testServer.ts'

const silent = pino({ level: 'silent' })
const TRACE = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
const opened: Database[] = []
let server: TestServer

async function emptyDatabase(): Promise<Database> {
  const db = openDatabase(await freshDatabase('empty'), silent)
  await migrate(db)
  opened.push(db)
  return db
}
async function linesOf(db: Database): Promise<string[]> {
  const lines: string[] = []
  for await (const line of backupLines(db)) lines.push(line)
  return lines
}
async function* each(lines: readonly string[]) {
  yield* lines
}
const restore = (db: Database, lines: readonly string[], lookOnly = false) => restoreBackup(db, () => each(lines), { lookOnly })

/** Lines that were changed, with a checksum that is right for them. */
function resealed(lines: readonly string[]): string[] {
  const rows = lines.slice(0, -1)
  const checksum = new Checksum()
  for (const line of rows) checksum.add(line)
  return [...rows, JSON.stringify({ row: 'checksum', sha256: checksum.end() })]
}

let hookId: string
const bought = (quantity: number) => ({ id: randomUUID(), itemId: hookId, spool: 1, quantity, reason: 'bought' })
const levels = async (db: Database) =>
  (await sql<{ quantity: string }>`select quantity from stock_levels where item_id = ${hookId}`.execute(db)).rows[0]!.quantity

/** Saves a trace of the server under another name, as its next revision. */
async function rename(on: TestServer, name: string): Promise<void> {
  const { revision, content } = (await on.send('GET', `/traces/${TRACE}`)).body
  const renamed = { ...content, trace: { ...content.trace, name } }
  expect((await on.send('PUT', `/traces/${TRACE}`, { baseRevision: revision, content: renamed })).status).toBe(200)
}

beforeAll(async () => {
  server = await startTestServer()
  await rename(server, 'Ñandú 🐟 second')
  const gear = (await server.send('GET', '/gear')).body.documents as { id: string; content: { name: string } }[]
  hookId = gear.find(({ content }) => content.name === 'circle 1')!.id
  await server.send('DELETE', '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204')
  await server.send('POST', '/stock/movements', { movements: [bought(10)] })
})
afterAll(async () => {
  await server.close()
  for (const db of opened) await db.destroy()
})

test('a backup restored into an empty database gives the same bytes again: revisions, bin and observations in them', async () => {
  const lines = await linesOf(server.db)
  const rows = lines.map((line) => JSON.parse(line))
  expect(rows.filter(({ row }) => row === 'revision').length).toBeGreaterThan(rows.filter(({ row }) => row === 'document').length)
  expect(rows.filter(({ row, binnedAt }) => row === 'document' && binnedAt)).toHaveLength(1)
  expect(rows.some(({ row }) => row === 'observation')).toBe(true)
  const db = await emptyDatabase()
  const report = await restore(db, lines)
  expect(report).toMatchObject({ done: true, continued: 0, kept: 0, apart: [] })
  expect(await linesOf(db)).toEqual(lines)
  expect(await restore(db, lines)).toMatchObject({ added: 0, continued: 0, kept: report.added, revisions: 0, observations: 0 })
  expect(await linesOf(db)).toEqual(lines)
})

test('stock comes back as a sum of its movements; what was used twice over is corrected to zero', async () => {
  const db = await emptyDatabase()
  const other = await startTestServer()
  try {
    await restore(db, await linesOf(server.db))
    expect(await levels(db)).toBe('10.000')
    await restore(other.db, await linesOf(server.db))
    // Since the backup all ten were used here, and six of them in the other history.
    await sql`insert into stock_movements (id, crew_id, item_id, spool, quantity, reason, observer)
      select gen_random_uuid(), crew_id, item_id, spool, -10, 'used', 'here' from stock_movements where item_id = ${hookId}`.execute(
      db,
    )
    await other.send('POST', '/stock/movements', { movements: [{ ...bought(-6), reason: 'used' }] })
    expect(await restore(db, await linesOf(other.db))).toMatchObject({ stock: 1 })
    expect(await levels(db)).toBe('0.000')
    // The file of the first version is read as ever.
    const [header, ...rest] = await linesOf(other.db)
    const old = resealed([header!.replace('"version":2', '"version":1'), ...rest])
    expect(await restore(db, old)).toMatchObject({ stock: 0 })
  } finally {
    await other.close()
  }
})

const TRACES = atDepth(500, 5_000)

test('many traces with three revisions each come back byte for byte', async () => {
  const db = await emptyDatabase()
  await restore(db, await linesOf(server.db))
  await sql`insert into documents (crew_id, kind, id, revision)
    select crew_id, kind, gen_random_uuid(), 3 from documents, generate_series(1, ${TRACES}::int) where id = ${TRACE}`.execute(db)
  await sql`analyze documents`.execute(db)
  await sql`insert into document_revisions (crew_id, kind, id, revision, content)
    select head.crew_id, head.kind, head.id, n, one.content
    from documents head, generate_series(1, 3) n, document_revisions one
    where head.revision = 3 and one.id = ${TRACE} and one.revision = 1`.execute(db)
  const lines = await linesOf(db)
  expect(lines.length).toBeGreaterThan(4 * TRACES)
  const again = await emptyDatabase()
  await restore(again, lines)
  expect(await linesOf(again)).toEqual(lines)
})

test('into a filled database: what is further on is kept, what the backup knows further is continued, what went another way is left and named', async () => {
  const [ahead, behind, apart] = [await startTestServer(), await startTestServer(), await startTestServer()]
  const old = await linesOf(ahead.db)
  await rename(ahead, 'further on')
  const newer = await linesOf(ahead.db)
  await rename(apart, 'another way')

  expect(await restore(ahead.db, old)).toMatchObject({ added: 0, continued: 0, revisions: 0, apart: [] })
  expect((await ahead.send('GET', `/traces/${TRACE}`)).body.content.trace.name).toBe('further on')

  expect(await restore(behind.db, newer, true)).toMatchObject({ done: false, continued: 1, revisions: 1 })
  expect((await behind.send('GET', `/traces/${TRACE}`)).body.revision).toBe(1)
  expect(await restore(behind.db, newer)).toMatchObject({ done: true, continued: 1, revisions: 1, apart: [] })
  expect((await behind.send('GET', `/traces/${TRACE}`)).body).toMatchObject({
    revision: 2,
    content: { trace: { name: 'further on' } },
  })

  const report = await restore(apart.db, newer)
  expect([report.continued, report.apart.map(({ id, name }) => [id, name])]).toEqual([0, [[TRACE, 'further on']]])
  expect((await apart.send('GET', `/traces/${TRACE}`)).body.content.trace.name).toBe('another way')
  for (const each of [ahead, behind, apart]) await each.close()
})

describe('a file that is no whole backup changes nothing and says why', () => {
  const changed = (how: (lines: string[]) => string[]) => async () => how(await linesOf(server.db))
  test.each<[string, () => Promise<string[]>, RegExp]>([
    ['empty', async () => [], /cut short/],
    ['something else', async () => ['{"name":"a trace"}'], /not a backup/],
    ['no JSON', async () => ['tides'], /not a backup/],
    [
      'a later version',
      changed((lines) => [lines[0]!.replace('"version":2', '"version":3'), ...lines.slice(1)]),
      /newer version/,
    ],
    ['cut in the middle', changed((lines) => lines.slice(0, 40)), /cut short/],
    ['a letter changed', changed((lines) => lines.map((line) => line.replace('second', 'sekond'))), /checksum does not match/],
    ['a row left out', changed((lines) => lines.filter((_, i) => i !== 30)), /checksum does not match/],
    ['a row twice', changed((lines) => [...lines.slice(0, 30), lines[29]!, ...lines.slice(30)]), /checksum does not match/],
    ['more after its end', changed((lines) => [...lines, lines[3]!]), /after its checksum/],
    [
      'a row left out, with a right checksum',
      changed((lines) => resealed(lines.filter((_, i) => i !== 80))),
      /newest revision is missing|do not match/,
    ],
    [
      'a row without its crew, with a right checksum',
      changed((lines) => resealed(lines.filter((line) => !line.startsWith('{"row":"crew"')))),
      /do not match/,
    ],
    [
      'a field too many',
      changed((lines) => resealed(lines.map((line) => line.replace('{"row":"crew"', '{"row":"crew","owner":1')))),
      /Line 2 cannot be read/,
    ],
    [
      'a key that is none',
      changed((lines) => resealed(lines.map((line) => line.replace('{"row":"crew"', '{"__proto__":{"x":1},"row":"crew"')))),
      /cannot be read/,
    ],
    [
      'a content nested without end',
      changed((lines) =>
        resealed(
          lines.map((line, i) =>
            i === lines.findIndex((each) => each.startsWith('{"row":"revision"'))
              ? line.replace(/"content":\{.*\}\}$/, `"content":${'{"a":'.repeat(5_000)}1${'}'.repeat(5_000)}}`)
              : line,
          ),
        ),
      ),
      /Line \d+ is nested too deeply/,
    ],
  ])('%s', async (_what, made, says) => {
    const db = await emptyDatabase()
    const before = await linesOf(db)
    const fault: unknown = await restore(db, await made()).catch((error: unknown) => error)
    expect(fault).toBeInstanceOf(BackupFault)
    expect((fault as Error).message).toMatch(says)
    expect(await linesOf(db)).toEqual(before)
  })
})

test('over HTTP: the file goes out, is looked at, and comes in; a broken one is refused in words', async () => {
  const url = `http://127.0.0.1:${server.port}/api/backup`
  const out = await fetch(url)
  expect(out.headers.get('Content-Disposition')).toContain('attachment')
  const file = await out.text()
  const send = async (query: string, body: string, type = 'application/x-ndjson') => {
    const answer = await fetch(`${url}?${query}`, { method: 'POST', body, headers: { 'Content-Type': type } })
    return { status: answer.status, body: (await answer.json()) as any }
  }
  const other = await startTestServer()
  expect((await send('do=look', file)).body).toMatchObject({ done: false, added: 0 })
  expect((await send('do=restore', file)).body).toMatchObject({ done: true, added: 0, revisions: 0 })
  expect((await send('do=restore', file.slice(0, 5_000))).body.error.code).toBe('bad-backup')
  expect((await send('do=restore', file.slice(0, 5_000), 'application/json')).status).toBe(400)
  expect((await send('do=restore', file, 'text/plain')).status).toBe(415)
  expect((await send('', file)).status).toBe(400)
  const foreign = file.trimEnd().replaceAll('6d1f9a52-3b0e-4c67-9f52-0a6f4e1c7b10', randomUUID()).split('\n')
  expect((await send('do=restore', resealed(foreign).join('\n'))).body.error.message).toMatch(/another crew/)
  expect((await other.send('GET', '/backup/kept')).body).toEqual({ count: 0 })
  await other.close()
})

describe('the backups that are kept by themselves', () => {
  const folder = mkdtempSync(join(tmpdir(), 'kept-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))

  test('one a day, whole, and not made twice', async () => {
    const kept = new KeptBackups(folder, server.db, silent)
    await kept.makeDue(new Date('2026-11-25T05:00:00Z'))
    const [name = ''] = readdirSync(folder)
    expect(name).toBe('wide-reach-2026-11-25.jsonl')
    const db = await emptyDatabase()
    await restore(db, readFileSync(join(folder, name), 'utf8').split('\n'))
    expect(await linesOf(db)).toEqual(await linesOf(server.db))
    writeFileSync(join(folder, name), 'mine')
    await kept.makeDue(new Date('2026-11-25T23:00:00Z'))
    expect(readFileSync(join(folder, name), 'utf8')).toBe('mine')
    await kept.makeDue(new Date('2026-11-26T01:00:00Z'))
    expect(await kept.state()).toMatchObject({ folder, count: 2, newest: expect.any(String) })
  })

  test('the last seven days stay, of each week before its last; whatever else lies there is not touched', () => {
    const days = Array.from({ length: 40 }, (_, i) => new Date(Date.UTC(2026, 9, 1 + i)).toISOString().slice(0, 10))
    const names = [...days.map((day) => `wide-reach-${day}.jsonl`), 'diary.txt', 'wide-reach-2026-10-01.jsonl.part']
    const gone = new Set(outdated(names))
    // 9 November is a Monday: seven days to the 3rd; then the Sundays, and 2 November, which stands for its week.
    expect(days.filter((day) => !gone.has(`wide-reach-${day}.jsonl`))).toEqual([
      ...['2026-10-04', '2026-10-11', '2026-10-18', '2026-10-25', '2026-11-01', '2026-11-02', '2026-11-03', '2026-11-04'],
      ...['2026-11-05', '2026-11-06', '2026-11-07', '2026-11-08', '2026-11-09'],
    ])
    expect([gone.has('diary.txt'), gone.has('wide-reach-2026-10-01.jsonl.part')]).toEqual([false, false])
  })

  test('however it is pruned, the newest is kept and pruning again takes nothing', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 60 }), (days) => {
        const names = days.map((day) => `wide-reach-${new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10)}.jsonl`)
        const gone = new Set(outdated(names))
        const left = names.filter((name) => !gone.has(name))
        expect(left).toContain(names.toSorted().at(-1))
        expect(left.length).toBeGreaterThanOrEqual(Math.min(7, names.length))
        expect(outdated(left)).toEqual([])
      }),
    )
  })
})

import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type Postgres, startPostgres } from '../../scripts/lib/postgres/postgres.ts'
import { serverOn } from '../../scripts/lib/postgres/processes.ts'
import { Problem } from '../../scripts/lib/problem.ts'
import { startServer } from '../../src/server/main.ts'
import { ROOT } from '../../src/server/root.ts'

const folder = join(ROOT, '.data', `postgres-test-${process.pid}`)
/** Where the data really are: not where they were wanted, where user postgres cannot walk to that. */
let real: string
let whole: string

beforeAll(async () => {
  const postgres = await startPostgres(folder, { durable: false })
  real = postgres.folder
  const server = await startServer({ ...urlsOf(postgres), host: '127.0.0.1', port: 0, logLevel: 'silent' })
  await server.close()
  await postgres.stop()
  whole = `${real}-whole`
  copy(real, whole)
})
afterAll(() => {
  for (const each of [real, whole]) rmSync(each, { recursive: true, force: true })
})

const urlsOf = ({ appUrl, migrationsUrl }: Postgres) => ({ databaseUrl: appUrl, migrationsUrl })
const owned = (path: string) => {
  if (process.getuid?.() === 0) execFileSync('chown', ['-R', 'postgres:', path])
}
/** Keeps owners and times. Node's own functions take several times as long for these thousand files. */
const copy = (from: string, to: string) => execFileSync('cp', ['-a', from, to])
/** The folder as it was left whole, then hurt. */
function hurt(how: (folder: string) => void): void {
  rmSync(real, { recursive: true, force: true })
  copy(whole, real)
  how(real)
  owned(real)
}
const filesOf = (path: string): string[] =>
  readdirSync(path, { recursive: true, encoding: 'utf8' })
    .filter(
      (name) => !/^(users|postgres\.log)/.test(name) && !/(postmaster\.(pid|opts)|pg_internal\.init|pgstat\.stat)$/.test(name),
    )
    .filter((name) => statSync(join(path, name)).isFile())
    .map((name) => `${name} ${statSync(join(path, name)).size}`)
    .sort()

async function crewsIn(url: string): Promise<number> {
  const client = new pg.Client(url)
  await client.connect()
  const { rows } = await client.query('select count(*)::int as n from crews')
  await client.end()
  return rows[0].n
}

test('it asks for its password, listens on loopback alone, and is stopped by whoever leaves last', async () => {
  hurt(() => {})
  const postgres = await startPostgres(folder, { durable: false })
  const stranger = new pg.Client(postgres.appUrl.replace(/:[0-9a-f]{64}@/, ':guess@'))
  await expect(stranger.connect()).rejects.toThrow(/password/)
  const admin = new pg.Client(postgres.adminUrl)
  await admin.connect()
  expect((await admin.query('show listen_addresses')).rows[0]).toEqual({ listen_addresses: '127.0.0.1' })
  await admin.end()
  const guest = await startPostgres(folder, { durable: false })
  expect([guest.appUrl, guest.sharedWith]).toEqual([postgres.appUrl, [process.pid]])
  await postgres.stop()
  expect(await crewsIn(guest.appUrl)).toBe(1)
  await guest.stop()
  expect(serverOn(join(real, 'data'))).toBeUndefined()
})

test('the application is no superuser, owns nothing, and can neither change nor take away what was acknowledged', async () => {
  hurt(() => {})
  const postgres = await startPostgres(folder, { durable: false })
  const app = new pg.Client(postgres.appUrl)
  await app.connect()
  const { rows } = await app.query('select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = current_user')
  expect(rows).toEqual([{ rolsuper: false, rolcreatedb: false, rolcreaterole: false }])
  expect((await app.query('select tablename from pg_tables where tableowner = current_user')).rows).toEqual([])
  for (const forbidden of [
    'create table mine (id int)',
    'drop table documents',
    "update document_revisions set content = '{}'",
    'update observations set observer = null',
    'delete from observations',
    'truncate document_revisions',
  ])
    await expect(app.query(forbidden), forbidden).rejects.toThrow(/permission denied|must be owner/)
  await app.end()
  await postgres.stop()
})

describe('whatever is found, nothing is erased', () => {
  const data = (at: string) => join(at, 'data')
  test.each<[string, (at: string) => void, RegExp]>([
    ['no version file', (at) => rmSync(join(data(at), 'PG_VERSION')), /PG_VERSION is missing/],
    [
      'another major version',
      (at) => writeFileSync(join(data(at), 'PG_VERSION'), '9\n'),
      /made by PostgreSQL 9, .* install postgresql-9/,
    ],
    ['no password', (at) => rmSync(join(at, 'password')), /password, the file .* is missing or damaged/],
    ['half a password', (at) => truncateSync(join(at, 'password'), 20), /missing or damaged/],
    ['another password', (at) => writeFileSync(join(at, 'password'), '0'.repeat(48)), /password authentication failed/],
    ['no control file', (at) => rmSync(join(data(at), 'global', 'pg_control')), /did not start \(.*\)/],
    ['half a control file', (at) => truncateSync(join(data(at), 'global', 'pg_control'), 100), /did not start \(.*\)/],
    ['no transaction log', (at) => rmSync(join(data(at), 'pg_wal'), { recursive: true }), /did not start \(.*\)/],
    [
      'something else altogether',
      (at) => {
        rmSync(data(at), { recursive: true })
        mkdirSync(data(at))
        writeFileSync(join(data(at), 'diary.txt'), 'tides')
      },
      /PG_VERSION is missing/,
    ],
  ])('%s: one sentence that says what, where and the way back, nothing left running', async (_what, how, says) => {
    hurt(how)
    const before = filesOf(real)
    const problem: unknown = await startPostgres(folder, { durable: false }).catch((error: unknown) => error)
    expect(problem).toBeInstanceOf(Problem)
    expect((problem as Problem).message).toMatch(says)
    expect((problem as Problem).message).toMatch(/Nothing was changed\..*npm run restore/)
    expect((problem as Problem).message).toContain(real)
    expect(filesOf(real)).toEqual(before)
    expect(serverOn(data(real))).toBeUndefined()
  })

  test.each<[string, (at: string) => void]>([
    ['a pid file of a run that is gone', (at) => writeFileSync(join(data(at), 'postmaster.pid'), `999999\n${data(at)}\n`)],
    [
      'a pid file whose number another program has now',
      (at) => writeFileSync(join(data(at), 'postmaster.pid'), `${process.pid}\n${data(at)}\n`),
    ],
    ['an empty pid file', (at) => writeFileSync(join(data(at), 'postmaster.pid'), '')],
    ['what a start cut short left behind', (at) => mkdirSync(join(at, 'making-1'))],
    ['a run that is gone among the users', (at) => writeFileSync(join(at, 'users', '999999-0'), '1')],
  ])('%s: it starts, with all it had', async (_what, how) => {
    hurt(how)
    const postgres = await startPostgres(folder, { durable: false })
    expect(await crewsIn(postgres.appUrl)).toBe(1)
    await postgres.stop()
    expect(serverOn(data(real))).toBeUndefined()
  })

  test('a damaged table is told with the database’s own code, before anything is served', async () => {
    hurt(() => {})
    const postgres = await startPostgres(folder, { durable: false })
    const admin = new pg.Client(postgres.adminUrl)
    await admin.connect()
    const file = (await admin.query("select pg_relation_filepath('crews') as path")).rows[0].path
    await admin.end()
    await postgres.stop()
    writeFileSync(join(data(real), file), Buffer.alloc(8192, 7))
    owned(real)
    const again = await startPostgres(folder, { durable: false })
    const failed = startServer({ ...urlsOf(again), host: '127.0.0.1', port: 0, logLevel: 'silent' })
    await expect(failed).rejects.toMatchObject({ code: expect.stringMatching(/^XX/) })
    await again.stop()
    expect(readFileSync(join(data(real), file))).toHaveLength(8192)
  })

  test.each([
    ['where nothing is', () => {}],
    ['where an empty folder is', () => mkdirSync(data(real), { recursive: true })],
  ])('%s, a database is made under another name and moved into place whole', async (_where, prepare) => {
    rmSync(real, { recursive: true, force: true })
    prepare()
    const postgres = await startPostgres(folder, { durable: false })
    await postgres.stop()
    expect(readdirSync(real).filter((name) => name.startsWith('making'))).toEqual([])
    expect(existsSync(join(data(real), 'PG_VERSION'))).toBe(true)
  })
})

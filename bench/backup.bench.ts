// npm run bench:backup: how long it takes to look at a backup of 50, 500 and 5,000 traces and to restore it into an empty database, and
// to evaluate a trace with 36, 2,000 and 20,000 own pulls; over HTTP, as the application does.
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { freePort } from '../scripts/lib/freePort.ts'
import { removePostgres, startPostgres } from '../scripts/lib/postgres/postgres.ts'
import { runMain } from '../scripts/lib/problem.ts'
import { startServer } from '../src/server/main.ts'
import { ROOT } from '../src/server/root.ts'
import { FAMILY_FIXTURES } from '../tests/fixtures/families.ts'
import { addTraces } from '../tests/fixtures/manyTraces.ts'
import { braidOutfit } from '../tests/fixtures/outfits.ts'

const TYPE = 'application/x-ndjson'
const AT_ONCE = 500

async function timed<T>(work: () => Promise<T>): Promise<{ ms: number; result: T }> {
  const beganMs = performance.now()
  const result = await work()
  return { ms: Math.round(performance.now() - beganMs), result }
}

/** The application in this process on a database of its own. */
async function withApp<T>(use: (app: { url: string; adminUrl: string }) => Promise<T>): Promise<T> {
  const postgres = await startPostgres(join(ROOT, '.data', `bench-postgres-${process.pid}`), { durable: false })
  const server = await startServer({
    databaseUrl: postgres.appUrl,
    migrationsUrl: postgres.migrationsUrl,
    host: '127.0.0.1',
    port: await freePort(),
    logLevel: 'silent',
  })
  try {
    return await use({ url: server.url, adminUrl: postgres.adminUrl })
  } finally {
    await server.close()
    await removePostgres(postgres)
  }
}

/** Times health while something runs: the longest answer, ms. */
async function worstHealth(url: string, work: Promise<unknown>): Promise<number> {
  let worst = 0
  let running = true
  void work.finally(() => {
    running = false
  })
  while (running) {
    worst = Math.max(worst, (await timed(() => fetch(`${url}/api/health`))).ms)
    await new Promise((done) => setTimeout(done, 20))
  }
  return worst
}

async function restoring(traces: number) {
  const backup = await withApp(async ({ url, adminUrl }) => {
    await addTraces(adminUrl, traces)
    return timed(async () => (await fetch(`${url}/api/backup`)).text())
  })
  return withApp(async ({ url }) => {
    const send = async (what: string) => {
      const answer = await fetch(`${url}/api/backup?do=${what}`, {
        method: 'POST',
        body: backup.result,
        headers: { 'Content-Type': TYPE },
      })
      if (!answer.ok) throw new Error(await answer.text())
    }
    // The server's own threads start first: they would be timed with it.
    await fetch(`${url}/api/calculations/gear.barMass`, {
      method: 'POST',
      body: '{}',
      headers: { 'Content-Type': 'application/json' },
    })
    const look = timed(() => send('look'))
    const health = await worstHealth(url, look)
    return {
      'file, MB': Number((backup.result.length / 1e6).toFixed(1)),
      'backup, ms': backup.ms,
      'look, ms': (await look).ms,
      'restore, ms': (await timed(() => send('restore'))).ms,
      'worst health meanwhile, ms': health,
    }
  })
}

const evaluating = (pulls: number) =>
  withApp(async ({ url }) => {
    const post = async (path: string, body: unknown) => {
      const answer = await fetch(`${url}/api${path}`, {
        method: 'POST',
        body: JSON.stringify(body),
        headers: { 'Content-Type': 'application/json' },
      })
      if (!answer.ok) throw new Error(await answer.text())
    }
    const request = { trace: FAMILY_FIXTURES[0]!.trace, outfit: braidOutfit(50) }
    for (let at = 0; at < pulls; at += AT_ONCE) {
      const observations = Array.from({ length: Math.min(AT_ONCE, pulls - at) }, (_, i) => ({
        formatVersion: 1,
        kind: 'pull',
        id: randomUUID(),
        at: new Date(Date.UTC(2026, 10, 1) + 1_000 * (at + i)).toISOString(),
        connection: ['uni', 'fg', 'palomar'][i % 3],
        material: 'mono',
        lineN: 130,
        wet: false,
        loadN: 100 + (i % 17),
        parted: 'knot',
      }))
      await post('/observations/many', { observations })
    }
    const first = timed(() => post('/evaluate', request))
    const health = await worstHealth(url, first)
    const later: number[] = []
    for (let i = 0; i < 20; i += 1) later.push((await timed(() => post('/evaluate', request))).ms)
    return {
      'first evaluation, ms': (await first).ms,
      'worst health meanwhile, ms': health,
      'later, median, ms': later.toSorted((a, b) => a - b)[10],
    }
  })

await runMain(async () => {
  const restored: Record<string, object> = {}
  for (const traces of [50, 500, 5_000]) restored[`${traces} traces`] = await restoring(traces)
  console.table(restored)
  const evaluated: Record<string, object> = {}
  for (const pulls of [36, 2_000, 20_000]) evaluated[`${pulls} pulls`] = await evaluating(pulls)
  console.table(evaluated)
})

// npm run bench:server: lists of 5,000 traces and one trace, asked of the application and, for one trace, of the barest server on the
// same database, in turn, each server a process of its own.
import { once } from 'node:events'
import { join } from 'node:path'
import autocannon from 'autocannon'
import { freePort } from '../scripts/lib/freePort.ts'
import { removePostgres, startPostgres } from '../scripts/lib/postgres/postgres.ts'
import { runMain } from '../scripts/lib/problem.ts'
import { startProcess } from '../scripts/lib/serverProcess.ts'
import { DEMO_CREW } from '../src/server/http/crew.ts'
import { ROOT } from '../src/server/root.ts'
import { addTraces } from '../tests/fixtures/manyTraces.ts'

const TRACE = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
const ROUNDS = 5
const SECONDS = 6

type Load = { requestsPerS: number; medianMs: number; p99Ms: number }

async function load(url: string, connections: number): Promise<Load> {
  const { requests, latency, non2xx, errors } = await autocannon({ url, connections, duration: SECONDS })
  if (non2xx + errors > 0) throw new Error(`${url}: ${non2xx} refused, ${errors} failed`)
  return { requestsPerS: requests.average, medianMs: latency.p50, p99Ms: latency.p99 }
}

async function startServer(script: string, env: Record<string, string>, path: string) {
  const port = await freePort()
  const child = await startProcess(script, { ...env, PORT: String(port), NODE_ENV: 'production' })
  return {
    origin: `http://127.0.0.1:${port}`,
    url: `http://127.0.0.1:${port}${path}`,
    stop: async () => {
      child.kill()
      await once(child, 'exit')
    },
  }
}

const median = (values: number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!

await runMain(async () => {
  const postgres = await startPostgres(join(ROOT, '.data', `bench-postgres-${process.pid}`), { durable: false })
  try {
    const database = { DATABASE_URL: postgres.appUrl, MIGRATIONS_URL: postgres.migrationsUrl }
    const ours = await startServer('scripts/lib/server.ts', database, `/api/traces/${TRACE}`)
    await addTraces(postgres.adminUrl, 5_000)
    const bare = await startServer('bench/bareServer.ts', database, `/${DEMO_CREW.id}/${TRACE}`)
    const ratios: { requests: number; p99: number }[] = []
    for (let round = 0; round < ROUNDS; round += 1) {
      const [one, other] = round % 2 === 0 ? [ours, bare] : [bare, ours]
      const first = await load(one.url, 10)
      const second = await load(other.url, 10)
      const [app, least] = one === ours ? [first, second] : [second, first]
      ratios.push({ requests: app.requestsPerS / least.requestsPerS, p99: app.p99Ms / least.p99Ms })
      console.table({ 'one trace': app, 'barest server': least })
    }
    console.log(
      `one trace, against the barest server: ${median(ratios.map(({ requests }) => requests)).toFixed(2)} × the requests, ` +
        `${median(ratios.map(({ p99 }) => p99)).toFixed(2)} × the p99 (medians of ${ROUNDS} rounds)`,
    )
    console.table({
      'first page of heads, alone': await load(`${ours.origin}/api/traces?heads=true`, 1),
      'first page of heads, 50 connections': await load(`${ours.origin}/api/traces?heads=true`, 50),
      'one trace, 50 connections': await load(ours.url, 50),
      'first page of contents, alone': await load(`${ours.origin}/api/traces`, 1),
    })
    await ours.stop()
    await bare.stop()
  } finally {
    await removePostgres(postgres)
  }
})

import { CamelCasePlugin, Kysely, PostgresDialect } from 'kysely'
import pg from 'pg'
import type { Logger } from 'pino'
import { preparedPool } from './preparedPool.ts'
import type { Tables } from './tables.ts'

export type Database = Kysely<Tables>

/** How long a request waits for a connection, and a statement for its answer, before the database counts as away. */
const CONNECT_MS = 3_000
const STATEMENT_MS = 8_000

/** A pool that outlives its connections: one that breaks is dropped and the next request opens another. */
export function openDatabase(
  url: string,
  log: Logger,
  { connections = 10, statementMs = STATEMENT_MS }: { connections?: number; statementMs?: number } = {},
): Database {
  const pool = new pg.Pool({
    connectionString: url,
    max: connections,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: statementMs,
    query_timeout: statementMs + 1_000,
    // Compiling a plan takes longer than any of these statements runs.
    options: '-c jit=off',
  })
  // Without a listener, a connection lost while it runs no statement would end the process: idle ones report to the pool,
  // ones lent out to themselves.
  const lost = (error: Error) => log.warn({ err: error }, 'a database connection was lost')
  pool.on('error', lost)
  pool.on('connect', (client) => client.on('error', lost))
  return new Kysely<Tables>({
    dialect: new PostgresDialect({ pool: preparedPool(pool) }),
    plugins: [new CamelCasePlugin({ maintainNestedObjectKeys: true })],
  })
}

/** SQLSTATE disk_full. */
export const isDiskFull = (error: unknown): boolean => error instanceof Error && (error as { code?: string }).code === '53100'

/** Whether an error means that the database cannot be reached now, rather than that a statement was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false
  const code = (error as { code?: string }).code ?? ''
  // SQLSTATE 08: connection; 53: resources; 57: operator (shutdown, starting up, statement timeout).
  return (
    /^(08|53|57)/.test(code) ||
    /^E(CONN|PIPE|NOTFOUND|TIMEDOUT)/.test(code) ||
    /timeout|Connection terminated|not queryable/i.test(error.message)
  )
}

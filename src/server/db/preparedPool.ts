import type { PostgresPool, PostgresPoolClient } from 'kysely'
import type pg from 'pg'

/** Statements kept by name; what comes after so many is parsed each time. */
const MAX_NAMED = 300

/**
 * A pool whose statements are prepared: each connection has the database parse and plan one but once, which for a short read is the
 * greater part of the work. A statement is known by its text; values are never part of that.
 */
export function preparedPool(pool: pg.Pool): PostgresPool {
  const names = new Map<string, string>()
  const nameOf = (text: string): string | undefined => {
    const known = names.get(text)
    if (known !== undefined || names.size >= MAX_NAMED) return known
    const name = `statement_${names.size}`
    names.set(text, name)
    return name
  }
  const prepared = (client: pg.PoolClient) => ({
    query: (text: string, values: readonly unknown[]) => {
      const name = values.length > 0 ? nameOf(text) : undefined
      return client.query({ text, values: [...values], ...(name === undefined ? {} : { name }) })
    },
    release: () => client.release(),
  })
  return {
    // Cursors, which the type has as well, are not used.
    connect: async () => prepared(await pool.connect()) as unknown as PostgresPoolClient,
    end: () => pool.end(),
  }
}

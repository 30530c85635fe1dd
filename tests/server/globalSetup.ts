import { join } from 'node:path'
import pg from 'pg'
import type { TestProject } from 'vitest/node'
import { removePostgres, startPostgres } from '../../scripts/lib/postgres/postgres.ts'
import { openDatabase } from '../../src/server/db/database.ts'
import { migrate } from '../../src/server/db/migrate.ts'
import { loadDemo } from '../../src/server/demo/loadDemo.ts'
import { openLog } from '../../src/server/openLog.ts'
import { ROOT } from '../../src/server/root.ts'

declare module 'vitest' {
  interface ProvidedContext {
    postgresUrl: string
  }
}

/** A PostgreSQL of the tests' own, gone afterwards: own port, own data folder, and a database with the demonstration data to copy. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = join(ROOT, '.data', `test-postgres-${process.pid}`)
  const postgres = await startPostgres(folder, { durable: true })
  const admin = new pg.Client(postgres.adminUrl)
  await admin.connect()
  await admin.query('create database demo')
  await admin.end()
  const demo = openDatabase(postgres.adminUrl.replace(/\/postgres$/, '/demo'), openLog('silent'))
  await migrate(demo)
  await loadDemo(demo)
  await demo.destroy()
  project.provide('postgresUrl', postgres.adminUrl)
  return () => removePostgres(postgres)
}

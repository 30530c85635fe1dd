import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { removePostgres, startPostgres } from '../../scripts/lib/postgres/postgres.ts'
import { ROOT } from '../../scripts/lib/project.ts'

declare module 'vitest' {
  interface ProvidedContext {
    postgresUrl: string
  }
}

/** A PostgreSQL of the tests' own: own port, own data folder, gone afterwards. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = join(ROOT, '.data', `test-postgres-${process.pid}`)
  const postgres = await startPostgres(folder, { durable: true })
  project.provide('postgresUrl', postgres.adminUrl)
  return () => removePostgres(postgres)
}

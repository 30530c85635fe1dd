import type { TestProject } from 'vitest/node'
import { removePostgres } from '../../scripts/lib/postgres/postgres.ts'
import { type DatabaseUrls, startTemporaryPostgres } from '../../scripts/lib/temporaryDatabases.ts'

declare module 'vitest' {
  interface ProvidedContext {
    postgres: DatabaseUrls
  }
}

/** A PostgreSQL of the tests' own, gone afterwards: own port, own data folder. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const postgres = await startTemporaryPostgres()
  const { adminUrl, migrationsUrl, appUrl } = postgres
  project.provide('postgres', { adminUrl, migrationsUrl, appUrl })
  return () => removePostgres(postgres)
}

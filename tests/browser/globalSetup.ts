import { ensureBrowser } from '../../scripts/lib/browser.ts'
import { removePostgres } from '../../scripts/lib/postgres/postgres.ts'
import { buildClient } from '../../scripts/lib/project.ts'
import { startTemporaryPostgres } from '../../scripts/lib/temporaryDatabases.ts'
import { handOver } from './application.ts'

/** What every worker uses: the browser, the built client, and one PostgreSQL. */
export default async function setup(): Promise<() => Promise<void>> {
  ensureBrowser()
  await buildClient()
  const postgres = await startTemporaryPostgres()
  handOver(postgres)
  return () => removePostgres(postgres)
}

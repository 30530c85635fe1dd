import { type BuiltApp, type Start, startAppOn } from '../../scripts/lib/builtApp.ts'
import { type DatabaseUrls, temporaryDatabase } from '../../scripts/lib/temporaryDatabases.ts'

/** The environment variable that hands the server’s addresses to the workers, which are processes. */
const PLACE = 'WIDE_REACH_TEST_POSTGRES'

export function handOver({ adminUrl, migrationsUrl, appUrl }: DatabaseUrls): void {
  process.env[PLACE] = JSON.stringify({ adminUrl, migrationsUrl, appUrl } satisfies DatabaseUrls)
}

const postgres = (): DatabaseUrls => JSON.parse(process.env[PLACE]!)

/** A built application of a test's own: what it does there, other tests do not see. */
export const startApp = (start?: Start): Promise<BuiltApp> => startAppOn(postgres(), start)

/** A database with the demonstration data, without a server. */
export const demoDatabase = (): Promise<DatabaseUrls> => temporaryDatabase(postgres(), 'demo')

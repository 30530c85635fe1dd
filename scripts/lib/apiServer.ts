// The server alone, without the built client: what `npm run dev` restarts.
import { startServer } from '../../src/server/main.ts'
import { Lifetime } from './lifetime.ts'

const lifetime = new Lifetime()
const { DATABASE_URL: databaseUrl = '', MIGRATIONS_URL: migrationsUrl, PORT: port, LOG_LEVEL: logLevel } = process.env
const server = await startServer({
  databaseUrl,
  ...(migrationsUrl ? { migrationsUrl } : {}),
  host: '127.0.0.1',
  port: Number(port ?? 4173),
  logLevel: logLevel ?? 'info',
})
await lifetime.told
await server.close()
process.exit(0)

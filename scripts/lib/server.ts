// The server as a separate process, for `npm run dev`, tests and benches.
import { startServer } from '../../src/server/main.ts'
import { Lifetime } from './lifetime.ts'

const lifetime = new Lifetime()
const {
  DATABASE_URL: databaseUrl = '',
  MIGRATIONS_URL: migrationsUrl,
  CLIENT_FOLDER: clientFolder,
  PORT: port,
  LOG_LEVEL: logLevel,
} = process.env
const server = await startServer({
  databaseUrl,
  ...(migrationsUrl ? { migrationsUrl } : {}),
  ...(clientFolder ? { clientFolder } : {}),
  host: '127.0.0.1',
  port: Number(port ?? 4173),
  logLevel: logLevel ?? 'info',
})
process.send?.('listening')
await lifetime.told
await server.close()
process.exit(0)

// The server alone, without the built client: what `npm run dev` restarts.
import { startServer } from '../../src/server/main.ts'

const server = await startServer({
  databaseUrl: process.env.DATABASE_URL ?? '',
  host: '127.0.0.1',
  port: Number(process.env.PORT ?? 4173),
  logLevel: process.env.LOG_LEVEL ?? 'info',
})
const close = async () => {
  await server.close()
  process.exit(0)
}
process.on('SIGINT', close)
process.on('SIGTERM', close)

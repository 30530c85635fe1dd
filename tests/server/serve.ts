// The server as a process of its own, to be killed by a test.
import { join } from 'node:path'
import { startServer } from '../../src/server/main.ts'
import { ROOT } from '../../src/server/root.ts'

await startServer({
  databaseUrl: process.env.DATABASE_URL!,
  host: '127.0.0.1',
  port: Number(process.env.PORT),
  clientFolder: join(ROOT, 'dist', 'client'),
  logLevel: 'silent',
})
console.log('listening')

import { setTimeout } from 'node:timers/promises'
import Router from '@koa/router'
import { sql } from 'kysely'
import type { Database } from '../db/database.ts'

/** Whoever watches waits no longer than this for the database. */
const PATIENCE_MS = 70

/** Whether the server and its database are there; answers soon whatever else goes on. */
export function healthRoutes(db: Database): Router {
  const router = new Router({ prefix: '/api' })
  router.get('/health', async (ctx) => {
    const asked = sql`select 1`.execute(db).then(
      () => 'up',
      () => 'down',
    )
    const database = await Promise.race([asked, setTimeout(PATIENCE_MS, 'slow', { ref: false })])
    ctx.status = database === 'down' ? 503 : 200
    ctx.body = { server: 'up', database }
  })
  return router
}

import { setImmediate, setTimeout } from 'node:timers/promises'
import Router from '@koa/router'
import { sql } from 'kysely'
import type { Database } from '../db/database.ts'

/** Whoever watches waits no longer than this for the database. */
const PATIENCE_MS = 150

/** Whether the server can serve: its database answers through the connections that every route uses. Told soon whatever else goes on. */
export function healthRoutes(db: Database): Router {
  const router = new Router({ prefix: '/api' })
  router.get('/health', async (ctx) => {
    const asked = sql`select 1`.execute(db).then(
      () => 'up',
      () => 'down',
    )
    // An answer that came while this thread was busy is waiting to be read: it still counts.
    const late = setTimeout(PATIENCE_MS, undefined, { ref: false }).then(() => setImmediate('slow'))
    const database = await Promise.race([asked, late])
    ctx.status = database === 'up' ? 200 : 503
    ctx.body = { server: 'up', database }
  })
  return router
}

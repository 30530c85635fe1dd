import { setImmediate, setTimeout } from 'node:timers/promises'
import Router from '@koa/router'
import { sql } from 'kysely'
import type { Database } from '../db/database.ts'

/** Whoever watches waits no longer than this for the database. */
const PATIENCE_MS = 150

/** Whether the server is ready: the database answers through the connections that every route uses. Answers soon under any load. */
export function healthRoutes(db: Database): Router {
  const router = new Router({ prefix: '/api' })
  router.get('/health', async (ctx) => {
    const asked = sql`select 1`.execute(db).then(
      () => 'up',
      () => 'down',
    )
    // If this thread was busy, the answer may have arrived but not been read yet: give it one more turn.
    const late = setTimeout(PATIENCE_MS, undefined, { ref: false }).then(() => setImmediate('slow'))
    const database = await Promise.race([asked, late])
    ctx.status = database === 'up' ? 200 : 503
    ctx.body = { server: 'up', database }
  })
  return router
}

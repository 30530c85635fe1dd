import Router from '@koa/router'
import { sql } from 'kysely'
import type { Database } from '../db/database.ts'

export function healthRoutes(db: Database): Router {
  const router = new Router({ prefix: '/api' })
  router.get('/health', async (ctx) => {
    const database = await sql`select 1`.execute(db).then(
      () => 'up',
      () => 'down',
    )
    ctx.status = database === 'up' ? 200 : 503
    ctx.body = { server: 'up', database }
  })
  return router
}

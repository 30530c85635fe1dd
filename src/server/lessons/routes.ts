import Router from '@koa/router'
import { crewOf } from '../http/crew.ts'
import type { TripSums } from './sums.ts'

/** What a crew’s trips counted, added up. */
export function lessonRoutes(sums: TripSums): Router {
  const router = new Router({ prefix: '/api/lessons' })

  router.get('/sums', async (ctx) => {
    ctx.body = await sums.of(crewOf(ctx))
  })

  return router
}

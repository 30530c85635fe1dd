import Router from '@koa/router'
import { sumsQuery } from '../../shared/lessons.ts'
import { crewOf } from '../http/crew.ts'
import { parseQuery } from '../http/parse.ts'
import type { TripSums } from './sums.ts'

/** What a crew’s trips counted, added up. */
export function lessonRoutes(sums: TripSums): Router {
  const router = new Router({ prefix: '/api/lessons' })

  router.get('/sums', async (ctx) => {
    const { without } = parseQuery(ctx, sumsQuery)
    ctx.body = await sums.of(crewOf(ctx), without)
  })

  return router
}

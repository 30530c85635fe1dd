import Router from '@koa/router'
import { spanQuery } from '../../shared/tides.ts'
import { notFound } from '../http/httpError.ts'
import { parseQuery } from '../http/parse.ts'
import type { TideService } from './tideService.ts'

/** Ports, and the tide of one over a stretch of time. */
export function tideRoutes(tides: TideService): Router {
  const router = new Router({ prefix: '/api/ports' })

  router.get('/', async (ctx) => {
    ctx.body = await tides.ports()
  })

  router.get('/:id/tide', async (ctx) => {
    const { from, to } = parseQuery(ctx, spanQuery)
    const tide = await tides.tide(ctx.params.id ?? '', Date.parse(from), Date.parse(to))
    if (!tide) throw notFound('port')
    ctx.body = tide
  })

  return router
}

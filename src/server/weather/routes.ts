import Router from '@koa/router'
import { z } from 'zod'
import { assertInYears } from '../../core/time/years.ts'
import { spanQuery } from '../../shared/tides.ts'
import { parseQuery } from '../http/parse.ts'
import type { WeatherSource } from './weatherSource.ts'

const placeQuery = z.object({
  lat: z.coerce.number().min(-90).max(90),
  lon: z.coerce.number().min(-180).max(180),
})

/** The wind at a place over a stretch of time. */
export function weatherRoutes(weather: WeatherSource): Router {
  const router = new Router({ prefix: '/api/wind' })

  router.get('/', async (ctx) => {
    const { from, to } = parseQuery(ctx, spanQuery)
    const { lat, lon } = parseQuery(ctx, placeQuery)
    const [fromMs, toMs] = [Date.parse(from), Date.parse(to)]
    assertInYears(fromMs)
    assertInYears(toMs)
    ctx.body = await weather.wind({ latitudeDeg: lat, longitudeDeg: lon }, fromMs, toMs)
  })

  return router
}

import Router from '@koa/router'
import { observationSchema } from '../../core/documents/observation.ts'
import { manyObservations, observationsQuery } from '../../shared/observations.ts'
import { crewOf, observerOf } from '../http/crew.ts'
import { parseBody, parseQuery } from '../http/parse.ts'
import type { ObservationRepository } from './repository.ts'

/** What happened on the water: added one by one, and read back. Nothing is changed or deleted. */
export function observationRoutes(repository: ObservationRepository): Router {
  const router = new Router({ prefix: '/api/observations' })

  router.get('/', async (ctx) => {
    const { mark, trip, kind } = parseQuery(ctx, observationsQuery)
    ctx.body = await repository.list(crewOf(ctx), { markId: mark, tripId: trip, kind })
  })

  router.post('/', async (ctx) => {
    const observation = parseBody(ctx, observationSchema)
    await repository.add(crewOf(ctx), observerOf(ctx), [observation])
    ctx.status = 201
    ctx.body = { ...observation, observer: observerOf(ctx) }
  })

  router.post('/many', async (ctx) => {
    const { observations } = parseBody(ctx, manyObservations)
    await repository.add(crewOf(ctx), observerOf(ctx), observations)
    ctx.status = 201
    ctx.body = { told: observations.length }
  })

  return router
}

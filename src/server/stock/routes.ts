import Router from '@koa/router'
import { z } from 'zod'
import { countBody, moveBody, undoBody } from '../../shared/stock.ts'
import { crewOf, observerOf } from '../http/crew.ts'
import { parseBody, parseParam } from '../http/parse.ts'
import type { StockRepository } from './repository.ts'

/** What is in the box: levels, movements, counts, and the history of an item. */
export function stockRoutes(repository: StockRepository): Router {
  const router = new Router({ prefix: '/api/stock' })

  router.get('/', async (ctx) => {
    ctx.body = { levels: await repository.levels(crewOf(ctx)) }
  })

  router.get('/items/:id', async (ctx) => {
    const itemId = parseParam(ctx.params.id, z.uuid(), 'piece of gear')
    ctx.body = { movements: await repository.history(crewOf(ctx), itemId) }
  })

  router.post('/movements', async (ctx) => {
    const { movements } = parseBody(ctx, moveBody)
    await repository.move(crewOf(ctx), observerOf(ctx), movements)
    ctx.body = { levels: await repository.levels(crewOf(ctx)) }
  })

  router.post('/counts', async (ctx) => {
    const { counts } = parseBody(ctx, countBody)
    await repository.count(crewOf(ctx), observerOf(ctx), counts)
    ctx.body = { levels: await repository.levels(crewOf(ctx)) }
  })

  router.post('/undo', async (ctx) => {
    const { id, undoes } = parseBody(ctx, undoBody)
    await repository.undo(crewOf(ctx), observerOf(ctx), id, undoes)
    ctx.body = { levels: await repository.levels(crewOf(ctx)) }
  })

  return router
}

import Router, { type RouterContext } from '@koa/router'
import { z } from 'zod'
import { finishBody, tickBody, undoFinishBody } from '../../shared/batches.ts'
import { readContent } from '../../shared/documentKinds.ts'
import { crewOf, observerOf } from '../http/crew.ts'
import { HttpError } from '../http/httpError.ts'
import { parseBody, parseParam } from '../http/parse.ts'
import type { BatchRepository } from './repository.ts'

/** Work on a batch: what is done of it, ticks, and traces that are finished. The batch itself is a document. */
export function batchRoutes(repository: BatchRepository): Router {
  const router = new Router({ prefix: '/api/batches/:id' })
  const keyOf = (ctx: RouterContext) => ({
    crewId: crewOf(ctx),
    batchId: parseParam(ctx.params.id, z.uuid(), 'batch'),
    observer: observerOf(ctx),
  })
  const progress = async (ctx: RouterContext) => {
    ctx.body = await repository.progress(keyOf(ctx))
  }

  router.get('/progress', progress)

  router.post('/ticks', async (ctx) => {
    await repository.tick(keyOf(ctx), parseBody(ctx, tickBody).ticks)
    await progress(ctx)
  })

  router.post('/finish', async (ctx) => {
    const { id, movements, tied } = parseBody(ctx, finishBody)
    const contents = tied.map((each) => {
      const read = readContent('tied', each.content)
      if (!read.ok) throw new HttpError(400, 'invalid', read.message)
      return { id: each.id, content: read.content }
    })
    await repository.finish(keyOf(ctx), { id, movements, tied: contents })
    await progress(ctx)
  })

  router.post('/undo', async (ctx) => {
    const { id, undoes } = parseBody(ctx, undoFinishBody)
    await repository.undoFinish(keyOf(ctx), id, undoes)
    await progress(ctx)
  })

  return router
}

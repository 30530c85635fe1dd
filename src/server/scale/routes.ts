import { Readable } from 'node:stream'
import { setTimeout as wait } from 'node:timers/promises'
import Router from '@koa/router'
import { pullQuery, type Sample } from '../../shared/scale.ts'
import { limitStreams } from '../http/limitStreams.ts'
import { parseQuery } from '../http/parse.ts'
import type { ScaleSource } from './scaleSource.ts'
import { RATE_HZ } from './standInScale.ts'

/** A pull as server-sent events: a reading each, as it is read, and `over` at its end. */
export function scaleRoutes(scale: ScaleSource, tickMs = 1000 / RATE_HZ): Router {
  const router = new Router({ prefix: '/api/scale' })

  router.get('/pull', limitStreams(), async (ctx) => {
    const sample = parseQuery(ctx, pullQuery)
    ctx.set('Content-Type', 'text/event-stream')
    ctx.set('Cache-Control', 'no-store, no-transform')
    ctx.compress = false
    ctx.body = Readable.from(events(scale, sample, tickMs))
  })

  return router
}

async function* events(scale: ScaleSource, sample: Sample, tickMs: number): AsyncGenerator<string> {
  for (const reading of scale.pull(sample)) {
    yield `data: ${JSON.stringify(reading)}\n\n`
    await wait(tickMs)
  }
  yield 'event: over\ndata: {}\n\n'
}

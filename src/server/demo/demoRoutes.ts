import Router from '@koa/router'
import type { DemoState } from '../../shared/demo.ts'
import { crewOf, observerOf } from '../http/crew.ts'
import type { DemoData } from './demoData.ts'

/** The demonstration data: what of it is shown, removed in one request, brought back in one. */
export function demoRoutes(demo: DemoData): Router {
  const router = new Router({ prefix: '/api/demo' })
  router.get('/', async (ctx) => {
    ctx.body = (await demo.state(crewOf(ctx))) satisfies DemoState
  })
  router.delete('/', async (ctx) => {
    ctx.body = (await demo.remove(crewOf(ctx), observerOf(ctx))) satisfies DemoState
  })
  router.post('/', async (ctx) => {
    ctx.body = (await demo.bringBack(crewOf(ctx), observerOf(ctx))) satisfies DemoState
  })
  return router
}

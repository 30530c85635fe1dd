import Router from '@koa/router'
import { z } from 'zod'
import { CALCULATIONS, calculate, isCalculationName } from '../../core/calculations.ts'
import { evaluate } from '../../core/moments/evaluate.ts'
import { parseRequest } from '../../core/moments/parseRequest.ts'
import { reportOf } from '../../core/moments/report.ts'
import { HttpError, notFound } from '../http/httpError.ts'
import { parseBody } from '../http/parse.ts'

/** The registry over HTTP: what there is, and one calculation or a whole evaluation on a posted input. */
export function calculationRoutes(): Router {
  const router = new Router({ prefix: '/api' })

  router.get('/calculations', (ctx) => {
    ctx.body = Object.entries(CALCULATIONS).map(([name, { title, source }]) => ({ name, title, source }))
  })

  router.post('/calculations/:name', (ctx) => {
    const name = ctx.params.name ?? ''
    if (!isCalculationName(name)) throw notFound('calculation')
    const outcome = calculate(name, parseBody(ctx, z.unknown()))
    if (!outcome.ok)
      throw new HttpError(400, 'invalid', 'The input does not hold.', {
        issues: outcome.issues.map(({ path, message }) => ({
          path: path.map((key) => (typeof key === 'number' ? key : String(key))),
          message,
        })),
      })
    ctx.body = outcome.output
  })

  router.post('/evaluate', (ctx) => {
    const parsed = parseRequest(parseBody(ctx, z.unknown()))
    if (!parsed.ok) throw new HttpError(400, 'invalid', 'The documents do not hold.', { issues: parsed.issues })
    const { trace, outfit, conditions, ruleSet } = parsed.request
    ctx.body = reportOf(evaluate(trace, outfit, conditions, ruleSet))
  })

  return router
}

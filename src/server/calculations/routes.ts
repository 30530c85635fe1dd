import Router from '@koa/router'
import { z } from 'zod'
import { evaluate } from '../../core/analysis/evaluate.ts'
import { parseRequest } from '../../core/analysis/parseRequest.ts'
import { reportOf } from '../../core/analysis/report.ts'
import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import { CALCULATIONS, calculate, isCalculationName } from '../../core/physics/registry.ts'
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
    const parsed = parseRequest(parseBody(ctx, z.unknown()), NOMINAL_CATALOGUE)
    if (!parsed.ok) throw new HttpError(400, 'invalid', 'The documents do not hold.', { issues: parsed.issues })
    ctx.body = reportOf(evaluate(parsed.request.setup, parsed.request.ruleSet))
  })

  return router
}

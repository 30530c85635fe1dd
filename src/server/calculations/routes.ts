import Router from '@koa/router'
import { z } from 'zod'
import { CALCULATIONS, isCalculationName } from '../../core/calculations/registry.ts'
import type { OwnConnection } from '../../core/catalogue/catalogue.ts'
import { CoreError } from '../../core/errors.ts'
import { crewOf } from '../http/crew.ts'
import { HttpError, notFound } from '../http/httpError.ts'
import { parseBody, parseQuery } from '../http/parse.ts'
import type { Job } from '../jobs/job.ts'
import type { JobPool } from '../jobs/jobPool.ts'

/** Nominal figures on request; else the crew’s own pulls count where there are any. */
const evaluateQuery = z.object({ nominal: z.enum(['true', 'false']).optional() })

/**
 * The registry over HTTP: what there is, and one calculation or a whole evaluation on a posted input.
 * @param ownFigures what a crew measured.
 */
export function calculationRoutes(jobs: JobPool, ownFigures: (crewId: string) => Promise<OwnConnection[]>): Router {
  const router = new Router({ prefix: '/api' })

  router.get('/calculations', (ctx) => {
    ctx.body = Object.entries(CALCULATIONS).map(([name, { title, source }]) => ({ name, title, source }))
  })

  router.post('/calculations/:name', async (ctx) => {
    const name = ctx.params.name ?? ''
    if (!isCalculationName(name)) throw notFound('calculation')
    ctx.body = await outputOf(jobs, { kind: 'calculate', name, input: parseBody(ctx, z.unknown()) })
  })

  router.post('/evaluate', async (ctx) => {
    const { nominal } = parseQuery(ctx, evaluateQuery)
    const own = nominal === 'true' ? [] : await ownFigures(crewOf(ctx))
    ctx.body = await outputOf(jobs, { kind: 'evaluate', request: parseBody(ctx, z.unknown()), own })
  })

  return router
}

async function outputOf(jobs: JobPool, job: Job): Promise<unknown> {
  const answer = await jobs.run(job)
  if (answer.kind === 'done') return answer.output
  if (answer.kind === 'refused') throw new CoreError(answer.code, answer.message, answer.details)
  throw new HttpError(400, 'invalid', job.kind === 'calculate' ? 'The input is not valid.' : 'The documents are not valid.', {
    issues: answer.issues,
  })
}

import Router, { type RouterContext } from '@koa/router'
import { CoreError } from '../../core/errors.ts'
import { cardBody, labelsBody } from '../../shared/print.ts'
import { HttpError } from '../http/httpError.ts'
import { parseBody } from '../http/parse.ts'
import type { Job } from '../jobs/job.ts'
import type { JobPool } from '../jobs/jobPool.ts'

/** PDFs of labels and cards, made in a thread. */
export function printRoutes(jobs: JobPool): Router {
  const router = new Router({ prefix: '/api/print' })
  const answerPdf = async (ctx: RouterContext, job: Job) => {
    const answer = await jobs.run(job)
    if (answer.kind === 'refused') throw new CoreError(answer.code, answer.message, answer.details)
    if (answer.kind !== 'done') throw new HttpError(400, 'invalid', 'This cannot be printed.')
    ctx.type = 'application/pdf'
    ctx.body = Buffer.from(answer.output as Uint8Array)
  }

  router.post('/labels', (ctx) => answerPdf(ctx, { kind: 'labelsPdf', body: parseBody(ctx, labelsBody) }))
  router.post('/card', (ctx) => answerPdf(ctx, { kind: 'cardPdf', body: parseBody(ctx, cardBody) }))

  return router
}

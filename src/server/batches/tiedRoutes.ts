import Router from '@koa/router'
import { idsOfCode, tiedCode } from '../../core/documents/tied.ts'
import type { DocumentRepository } from '../documents/repository.ts'
import { crewOf } from '../http/crew.ts'
import { notFound } from '../http/httpError.ts'
import { parseParam } from '../http/parse.ts'

/** A tied trace by the short code on its label. */
export function tiedRoutes(documents: DocumentRepository): Router {
  const router = new Router({ prefix: '/api/tied-by-code' })

  router.get('/:code', async (ctx) => {
    const code = parseParam(ctx.params.code?.toLowerCase(), tiedCode, 'tied trace')
    const [row] = await documents.findBetween(crewOf(ctx), 'tied', idsOfCode(code))
    if (!row) throw notFound('tied trace')
    ctx.body = row
  })

  return router
}

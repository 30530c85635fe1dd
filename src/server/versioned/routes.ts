import Router from '@koa/router'
import { z } from 'zod'
import { createBodyOf, type Saved, saveBodyOf } from '../../shared/versioned.ts'
import { crewOf } from '../http/crew.ts'
import { HttpError, notFound } from '../http/httpError.ts'
import { parseBody, parseParam, parseQuery } from '../http/parse.ts'
import type { DocumentRepository } from './repository.ts'

export type Resource<T extends object> = {
  /** Plural, as in the address; and one of them, in a sentence. */
  path: string
  one: string
  content: z.ZodType<T>
  repository: DocumentRepository<T>
  /** What must hold of a content beyond its contract; throws an HttpError. */
  check?: (crewId: string, content: T) => Promise<void>
}

const uuid = z.uuid()
const revisionNumber = z.coerce.number().int().positive()
const listQuery = z.object({ bin: z.enum(['true', 'false']).optional() })

/** List, read, create, save, bin and restore for one kind of versioned document. */
export function versionedRoutes<T extends object>({ path, one, content, repository, check }: Resource<T>): Router {
  const router = new Router({ prefix: `/api/${path}` })
  const createBody = createBodyOf(content)
  const saveBody = saveBodyOf(content)
  const orMissing = (document: Saved<T> | undefined): Saved<T> => {
    if (!document) throw notFound(one)
    return document
  }

  router.get('/', async (ctx) => {
    ctx.body = await repository.list(crewOf(ctx), parseQuery(ctx, listQuery).bin === 'true')
  })

  router.post('/', async (ctx) => {
    const body = parseBody(ctx, createBody) as { id: string; content: T }
    await check?.(crewOf(ctx), body.content)
    const { created, document } = await repository.create(crewOf(ctx), body.id, body.content)
    if (!created) throw new HttpError(409, 'exists', `There is already ${one} ${body.id}.`)
    ctx.status = 201
    ctx.body = document
  })

  router.get('/:id', async (ctx) => {
    ctx.body = orMissing(await repository.find(crewOf(ctx), parseParam(ctx.params.id, uuid, one)))
  })

  router.put('/:id', async (ctx) => {
    const id = parseParam(ctx.params.id, uuid, one)
    const body = parseBody(ctx, saveBody) as { baseRevision: number; content: T }
    await check?.(crewOf(ctx), body.content)
    const saved = await repository.save(crewOf(ctx), id, body.baseRevision, body.content)
    if (saved.outcome === 'missing') throw notFound(one)
    if (saved.outcome === 'stale')
      throw new HttpError(409, 'stale', `This ${one} was saved elsewhere as revision ${saved.document.revision}.`, {
        extra: { current: saved.document },
      })
    ctx.body = saved.document
  })

  router.delete('/:id', async (ctx) => {
    ctx.body = orMissing(await repository.setBinned(crewOf(ctx), parseParam(ctx.params.id, uuid, one), new Date()))
  })

  router.post('/:id/restore', async (ctx) => {
    ctx.body = orMissing(await repository.setBinned(crewOf(ctx), parseParam(ctx.params.id, uuid, one), null))
  })

  router.get('/:id/revisions', async (ctx) => {
    const revisions = await repository.listRevisions(crewOf(ctx), parseParam(ctx.params.id, uuid, one))
    if (revisions.length === 0) throw notFound(one)
    ctx.body = revisions
  })

  router.get('/:id/revisions/:revision', async (ctx) => {
    const revision = parseParam(ctx.params.revision, revisionNumber, 'revision')
    ctx.body = orMissing(await repository.findRevision(crewOf(ctx), parseParam(ctx.params.id, uuid, one), revision))
  })

  return router
}

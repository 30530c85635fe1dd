import Router, { type RouterContext } from '@koa/router'
import { z } from 'zod'
import { revisionNumber } from '../../core/documents/fields.ts'
import { type ContentOf, DOCUMENT_KINDS, hasHeads, readContent } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import {
  createBody,
  createManyBody,
  type EmptiedTrash,
  type ListPage,
  MAX_BY_NAME,
  ON_PAGE,
  pageKey,
  type SavedRow,
  saveBody,
} from '../../shared/versioned.ts'
import { crewOf } from '../http/crew.ts'
import { HttpError, notFound } from '../http/httpError.ts'
import { parseBody, parseParam, parseQuery } from '../http/parse.ts'
import type { DocumentRepository } from './repository.ts'

/** What must hold of a content beyond its contract; throws an HttpError. */
export type ContentCheck<K extends DocumentKind> = (crewId: string, content: ContentOf<K>) => Promise<void> | void

const uuid = z.uuid()
const revisionParam = z
  .string()
  .regex(/^\d{1,10}$/)
  .transform(Number)
  .pipe(revisionNumber)
const trashParameter = z.object({ trash: z.literal('true') })
/** A few by name, such as those in view. */
const namedQuery = z.strictObject({
  ids: z
    .string()
    .transform((ids) => ids.split(','))
    .pipe(z.array(uuid).max(MAX_BY_NAME)),
})
const pageQuery = z
  .strictObject({
    trash: z.enum(['true', 'false']).optional(),
    /** Without their contents: what a list shows and searches. */
    heads: z.literal('true').optional(),
    after: pageKey.optional(),
    /** Of the heads, those of traces on this outfit. */
    outfit: uuid.optional(),
  })
  .refine(({ heads, outfit }) => heads !== undefined || outfit === undefined, 'heads are needed to choose by outfit')

/** List, read, create, save, delete and restore for one kind of document. */
export function documentRoutes<K extends DocumentKind>(kind: K, repository: DocumentRepository, check?: ContentCheck<K>): Router {
  const router = new Router({ prefix: `/api/${kind}` })
  const { one } = DOCUMENT_KINDS[kind]
  const keyOf = (ctx: RouterContext) => ({ crewId: crewOf(ctx), kind, id: parseParam(ctx.params.id, uuid, one) })
  const orNotFound = (document: SavedRow | undefined): SavedRow => {
    if (!document) throw notFound(one)
    return upgradedRow(kind, document)
  }
  const checked = async (crewId: string, value: unknown): Promise<object> => {
    const read = readContent(kind, value)
    if (!read.ok) throw refusedContent(read.issues)
    await check?.(crewId, read.content)
    return read.content
  }

  router.get('/', async (ctx) => {
    const crewId = crewOf(ctx)
    if ('ids' in ctx.query) {
      const rows = await repository.findSome(crewId, kind, parseQuery(ctx, namedQuery).ids)
      ctx.body = { documents: rows.map((row) => upgradedRow(kind, row)), next: null } satisfies ListPage
      return
    }
    const { trash, heads, after, outfit } = parseQuery(ctx, pageQuery)
    const page = { isTrash: trash === 'true', after, limit: ON_PAGE }
    if (heads) {
      if (!hasHeads(kind)) throw new HttpError(400, 'no-heads', `There are no heads of ${kind}: ask for the whole list.`)
      ctx.type = 'json'
      ctx.body = await repository.listHeads(crewId, kind, { ...page, outfitId: outfit })
      return
    }
    const { documents, next } = await repository.list(crewId, kind, page)
    ctx.body = { documents: documents.map((row) => upgradedRow(kind, row)), next } satisfies ListPage
  })

  router.post('/', async (ctx) => {
    const { id, content } = parseBody(ctx, createBody)
    const crewId = crewOf(ctx)
    const { created, document } = await repository.create({ crewId, kind, id }, await checked(crewId, content))
    if (!created) throw new HttpError(409, 'exists', `There is already ${one} ${id}.`)
    ctx.status = 201
    ctx.body = orNotFound(document)
  })

  router.post('/many', async (ctx) => {
    const { documents } = parseBody(ctx, createManyBody)
    const crewId = crewOf(ctx)
    const contents: { id: string; content: object }[] = []
    for (const { id, content } of documents) contents.push({ id, content: await checked(crewId, content) })
    ctx.status = 201
    ctx.body = { created: await repository.createMany(crewId, kind, contents) }
  })

  /** Deletes the trash for good; the parameter keeps a slip from emptying a whole kind. */
  router.delete('/', async (ctx) => {
    parseQuery(ctx, trashParameter)
    ctx.body = { deleted: await repository.emptyTrash(crewOf(ctx), kind) } satisfies EmptiedTrash
  })

  router.get('/:id', async (ctx) => {
    ctx.body = orNotFound(await repository.find(keyOf(ctx)))
  })

  router.put('/:id', async (ctx) => {
    const key = keyOf(ctx)
    const { baseRevision, content } = parseBody(ctx, saveBody)
    const saved = await repository.save(key, baseRevision, await checked(key.crewId, content))
    if (saved.outcome === 'missing') throw notFound(one)
    if (saved.outcome === 'in-trash')
      throw new HttpError(409, 'in-trash', `This ${one} is in the trash. Restore it there, then save again.`)
    if (saved.outcome === 'stale')
      throw new HttpError(409, 'stale', `This ${one} was saved elsewhere as revision ${saved.document.revision}.`, {
        extra: { current: upgradedRow(kind, saved.document) },
      })
    ctx.body = upgradedRow(kind, saved.document)
  })

  router.delete('/:id', async (ctx) => {
    ctx.body = orNotFound(await repository.setTrashed(keyOf(ctx), new Date()))
  })

  router.post('/:id/restore', async (ctx) => {
    ctx.body = orNotFound(await repository.setTrashed(keyOf(ctx), null))
  })

  router.get('/:id/revisions', async (ctx) => {
    const revisions = await repository.listRevisions(keyOf(ctx))
    if (revisions.length === 0) throw notFound(one)
    ctx.body = revisions
  })

  router.get('/:id/revisions/:revision', async (ctx) => {
    const key = keyOf(ctx)
    ctx.body = orNotFound(await repository.findRevision(key, parseParam(ctx.params.revision, revisionParam, 'revision')))
  })

  return router
}

/** A document in the newest format; one of a later version goes out as it is, and whoever reads it says so of that one. */
function upgradedRow(kind: DocumentKind, row: SavedRow): SavedRow {
  const upgraded = DOCUMENT_KINDS[kind].lift(row.content)
  return 'value' in upgraded ? { ...row, content: upgraded.value } : row
}

function refusedContent(issues: { path: (string | number)[]; message: string }[]): HttpError {
  const inContent = issues.map(({ path, message }) => ({ path: ['content', ...path], message }))
  const [first] = inContent
  return new HttpError(400, 'invalid', `The request is not valid. ${first?.path.join('.')}: ${first?.message}`, {
    issues: inContent,
  })
}

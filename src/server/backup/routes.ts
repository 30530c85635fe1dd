import Router from '@koa/router'
import { z } from 'zod'
import type { RestoreProgress } from '../../shared/backup.ts'
import { crewOf } from '../http/crew.ts'
import { HttpError } from '../http/httpError.ts'
import { parseQuery } from '../http/parse.ts'
import type { BackupDesk } from './backupDesk.ts'
import type { KeptBackups } from './keptBackups.ts'

const TYPE = 'application/x-ndjson'
/** A reader that takes nothing for this long is disconnected. */
const IDLE_READER_MS = 20_000
const restoreQuery = z.object({ do: z.enum(['look', 'restore']) })

/** Downloads everything of the crew as one file, and restores such a file after a look at what would change. */
export function backupRoutes(desk: BackupDesk, kept: KeptBackups | undefined): Router {
  const router = new Router({ prefix: '/api/backup' })

  router.get('/', async (ctx) => {
    const file = await desk.backup(crewOf(ctx))
    ctx.type = TYPE
    ctx.set('Content-Disposition', 'attachment; filename="wide-reach-backup.jsonl"')
    ctx.res.setTimeout(IDLE_READER_MS, () => ctx.res.destroy())
    ctx.body = file
  })

  router.get('/kept', async (ctx) => {
    ctx.body = kept ? await kept.state() : { count: 0 }
  })

  router.get('/restoring', (ctx) => {
    ctx.body = { share: desk.restoring ?? null } satisfies RestoreProgress
  })

  router.post('/', async (ctx) => {
    const lookOnly = parseQuery(ctx, restoreQuery).do === 'look'
    if (!ctx.is(TYPE)) throw new HttpError(415, 'wrong-type', `Send the backup as ${TYPE}.`)
    // The connection is idle while a large file is restored.
    ctx.req.setTimeout(0)
    ctx.body = await desk.restore(ctx.req, crewOf(ctx), lookOnly)
  })

  return router
}

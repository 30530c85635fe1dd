import { Readable } from 'node:stream'
import Router, { type RouterContext } from '@koa/router'
import { z } from 'zod'
import type { RestoreReport } from '../../shared/backup.ts'
import type { Database } from '../db/database.ts'
import { crewOf } from '../http/crew.ts'
import { HttpError } from '../http/httpError.ts'
import { parseQuery } from '../http/parse.ts'
import type { KeptBackups } from './keptBackups.ts'
import { linesOf } from './lines.ts'
import { BackupFault, takeIn } from './takeIn.ts'
import { backupLines } from './writeBackup.ts'

const LARGEST_BYTES = 512_000_000
const TYPE = 'application/x-ndjson'
const restoreQuery = z.object({ do: z.enum(['look', 'restore']) })

/** Everything of the crew as one file, and such a file taken in again: looked at first, then done. */
export function backupRoutes(db: Database, kept: KeptBackups | undefined): Router {
  const router = new Router({ prefix: '/api/backup' })

  router.get('/', (ctx) => {
    const crewId = crewOf(ctx)
    const lines = async function* () {
      for await (const line of backupLines(db, crewId)) yield `${line}\n`
    }
    ctx.type = TYPE
    ctx.set('Content-Disposition', 'attachment; filename="wide-reach-backup.jsonl"')
    ctx.body = Readable.from(lines())
  })

  router.get('/kept', async (ctx) => {
    ctx.body = kept ? await kept.state() : { count: 0 }
  })

  router.post('/', async (ctx) => {
    ctx.body = await takenIn(db, ctx, parseQuery(ctx, restoreQuery).do === 'look')
  })

  return router
}

async function takenIn(db: Database, ctx: RouterContext, lookOnly: boolean): Promise<RestoreReport> {
  if (!ctx.is(TYPE)) throw new HttpError(415, 'wrong-type', `Send the backup as ${TYPE}.`)
  try {
    return await takeIn(db, linesOf(ctx.req, LARGEST_BYTES), { lookOnly, crewId: crewOf(ctx) })
  } catch (error) {
    if (error instanceof BackupFault) throw new HttpError(400, 'bad-backup', error.message)
    throw error
  }
}

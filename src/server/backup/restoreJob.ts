import { createReadStream } from 'node:fs'
import type { MessagePort } from 'node:worker_threads'
import type { RestoreReport } from '../../shared/backup.ts'
import { openDatabase } from '../db/database.ts'
import { openLog } from '../openLog.ts'
import { BackupFault } from './backupFault.ts'
import { linesOf } from './lines.ts'
import { restoreBackup } from './restoreBackup.ts'

/** `progress` gets the share that is done. */
export type RestoreJob = { file: string; databaseUrl: string; lookOnly: boolean; crewId: string; progress: MessagePort }

/** What came out, or why nothing did: as data, since a thrown error loses its class and code on its way between threads. */
export type RestoreAnswer =
  | { kind: 'done'; report: RestoreReport }
  | { kind: 'fault'; message: string }
  | { kind: 'failed'; code: string | undefined; message: string }

/** Statements of a restore handle hundreds of documents each. */
const STATEMENT_MS = 60_000

/** Restores a file on a connection of its own. Runs in a thread. */
export async function restoreJob({ file, databaseUrl, lookOnly, crewId, progress }: RestoreJob): Promise<RestoreAnswer> {
  const db = openDatabase(databaseUrl, openLog('silent'), { connections: 1, statementMs: STATEMENT_MS })
  try {
    const onProgress = (share: number) => progress.postMessage(share)
    const report = await restoreBackup(db, () => linesOf(createReadStream(file)), { lookOnly, crewId, onProgress })
    return { kind: 'done', report }
  } catch (error) {
    if (error instanceof BackupFault) return { kind: 'fault', message: error.message }
    const { code, message } = error as { code?: string; message: string }
    return { kind: 'failed', code, message }
  } finally {
    progress.close()
    await db.destroy()
  }
}

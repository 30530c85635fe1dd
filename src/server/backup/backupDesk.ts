import { createReadStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import type { IncomingMessage } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { MessageChannel } from 'node:worker_threads'
import type { Logger } from 'pino'
import type { Piscina } from 'piscina'
import type { RestoreReport } from '../../shared/backup.ts'
import { type Database, openDatabase } from '../db/database.ts'
import { HttpError } from '../http/httpError.ts'
import { openThreads } from '../threads/openThreads.ts'
import { type ReceiveLimits, receiveFile } from './receiveFile.ts'
import type { RestoreAnswer, RestoreJob } from './restoreJob.ts'
import { writeBackup } from './writeBackup.ts'

const MAX_BACKUPS = 2
const MAX_RECEIVING = 4
const THREAD_IDLE_MS = 60_000

const busy = (message: string) => new HttpError(503, 'busy', message, { retryAfterS: 10 })

/**
 * Makes and restores backups without blocking other routes: it has its own database connections, puts a file on disk between the
 * database and the network, restores in a thread, and limits how many run at once.
 */
export class BackupDesk {
  private readonly databaseUrl: string
  private readonly db: Database
  private readonly limits: Partial<ReceiveLimits>
  private readonly log: Logger
  private threads: Promise<Piscina<RestoreJob, RestoreAnswer>> | undefined
  private backups = 0
  private receiving = 0
  private share: number | undefined

  constructor(databaseUrl: string, log: Logger, limits: Partial<ReceiveLimits> = {}) {
    this.databaseUrl = databaseUrl
    this.db = openDatabase(databaseUrl, log, { connections: MAX_BACKUPS })
    this.limits = limits
    this.log = log
  }

  /** Share done of the running restore; undefined if none runs. */
  get restoring(): number | undefined {
    return this.share
  }

  /** Writes a backup of one crew to a temporary file and streams it. The file is deleted when the stream closes. */
  async backup(crewId: string): Promise<Readable> {
    if (this.backups >= MAX_BACKUPS) throw busy('Other backups are being written. Try again in a moment.')
    this.backups += 1
    const folder = await mkdtemp(join(tmpdir(), 'wide-reach-backup-'))
    const file = join(folder, 'backup.jsonl')
    try {
      await writeBackup(this.db, file, crewId)
    } catch (error) {
      await rm(folder, { recursive: true, force: true })
      throw error
    } finally {
      this.backups -= 1
    }
    return createReadStream(file).once('close', () => void rm(folder, { recursive: true, force: true }))
  }

  /** Restores the file in a request’s body, or only reports what that would change. @throws HttpError if it cannot. */
  async restore(req: IncomingMessage, crewId: string, lookOnly: boolean): Promise<RestoreReport> {
    if (this.receiving >= MAX_RECEIVING) throw busy('Other files are being received. Try again in a moment.')
    this.receiving += 1
    const folder = await mkdtemp(join(tmpdir(), 'wide-reach-restore-'))
    const file = join(folder, 'backup.jsonl')
    try {
      await receiveFile(req, file, this.limits).finally(() => {
        this.receiving -= 1
      })
      return await this.restored(file, crewId, lookOnly)
    } finally {
      await rm(folder, { recursive: true, force: true })
    }
  }

  async close(): Promise<void> {
    const threads = await this.threads?.catch(() => undefined)
    await threads?.destroy()
    await this.db.destroy()
  }

  private async restored(file: string, crewId: string, lookOnly: boolean): Promise<RestoreReport> {
    if (this.share !== undefined) throw busy('Another restore is running. Try again when it is done.')
    this.share = 0
    const { port1, port2: progress } = new MessageChannel()
    port1.on('message', (share: number) => {
      this.share = share
    })
    try {
      const job = { file, databaseUrl: this.databaseUrl, lookOnly, crewId, progress }
      const answer = await (await this.openedThreads()).run(job, { transferList: [progress] })
      if (answer.kind === 'done') return answer.report
      if (answer.kind === 'fault') throw new HttpError(400, 'bad-backup', answer.message)
      throw Object.assign(new Error(answer.message), { code: answer.code })
    } finally {
      port1.close()
      this.share = undefined
    }
  }

  private openedThreads(): Promise<Piscina<RestoreJob, RestoreAnswer>> {
    this.threads ??= openThreads<RestoreJob, RestoreAnswer>(
      'src/server/backup/restoreJob.ts',
      'restoreJob',
      this.log,
      // A look is usually followed by a restore, which reuses the thread.
      { minThreads: 0, maxThreads: 1, idleTimeout: THREAD_IDLE_MS },
    ).catch((error: unknown) => {
      this.threads = undefined
      throw error
    })
    return this.threads
  }
}

import type { Logger } from 'pino'
import type { Piscina } from 'piscina'
import { HttpError } from '../http/httpError.ts'
import { openThreads } from '../threads/openThreads.ts'
import type { Job, JobAnswer } from './job.ts'

export type JobLimits = { threads: number; waiting: number; timeMs: number }

const USUAL: JobLimits = { threads: 2, waiting: 40, timeMs: 10_000 }
/** What one thread may hold, MB. */
const MAX_HEAP_MB = 256

/** Threads that calculate for the server, so that nothing it is asked to work out holds up anything else. */
export class JobPool {
  private readonly log: Logger
  private readonly limits: JobLimits
  private started: Promise<Piscina<Job, JobAnswer>> | undefined

  constructor(log: Logger, limits: Partial<JobLimits> = {}) {
    this.log = log
    this.limits = { ...USUAL, ...limits }
  }

  /** Starts the threads, which takes seconds on a busy machine, before anyone waits for them. */
  async warm(): Promise<void> {
    await this.pool()
  }

  /**
   * Does a job in a thread. Its time begins when the threads have started.
   * @throws HttpError 503 where too many wait already, or where it took too long and was stopped.
   */
  async run(job: Job): Promise<JobAnswer> {
    const { timeMs, waiting } = this.limits
    const pool = await this.pool()
    if (pool.queueSize >= waiting)
      throw new HttpError(503, 'busy', 'The server is busy calculating. Try again in a moment.', { retryAfterS: 2 })
    const signal = AbortSignal.timeout(timeMs)
    try {
      return await pool.run(job, { signal })
    } catch (error) {
      if (!signal.aborted) throw error
      throw new HttpError(503, 'too-long', `This took over ${timeMs / 1000} s and was stopped.`, { retryAfterS: 10 })
    }
  }

  async close(): Promise<void> {
    const pool = await this.started?.catch(() => undefined)
    await pool?.destroy()
  }

  private pool(): Promise<Piscina<Job, JobAnswer>> {
    this.started ??= this.start().catch((error: unknown) => {
      this.started = undefined
      throw error
    })
    return this.started
  }

  private async start(): Promise<Piscina<Job, JobAnswer>> {
    const pool = await openThreads<Job, JobAnswer>('src/server/jobs/job.ts', 'doJob', this.log, {
      // All of them stay: one begun for a single job would cost that job its start.
      minThreads: this.limits.threads,
      maxThreads: this.limits.threads,
      resourceLimits: { maxOldGenerationSizeMb: MAX_HEAP_MB },
    })
    await pool.run({ kind: 'calculate', name: 'gear.barMass', input: {} })
    return pool
  }
}

import { mkdir, readdir, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import dayjs from 'dayjs'
import isoWeek from 'dayjs/plugin/isoWeek.js'
import type { Logger } from 'pino'
import { HOUR_MS } from '../../core/time/durations.ts'
import type { Database } from '../db/database.ts'
import { writeBackup } from './writeBackup.ts'

dayjs.extend(isoWeek)

const NAME = /^wide-reach-(\d{4}-\d\d-\d\d)\.jsonl$/
/** Days that each keep their backup; of the time before, each week keeps its last. */
const DAYS_KEPT = 7

/** Of the names of kept backups, those whose time has passed: beyond the last seven days, all but the last of each week. */
export function outdated(names: readonly string[]): string[] {
  const dated = names
    .flatMap((name) => {
      const date = NAME.exec(name)?.[1]
      return date === undefined ? [] : [{ name, date }]
    })
    .sort((a, b) => b.date.localeCompare(a.date))
  const weeks = new Set<string>()
  return dated.slice(DAYS_KEPT).flatMap(({ name, date }) => {
    const day = dayjs(date)
    const week = `${day.isoWeekYear()} ${day.isoWeek()}`
    if (weeks.has(week)) return [name]
    weeks.add(week)
    return []
  })
}

/** The backups that are kept in a folder by themselves, one a day. */
export class KeptBackups {
  readonly folder: string
  private readonly db: Database
  private readonly log: Logger
  private timer: NodeJS.Timeout | undefined
  private looking: Promise<void> = Promise.resolve()

  constructor(folder: string, db: Database, log: Logger) {
    this.folder = folder
    this.db = db
    this.log = log
  }

  /** Makes today’s if there is none, now and as the days go by. */
  start(): void {
    const look = () => {
      this.looking = this.makeDue(new Date()).catch((error: unknown) => this.log.error({ err: error }, 'no backup was made'))
    }
    look()
    this.timer = setInterval(look, HOUR_MS)
    this.timer.unref()
  }

  /** Ends it, once a backup that is being written is whole. */
  async stop(): Promise<void> {
    clearInterval(this.timer)
    await this.looking
  }

  /** Makes the day’s backup if there is none, and takes away those whose time has passed. */
  async makeDue(now: Date): Promise<void> {
    await mkdir(this.folder, { recursive: true, mode: 0o700 })
    const name = `wide-reach-${now.toISOString().slice(0, 10)}.jsonl`
    const names = await readdir(this.folder)
    if (!names.includes(name)) await writeBackup(this.db, join(this.folder, name))
    for (const old of outdated([...new Set([...names, name])])) await rm(join(this.folder, old))
  }

  async state(): Promise<{ folder: string; newest?: string; count: number }> {
    const names = (await readdir(this.folder).catch(() => [])).filter((name) => NAME.test(name)).sort()
    const last = names.at(-1)
    const newest = last && (await stat(join(this.folder, last))).mtime.toISOString()
    return { folder: this.folder, ...(newest ? { newest } : {}), count: names.length }
  }
}

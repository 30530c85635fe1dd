import { createWriteStream } from 'node:fs'
import { rename, rm } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Database } from '../db/database.ts'
import { backupLines } from './backupLines.ts'

/** Writes a backup of one crew, or of all, to a file: whole under its name, or not there at all. */
export async function writeBackup(db: Database, file: string, crewId?: string): Promise<void> {
  const passing = `${file}.part`
  try {
    const lines = async function* () {
      for await (const line of backupLines(db, crewId)) yield `${line}\n`
    }
    await pipeline(Readable.from(lines()), createWriteStream(passing, { mode: 0o600 }))
    await rename(passing, file)
  } catch (error) {
    await rm(passing, { force: true })
    throw error
  }
}

import { sql } from 'kysely'
import type { Database } from './database.ts'

/**
 * What the application may do with each table, and no more: revisions, observations, movements of stock and ticks are added, never
 * changed.
 */
const MAY: Record<string, string> = {
  crews: 'select, insert, update',
  documents: 'select, insert, update, delete',
  // Deleted only with the whole document, when the trash is emptied.
  document_revisions: 'select, insert, delete',
  observations: 'select, insert',
  stock_movements: 'select, insert',
  // Kept by the trigger on the movements, with the rights of whoever adds one.
  stock_levels: 'select, insert, update',
  batch_ticks: 'select, insert',
  batch_finishes: 'select, insert',
  trip_tallies: 'select, insert, update',
}

const SEQUENCES = ['document_saves']

/** Grants a role what the application does. */
export async function grantTo(migrations: Database, role: string): Promise<void> {
  for (const [table, may] of Object.entries(MAY))
    await sql`grant ${sql.raw(may)} on ${sql.table(table)} to ${sql.id(role)}`.execute(migrations)
  for (const sequence of SEQUENCES) await sql`grant usage on sequence ${sql.id(sequence)} to ${sql.id(role)}`.execute(migrations)
}

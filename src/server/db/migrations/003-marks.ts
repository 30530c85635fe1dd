import type { Migration } from 'kysely'
import { createDocumentTables } from './documentTables.ts'

/** Marks, documents like the others. */
export const marks: Migration = { up: (db) => createDocumentTables(db, 'marks', 'mark_revisions') }

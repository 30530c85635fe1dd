import type { Migration } from 'kysely'
import { createDocumentTables } from './documentTables.ts'

/** Rule sets, documents like the others. */
export const ruleSets: Migration = { up: (db) => createDocumentTables(db, 'rule_sets', 'rule_set_revisions') }

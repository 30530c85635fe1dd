import type { ColumnType, Generated, JSONColumnType } from 'kysely'

/** A document's head: whose it is, where it stands, whether it is in the bin. */
type HeadTable = {
  id: string
  crewId: string
  revision: number
  binnedAt: ColumnType<Date | null, null | undefined, Date | null>
}

/** Every revision that was ever acknowledged; rows are added, never changed. */
type RevisionTable = {
  id: string
  crewId: string
  revision: number
  content: JSONColumnType<object>
  savedAt: Generated<Date>
}

export type Tables = {
  crews: { id: string; name: string; demoLoadedAt: ColumnType<Date | null, null | undefined, Date | null> }
  traces: HeadTable
  traceRevisions: RevisionTable
  outfits: HeadTable
  outfitRevisions: RevisionTable
  gear: HeadTable
  gearRevisions: RevisionTable
  ruleSets: HeadTable
  ruleSetRevisions: RevisionTable
  marks: HeadTable
  markRevisions: RevisionTable
}

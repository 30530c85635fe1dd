import type { ColumnType, Generated, JSONColumnType } from 'kysely'

/** A document's head: its kind, whose it is, its revision, whether it is in the trash. */
type DocumentTable = {
  kind: string
  id: string
  crewId: string
  revision: number
  binnedAt: ColumnType<Date | null, null | undefined, Date | null>
  /** Its place among all saves; this and the next two are kept by a trigger as revisions are added. */
  savedOrder: Generated<string>
  savedAt: Generated<Date>
  /** What a list shows of it, where its kind has heads. */
  head: Generated<object | null>
}

/** Every revision that was ever acknowledged; rows are added, never changed. */
type RevisionTable = {
  kind: string
  id: string
  crewId: string
  revision: number
  content: JSONColumnType<object>
  savedAt: Generated<Date>
}

/** What happened on the water, one row each; rows are added, never changed. */
type ObservationTable = {
  id: string
  crewId: string
  kind: string
  at: Date
  markId: string | null
  traceId: string | null
  traceRevision: number | null
  outfitId: string | null
  outfitRevision: number | null
  /** By whom. */
  observer: string
  /** The rest of it, in its own format. */
  details: JSONColumnType<object>
  recordedAt: Generated<Date>
}

/** What came in and went out of the box; rows are added, never changed. Quantities are pieces, or metres of a line. */
type StockMovementTable = {
  id: string
  crewId: string
  itemId: string
  /** Of a line: which of its spools. */
  spool: number
  quantity: ColumnType<string, number, never>
  reason: string
  undoes: string | null
  /** The finishing of traces of a batch that used it. */
  finishId: string | null
  note: string | null
  observer: string
  recordedAt: Generated<Date>
}

/** The sum of the movements, kept by a trigger; an item without a row was never counted. */
type StockLevelTable = { crewId: string; itemId: string; spool: number; quantity: ColumnType<string, number, number> }

/** What was done of a batch, part by part; rows are added, never changed. */
type BatchTickTable = {
  id: string
  crewId: string
  batchId: string
  part: string
  change: number
  observer: string
  recordedAt: Generated<Date>
}

/** Traces of a batch that were finished together, or the undoing of that; rows are added, never changed. */
type BatchFinishTable = {
  id: string
  crewId: string
  batchId: string
  tied: string[]
  undoes: string | null
  observer: string
  recordedAt: Generated<Date>
}

/** What a trip counted, as long as `version` is that of the trip and its events. */
type TripTallyTable = { crewId: string; tripId: string; version: string; tally: JSONColumnType<object> }

export type Tables = {
  crews: { id: string; name: string; demoLoadedAt: ColumnType<Date | null, null | undefined, Date | null> }
  documents: DocumentTable
  documentRevisions: RevisionTable
  observations: ObservationTable
  stockMovements: StockMovementTable
  stockLevels: StockLevelTable
  batchTicks: BatchTickTable
  batchFinishes: BatchFinishTable
  tripTallies: TripTallyTable
}

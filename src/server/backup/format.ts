import { createHash, type Hash } from 'node:crypto'
import { z } from 'zod'
import { revisionNumber } from '../../core/documents/fields.ts'
import { text } from '../../core/documents/text.ts'
import { DOCUMENT_KIND_NAMES } from '../../shared/kindNames.ts'

/**
 * A backup is a text of JSON, one row a line: a header, then crews, documents, revisions, observations, movements of stock, ticks and
 * finishes of batches, each in the order of their keys, and last a checksum over all before it. The same rows give the same bytes.
 * Described in docs/backup.md.
 */
export const BACKUP_VERSION = 2
/** The first version had no stock and no batches; it is read the same way. */
const READABLE_VERSIONS = [1, BACKUP_VERSION] as const

/** An instant to the microsecond, as the database keeps it. */
const instant = z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{6}Z$/, 'is no instant')
const kind = z.enum(DOCUMENT_KIND_NAMES)
const key = { crew: z.uuid(), kind, id: z.uuid() }
const json = z.record(z.string(), z.unknown())

export const headerRow = z.strictObject({ row: z.literal('wide-reach-backup'), version: z.literal(READABLE_VERSIONS) })
export const crewRow = z.strictObject({
  row: z.literal('crew'),
  id: z.uuid(),
  name: text(80),
  demoLoadedAt: instant.nullable(),
})
export const documentRow = z.strictObject({
  row: z.literal('document'),
  ...key,
  revision: revisionNumber,
  binnedAt: instant.nullable(),
})
export const revisionRow = z.strictObject({
  row: z.literal('revision'),
  ...key,
  revision: revisionNumber,
  savedAt: instant,
  content: json,
})
export const observationRow = z.strictObject({
  row: z.literal('observation'),
  crew: z.uuid(),
  id: z.uuid(),
  kind: text(40),
  at: instant,
  markId: z.uuid().nullable(),
  traceId: z.uuid().nullable(),
  traceRevision: revisionNumber.nullable(),
  outfitId: z.uuid().nullable(),
  outfitRevision: revisionNumber.nullable(),
  observer: text(80),
  details: json,
  recordedAt: instant,
})
export const movementRow = z.strictObject({
  row: z.literal('movement'),
  crew: z.uuid(),
  id: z.uuid(),
  itemId: z.uuid(),
  spool: z.int(),
  quantity: z.number(),
  reason: text(40),
  undoes: z.uuid().nullable(),
  finishId: z.uuid().nullable(),
  note: text(200).nullable(),
  observer: text(80),
  recordedAt: instant,
})
export const tickRow = z.strictObject({
  row: z.literal('tick'),
  crew: z.uuid(),
  id: z.uuid(),
  batchId: z.uuid(),
  part: text(120),
  change: z.int(),
  observer: text(80),
  recordedAt: instant,
})
export const finishRow = z.strictObject({
  row: z.literal('finish'),
  crew: z.uuid(),
  id: z.uuid(),
  batchId: z.uuid(),
  tied: z.array(z.uuid()),
  undoes: z.uuid().nullable(),
  observer: text(80),
  recordedAt: instant,
})
export const checksumRow = z.strictObject({ row: z.literal('checksum'), sha256: z.string().regex(/^[0-9a-f]{64}$/) })

export const anyRow = z.discriminatedUnion('row', [
  headerRow,
  crewRow,
  documentRow,
  revisionRow,
  observationRow,
  movementRow,
  tickRow,
  finishRow,
  checksumRow,
])
export type Row = z.infer<typeof anyRow>
export type DocumentRow = z.infer<typeof documentRow>
export type RevisionRow = z.infer<typeof revisionRow>
export type ObservationRow = z.infer<typeof observationRow>
export type MovementRow = z.infer<typeof movementRow>
export type TickRow = z.infer<typeof tickRow>
export type FinishRow = z.infer<typeof finishRow>
export type CrewRow = z.infer<typeof crewRow>

/** The checksum over lines, each with its line end. */
export class Checksum {
  private readonly hash: Hash = createHash('sha256')

  add(line: string): void {
    this.hash.update(`${line}\n`)
  }

  /** Of all that was added; nothing can be added after. */
  end(): string {
    return this.hash.digest('hex')
  }
}

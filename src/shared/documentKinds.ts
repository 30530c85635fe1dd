import type { z } from 'zod'
import { batchSchema } from '../core/documents/batch.ts'
import { crewSettingsSchema } from '../core/documents/crewSettings.ts'
import { fishSchema } from '../core/documents/fish.ts'
import { gearSchema } from '../core/documents/gear.ts'
import type { Issue } from '../core/documents/issue.ts'
import { markSchema } from '../core/documents/mark.ts'
import { outfitSchema } from '../core/documents/outfit.ts'
import { readDocument } from '../core/documents/readDocument.ts'
import { ruleSetSchema } from '../core/documents/ruleSet.ts'
import { tiedSchema } from '../core/documents/tied.ts'
import { tripSchema } from '../core/documents/trip.ts'
import { newerWords, type Upgraded, upgrade } from '../core/documents/upgrade.ts'
import { type DocumentKind, nameOf } from './kindNames.ts'
import { traceContent, upgradeTraceContent } from './traceContent.ts'
import type { Saved, SavedRow } from './versioned.ts'

/**
 * A kind of document: what one and several are called, its contract, how an earlier format is upgraded to it, and whether its contents are so long
 * that lists show heads of them.
 */
type Kind<T extends object> = {
  one: string
  many: string
  content: z.ZodType<T>
  lift: (value: unknown) => Upgraded
  hasHeads?: true
}

const kind = <T extends object>(definition: Kind<T>): Kind<T> => definition
/** A kind that has had one format only: whatever says another one is newer. */
const firstFormat = (value: unknown): Upgraded => {
  const version = typeof value === 'object' && value !== null && 'formatVersion' in value ? value.formatVersion : 1
  return typeof version === 'number' && version > 1 ? { newerVersion: version } : { value }
}

/** Every kind of document, by the name of its addresses. A new one is a schema of its own, its name in `kindNames.ts` and a line here. */
export const DOCUMENT_KINDS = {
  traces: kind({ one: 'trace', many: 'traces', content: traceContent, lift: upgradeTraceContent, hasHeads: true }),
  outfits: kind({ one: 'outfit', many: 'outfits', content: outfitSchema, lift: (value) => upgrade('outfit', value) }),
  gear: kind({ one: 'piece of gear', many: 'pieces of gear', content: gearSchema, lift: (value) => upgrade('gear', value) }),
  fish: kind({ one: 'fish', many: 'fish', content: fishSchema, lift: firstFormat }),
  marks: kind({ one: 'mark', many: 'marks', content: markSchema, lift: (value) => upgrade('mark', value) }),
  'rule-sets': kind({ one: 'rule set', many: 'rule sets', content: ruleSetSchema, lift: (value) => upgrade('ruleSet', value) }),
  batches: kind({ one: 'batch', many: 'batches', content: batchSchema, lift: firstFormat }),
  trips: kind({ one: 'trip', many: 'trips', content: tripSchema, lift: firstFormat }),
  tied: kind({ one: 'tied trace', many: 'tied traces', content: tiedSchema, lift: firstFormat }),
  settings: kind({
    one: 'set of settings',
    many: 'settings',
    content: crewSettingsSchema,
    lift: (value) => upgrade('settings', value),
  }),
} satisfies { [K in DocumentKind]: unknown }

export type ContentOf<K extends DocumentKind> = (typeof DOCUMENT_KINDS)[K] extends Kind<infer T> ? T : never

/** Whether a kind is listed by heads: its contents are long. */
export const hasHeads = (name: DocumentKind): boolean => (DOCUMENT_KINDS[name] as Kind<object>).hasHeads === true

/** Reads a content of this format or an earlier one; refused, its message says why in a sentence. */
export function readContent<K extends DocumentKind>(
  name: K,
  value: unknown,
): { ok: true; content: ContentOf<K> } | { ok: false; message: string; issues: Issue[] } {
  const { one, content, lift } = DOCUMENT_KINDS[name]
  const upgraded = lift(value)
  const read = readDocument<ContentOf<DocumentKind>>(upgraded, content, one)
  if (read.ok) return { ok: true, content: read.value as ContentOf<K> }
  const [first] = read.issues
  const message =
    'newerVersion' in upgraded ? newerWords(one) : `This ${one} cannot be read: ${first?.path.join('.')}: ${first?.message}.`
  return { ok: false, message, issues: read.issues }
}

/** A document that cannot be read: one of a list, which the others are not hurt by. */
export type Unreadable = { id: string; name: string | undefined; message: string }
export type Listed<K extends DocumentKind> = { documents: Saved<ContentOf<K>>[]; unreadable: Unreadable[] }

/** A list read document by document. */
export function readList<K extends DocumentKind>(kind: K, rows: readonly SavedRow[]): Listed<K> {
  const documents: Saved<ContentOf<K>>[] = []
  const unreadable: Unreadable[] = []
  for (const row of rows) {
    const read = readContent(kind, row.content)
    if (read.ok) documents.push({ ...row, content: read.content })
    else unreadable.push({ id: row.id, name: nameOf(row.content), message: read.message })
  }
  return { documents, unreadable }
}

import { z } from 'zod'

// Separate from the schemas, so that code that only moves documents starts quickly.

/** The kinds of document, by the names of their addresses. */
export const DOCUMENT_KIND_NAMES = [
  'traces',
  'outfits',
  'gear',
  'fish',
  'marks',
  'rule-sets',
  'settings',
  'batches',
  'tied',
  'trips',
] as const
export type DocumentKind = (typeof DOCUMENT_KIND_NAMES)[number]

/** The name in a content, valid or not. */
export function nameOf(value: unknown): string | undefined {
  const found = z.union([z.object({ trace: z.object({ name: z.string() }) }), z.object({ name: z.string() })]).safeParse(value)
  if (!found.success) return undefined
  return 'trace' in found.data ? found.data.trace.name : found.data.name
}

/** The same content under another name. */
export const withName = <T extends object>(content: T, name: string): T =>
  'trace' in content && typeof content.trace === 'object'
    ? { ...content, trace: { ...content.trace, name } }
    : { ...content, name }

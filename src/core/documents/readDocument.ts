import type { z } from 'zod'
import { type Issue, issuesOf } from './issue.ts'
import { newerWords, type Upgraded } from './upgrade.ts'

/** A document as it was read, or every fault of it with its path. */
export type ReadDocument<T> = { ok: true; value: T } | { ok: false; issues: Issue[] }

/** Reads what `upgrade` lifted under its schema. `one` is what such a document is called. */
export function readDocument<T>(upgraded: Upgraded, schema: z.ZodType<T>, one: string): ReadDocument<T> {
  if ('newerVersion' in upgraded) return { ok: false, issues: [{ path: ['formatVersion'], message: newerWords(one) }] }
  const parsed = schema.safeParse(upgraded.value)
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) }
}

import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Issue } from '../documents/issue.ts'
import { readDocument } from '../documents/readDocument.ts'
import { type Trace, traceSchema } from '../documents/trace.ts'
import { upgrade } from '../documents/upgrade.ts'
import { soundnessIssues } from './soundness.ts'

export type ParsedTrace = { ok: true; trace: Trace } | { ok: false; issues: Issue[] }

/** Reads an unknown value, of this format or an earlier one, as a sound trace; or says every fault with the path to it. */
export function parseTrace(value: unknown, catalogue: Catalogue): ParsedTrace {
  const read = readDocument(upgrade('trace', value), traceSchema, 'trace')
  if (!read.ok) return read
  const issues = soundnessIssues(read.value, catalogue)
  return issues.length === 0 ? { ok: true, trace: read.value } : { ok: false, issues }
}

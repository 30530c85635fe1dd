import stableJson from 'safe-stable-stringify'
import { z } from 'zod'
import type { Catalogue } from '../core/catalogue/catalogue.ts'
import { type Trace, traceSchema } from '../core/documents/trace.ts'
import { type ParsedTrace, parseTrace } from '../core/soundness/parseTrace.ts'

/** A trace as a file: its document as JSON, fields in alphabetical order, so that the same trace is the same bytes. */
export function writeTraceFile(trace: Trace): string {
  return `${stableJson(trace, null, 2)}\n`
}

/** Reads a trace file of this format or an earlier one, or says every fault with the path to it. */
export function readTraceFile(text: string, catalogue: Catalogue): ParsedTrace {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    return { ok: false, issues: [{ path: [], message: `is not JSON: ${(error as Error).message}` }] }
  }
  return parseTrace(value, catalogue)
}

/** The JSON Schema of a trace file; what must hold between pieces is beyond it, and is checked on reading. */
export function traceJsonSchema(): object {
  return {
    ...z.toJSONSchema(traceSchema, { io: 'input' }),
    title: 'Wide Reach trace',
    description: 'SI throughout: a field that has a dimension ends in its unit.',
  }
}

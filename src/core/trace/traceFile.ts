import { z } from 'zod'
import { type Issue, type ParsedTrace, parseTrace } from './parseTrace.ts'
import { type Trace, traceShape } from './schema.ts'

/** A trace as a file: its document as JSON, fields in alphabetical order, so that the same trace is the same bytes. */
export function writeTraceFile(trace: Trace): string {
  return `${JSON.stringify(inOrder(trace), null, 2)}\n`
}

/** Reads a trace file, or says every fault with the path to it. */
export function readTraceFile(text: string): ParsedTrace {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    return { ok: false, issues: [{ path: [], message: `is not JSON: ${(error as Error).message}` } satisfies Issue] }
  }
  return parseTrace(value)
}

/** The JSON Schema of a trace file; what must hold between pieces is beyond it, and is checked on reading. */
export function traceJsonSchema(): object {
  return {
    ...z.toJSONSchema(traceShape, { io: 'input' }),
    title: 'Wide Reach trace',
    description: 'SI throughout: a field that has a dimension ends in its unit.',
  }
}

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder)
  if (typeof value !== 'object' || value === null) return value
  const entries = Object.entries(value).filter(([, each]) => each !== undefined)
  return Object.fromEntries(entries.toSorted(([a], [b]) => (a < b ? -1 : 1)).map(([key, each]) => [key, inOrder(each)]))
}

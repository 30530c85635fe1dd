import stableJson from 'safe-stable-stringify'
import type { Conditions } from '../core/documents/conditions.ts'
import type { Fish } from '../core/documents/fish.ts'
import type { Mark } from '../core/documents/mark.ts'
import type { Outfit } from '../core/documents/outfit.ts'
import type { Trace } from '../core/documents/trace.ts'

/** A trace with all that its verdicts depend on, by value. Files from before 2026-11-30 have the trace alone. */
export type TraceFile = {
  trace: Trace
  outfit?: Outfit | undefined
  conditions?: Conditions | undefined
  mark?: Mark | undefined
  fish?: Fish | undefined
}

export const FILE_VERSION = 1

/** The file as JSON, fields in alphabetical order, so that the same content is the same bytes. */
export const writeTraceFile = (file: TraceFile): string => `${stableJson({ formatVersion: FILE_VERSION, ...file }, null, 2)}\n`

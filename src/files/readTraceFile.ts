import { z } from 'zod'
import type { Catalogue } from '../core/catalogue/catalogue.ts'
import { conditionsSchema } from '../core/documents/conditions.ts'
import { traceSchema } from '../core/documents/trace.ts'
import { newerWords, type Upgraded, upgrade } from '../core/documents/upgrade.ts'
import { soundnessIssues } from '../core/soundness/soundness.ts'
import { DOCUMENT_KINDS } from '../shared/documentKinds.ts'
import { type FaultAt, faultsInWords, readJson } from './jsonFaults.ts'
import type { ReadFile } from './readCsv.ts'
import { FILE_VERSION, type TraceFile } from './traceFile.ts'

const { outfits, marks, fish } = DOCUMENT_KINDS

const fileSchema = z.strictObject({
  formatVersion: z.literal(FILE_VERSION),
  trace: traceSchema,
  outfit: outfits.content.optional(),
  conditions: conditionsSchema.optional(),
  mark: marks.content.optional(),
  fish: fish.content.optional(),
})

/** How each document of an earlier format becomes the newest. */
const LIFTS: Record<keyof TraceFile, (value: unknown) => Upgraded> = {
  trace: (value) => upgrade('trace', value),
  outfit: outfits.lift,
  conditions: (value) => upgrade('conditions', value),
  mark: marks.lift,
  fish: fish.lift,
}

/** Reads a trace file of this format or an earlier one, or says every fault in words, with its line. */
export function readTraceFile(text: string, catalogue: Catalogue): ReadFile<TraceFile> {
  const json = readJson(text.replace(/^\uFEFF/, ''))
  if (!json.ok) return json
  const { value } = json
  const isAlone = isRecord(value) && !('trace' in value)
  const under = (path: readonly PropertyKey[]) => (isAlone ? path.slice(1) : path)
  const refuse = (faults: readonly FaultAt[], lifted: unknown): ReadFile<never> => ({
    ok: false,
    faults: faultsInWords(faults, lifted, (path) => json.lineOf(under(path))),
  })
  const parts: Record<string, unknown> = isAlone ? { formatVersion: FILE_VERSION, trace: value } : { ...(value as object) }
  if (typeof parts.formatVersion === 'number' && parts.formatVersion > FILE_VERSION)
    return refuse([{ path: ['formatVersion'], message: newerWords('file') }], parts)
  for (const [name, lift] of Object.entries(LIFTS)) {
    if (parts[name] === undefined) continue
    const lifted = lift(parts[name])
    if ('newerVersion' in lifted) return refuse([{ path: [name], message: newerWords(name) }], parts)
    parts[name] = lifted.value
  }
  const read = fileSchema.safeParse(isRecord(value) ? parts : value)
  if (!read.success) return refuse(read.error.issues, parts)
  const unsound = soundnessIssues(read.data.trace, catalogue)
  if (unsound.length > 0)
    return refuse(
      unsound.map(({ path, message }) => ({ path: ['trace', ...path], message })),
      parts,
    )
  const { formatVersion: _, ...file } = read.data
  return { ok: true, value: file }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The JSON Schema of a trace file; what must hold between pieces is beyond it, and is checked on reading. */
export function traceJsonSchema(): object {
  return {
    ...z.toJSONSchema(fileSchema, { io: 'input' }),
    title: 'Wide Reach trace file',
    description:
      'A trace with the outfit, conditions, mark and fish that it is judged with. SI throughout: a field that has a dimension ends in its unit.',
  }
}

// npm run docs: writes the reference page of the calculations from their registry, and the JSON Schema of a trace file.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { traceJsonSchema } from '../src/files/readTraceFile.ts'
import { ROOT } from '../src/server/root.ts'
import { calculationsPage } from './lib/calculationsPage.ts'

writeFileSync(join(ROOT, 'docs', 'calculations.md'), calculationsPage())
writeFileSync(join(ROOT, 'docs', 'trace.schema.json'), `${JSON.stringify(traceJsonSchema(), null, 2)}\n`)

import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { calculationsPage } from '../../scripts/lib/calculationsPage.ts'
import { traceJsonSchema } from '../../src/files/readTraceFile.ts'
import { ROOT } from '../../src/server/root.ts'

test('the reference page is what the registry says (else: npm run docs)', () => {
  expect(readFileSync(join(ROOT, 'docs', 'calculations.md'), 'utf8')).toBe(calculationsPage())
})

test('the published schema of a trace file is the one in force (else: npm run docs)', () => {
  expect(JSON.parse(readFileSync(join(ROOT, 'docs', 'trace.schema.json'), 'utf8'))).toEqual(traceJsonSchema())
})

test('every file that the README links to is there', () => {
  const links = [...readFileSync(join(ROOT, 'README.md'), 'utf8').matchAll(/\]\(([^)#:]+)\)/g)].map(([, link]) => link!)
  expect(links.length).toBeGreaterThan(0)
  for (const link of links) expect(existsSync(join(ROOT, link)), link).toBe(true)
})

import { Ajv2020 } from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../tests/fixtures/families.ts'
import { STARTS, traceArb } from '../../tests/fixtures/randomTraces.ts'
import { catalogue } from '../../tests/fixtures/setups.ts'
import { readTraceFile, traceJsonSchema, writeTraceFile } from './traceFile.ts'

const validate = new Ajv2020({ strict: false }).compile(traceJsonSchema())
const [ledger] = FAMILY_FIXTURES
const plain = () => JSON.parse(writeTraceFile(ledger!.trace))

test('a validator of another hand takes every family’s document and draft', () => {
  for (const trace of STARTS) expect(validate(JSON.parse(writeTraceFile(trace))), JSON.stringify(validate.errors)).toBe(true)
})

type Broken = (document: ReturnType<typeof plain>) => void
const BROKEN: Record<string, Broken> = {
  'another version': (d) => Object.assign(d, { formatVersion: 99 }),
  'no name': (d) => delete d.name,
  'an empty name': (d) => Object.assign(d, { name: '' }),
  'a name over 80 letters': (d) => Object.assign(d, { name: 'x'.repeat(81) }),
  'no pieces at all': (d) => delete d.pieces,
  'pieces that are no list': (d) => Object.assign(d, { pieces: {} }),
  'over 200 pieces': (d) => Object.assign(d, { pieces: Array(201).fill(d.pieces[0]) }),
  'a field nobody knows': (d) => Object.assign(d, { colour: 'red' }),
  'a piece without an id': (d) => delete d.pieces[0].id,
  'an id with a space': (d) => Object.assign(d.pieces[0], { id: 'my leader' }),
  'a role nobody knows': (d) => Object.assign(d.pieces[0], { role: 'spoon' }),
  'a line without strength': (d) => delete d.pieces[0].strengthN,
  'a strength below nothing': (d) => Object.assign(d.pieces[0], { strengthN: -5 }),
  'a strength as text': (d) => Object.assign(d.pieces[0], { strengthN: '40 lb' }),
  'a length beyond reason': (d) => Object.assign(d.pieces[0], { lengthM: 1e9 }),
  'a material nobody knows': (d) => Object.assign(d.pieces[0], { material: 'silk' }),
  'a knot nobody knows': (d) => Object.assign(d.pieces[0].attach.joint, { connection: 'granny' }),
  'an efficiency over one': (d) => Object.assign(d.pieces[0].attach.joint, { own: { efficiency: 1.2 } }),
  'half a turn': (d) => Object.assign(d.pieces[0].attach.joint, { turns: 2.5 }),
  'a piece that hangs in no known way': (d) => Object.assign(d.pieces[0].attach, { how: 'glued' }),
  'a piece that hangs from nothing': (d) => delete d.pieces[0].attach,
  'a sinker without weight': (d) => delete d.pieces[1].massKg,
  'notes over 4000 letters': (d) => Object.assign(d, { notes: 'x'.repeat(4001) }),
}

test.each(Object.entries(BROKEN))('schema and reader both refuse %s', (_, breakIt) => {
  const document = plain()
  expect(validate(document)).toBe(true)
  breakIt(document)
  expect(validate(document)).toBe(false)
  const read = readTraceFile(JSON.stringify(document), catalogue)
  expect(read.ok).toBe(false)
  if (!read.ok) expect(read.issues[0]!.message.length).toBeGreaterThan(3)
})

test('what is no JSON, or no trace, is said in words', () => {
  for (const text of ['', '{', '<gpx/>', '[]', 'null', '42', '"trace"', '{"formatVersion":1}']) {
    const read = readTraceFile(text, catalogue)
    expect(read.ok, text).toBe(false)
  }
})

test('out, in and out again gives the same bytes, whatever order the fields came in', () => {
  fc.assert(
    fc.property(traceArb, (trace) => {
      const text = writeTraceFile(trace)
      const read = readTraceFile(text, catalogue)
      expect(read.ok && writeTraceFile(read.trace)).toBe(text)
      const shuffled = JSON.parse(text, (_, value) =>
        value && typeof value === 'object' && !Array.isArray(value)
          ? Object.fromEntries(Object.entries(value).toReversed())
          : value,
      )
      const again = readTraceFile(JSON.stringify(shuffled), catalogue)
      expect(again.ok && writeTraceFile(again.trace)).toBe(text)
    }),
    { numRuns: 60 },
  )
})

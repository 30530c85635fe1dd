import { Ajv2020 } from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { atDepth } from '../../tests/depth.ts'
import { FAMILY_FIXTURES } from '../../tests/fixtures/families.ts'
import { braidOutfit } from '../../tests/fixtures/outfits.ts'
import { STARTS, traceArb } from '../../tests/fixtures/randomTraces.ts'
import { catalogue } from '../../tests/fixtures/setups.ts'
import { evaluate } from '../core/analysis/evaluate.ts'
import { defaultConditions } from '../core/documents/conditions.ts'
import { markSchema } from '../core/documents/mark.ts'
import type { Trace } from '../core/documents/trace.ts'
import { defaultWater } from '../core/documents/water.ts'
import { resultsOf } from '../core/moments/judge.ts'
import { demoId } from '../server/demo/demoId.ts'
import { DEMO_FISH } from '../server/demo/fish.ts'
import { DEMO_MARKS } from '../server/demo/marks.ts'
import { DEMO_OUTFITS } from '../server/demo/outfits.ts'
import { demoTraces } from '../server/demo/traces.ts'
import { readTraceFile, traceJsonSchema } from './readTraceFile.ts'
import { writeTraceFile } from './traceFile.ts'

const validate = new Ajv2020({ strict: false }).compile(traceJsonSchema())
const [ledger] = FAMILY_FIXTURES
const water = defaultWater(catalogue, 'anchor')
const around = { outfit: braidOutfit(50), conditions: defaultConditions({ water }) }
const whole = (trace: Trace) => writeTraceFile({ trace, ...around })
const plain = () => JSON.parse(whole(ledger!.trace))

test('a validator of another hand takes every family’s document and draft', () => {
  for (const trace of STARTS) expect(validate(JSON.parse(whole(trace))), JSON.stringify(validate.errors)).toBe(true)
})

type Broken = (trace: any, file: any) => void
/** What is broken in a file, and what its reader says of it. */
const BROKEN: Record<string, [Broken, string]> = {
  'another version': [(d) => Object.assign(d, { formatVersion: 99 }), 'was saved by a newer version'],
  'no name': [(d) => delete d.name, 'the name is missing'],
  'an empty name': [(d) => Object.assign(d, { name: '' }), 'the name needs a name'],
  'a name over 80 letters': [(d) => Object.assign(d, { name: 'x'.repeat(81) }), 'the name is over 80 letters'],
  'no pieces at all': [(d) => delete d.pieces, 'the list of parts is missing'],
  'a field nobody knows': [(d) => Object.assign(d, { colour: 'red' }), '“colour” is not a field that is known here'],
  'a piece without an id': [(d) => delete d.pieces[0].id, 'part 1: the id is missing'],
  'a role nobody knows': [
    (d) => Object.assign(d.pieces[0], { role: 'snod' }),
    'this uses a kind of part called “snod”; the nearest is “snood”',
  ],
  'a part nobody knows': [
    (d) =>
      Object.assign(
        d.pieces.find(({ role }: any) => role === 'hardware'),
        { type: 'swivvel' },
      ),
    'this uses a part called “swivvel”; the nearest is “swivel”',
  ],
  'a line without strength': [(d) => delete d.pieces[0].strengthN, 'the strength is missing'],
  'a strength below nothing': [(d) => Object.assign(d.pieces[0], { strengthN: -5 }), 'the strength '],
  'a strength as text': [(d) => Object.assign(d.pieces[0], { strengthN: '40 lb' }), 'the strength must be a number'],
  'a length beyond reason': [(d) => Object.assign(d.pieces[0], { lengthM: 1e9 }), 'the length '],
  'a material nobody knows': [
    (d) => Object.assign(d.pieces[0], { material: 'flouro' }),
    'this uses a material called “flouro”; the nearest is “fluoro”',
  ],
  'a knot nobody knows': [
    (d) => Object.assign(d.pieces[0].attach.joint, { connection: 'palomer' }),
    'a knot called “palomer”; the nearest is “palomar”',
  ],
  'half a turn': [(d) => Object.assign(d.pieces[0].attach.joint, { turns: 2.5 }), 'the turns must be a whole number'],
  'a piece that hangs from nothing': [(d) => delete d.pieces[0].attach, 'the way of hanging is missing'],
  'a fish without a drag': [(_, file) => Object.assign(file.conditions, { dragN: 'hard' }), 'the drag must be a number'],
  'a rod of no length': [(_, file) => Object.assign(file.outfit.rod, { lengthM: 0 }), 'the length '],
}

test.each(Object.entries(BROKEN))('schema and reader both refuse %s, in words and with its line', (_, [breakIt, words]) => {
  const document = plain()
  expect(validate(document)).toBe(true)
  breakIt(document.trace, document)
  expect(validate(document)).toBe(false)
  const read = readTraceFile(JSON.stringify(document, null, 2), catalogue)
  const [fault] = read.ok ? [] : read.faults
  expect(fault?.message).toContain(words)
  expect(fault?.message).not.toMatch(/Invalid|expected|undefined|object Object/)
  expect(fault?.line).toBeGreaterThan(0)
})

test('a fault has the line that it stands on', () => {
  const text = whole(ledger!.trace)
  const at = text.split('\n').findIndex((line) => line.includes('"connection"')) + 1
  const read = readTraceFile(text.replace(/"connection": "[^"]*"/, '"connection": "granny"'), catalogue)
  expect(read.ok ? [] : read.faults.map(({ line }) => line)).toEqual([at])
})

test('what is no JSON, or no trace, is said in words', () => {
  for (const text of [
    '',
    '{',
    '<gpx/>',
    '[]',
    'null',
    '42',
    '"trace"',
    '{"formatVersion":1}',
    '[{'.repeat(100_000),
    '{"a":1,}',
  ]) {
    const read = readTraceFile(text, catalogue)
    expect(read.ok, text.slice(0, 20)).toBe(false)
    if (!read.ok) expect(read.faults[0]!.message).not.toMatch(/Invalid|expected (string|object)|undefined/)
  }
  const braces = JSON.parse(whole({ ...ledger!.trace, notes: '{['.repeat(200) }))
  expect(readTraceFile(JSON.stringify(braces), catalogue).ok).toBe(true)
})

test('out, in and out again gives the same bytes, whatever order the fields came in', () => {
  fc.assert(
    fc.property(traceArb, (trace) => {
      const text = whole(trace)
      const read = readTraceFile(text, catalogue)
      expect(read.ok && writeTraceFile(read.value)).toBe(text)
      const shuffled = JSON.parse(text, (_, value) =>
        value && typeof value === 'object' && !Array.isArray(value)
          ? Object.fromEntries(Object.entries(value).toReversed())
          : value,
      )
      const again = readTraceFile(JSON.stringify(shuffled), catalogue)
      expect(again.ok && writeTraceFile(again.value)).toBe(text)
    }),
    { numRuns: atDepth(20, 60) },
  )
})

test('a file of the trace alone, as exported before 2026-11-30, is still read', () => {
  const read = readTraceFile(JSON.stringify(ledger!.trace), catalogue)
  expect(read.ok && read.value).toEqual({ trace: ledger!.trace })
})

test.each(demoTraces())(
  '$content.trace.name: after export and import its evaluation is the same to the last digit',
  ({ content }) => {
    const outfit = Object.values(DEMO_OUTFITS).find(({ id }) => id === content.outfitId)!.content
    const mark = DEMO_MARKS.find(({ name }) => demoId(name) === content.markId)
    const given = { ...content, outfit, ...(mark ? { mark: markSchema.parse(mark) } : {}), fish: DEMO_FISH[0]! }
    const { outfitId: _, markId: __, ...file } = given
    const read = readTraceFile(writeTraceFile(file), catalogue)
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    expect(read.value).toEqual(file)
    const evaluated = ({ trace, outfit, conditions }: typeof read.value) => {
      const evaluation = evaluate({ trace, outfit: outfit!, conditions: conditions!, catalogue })
      const results = resultsOf(evaluation).map(({ moment, verdict, figure, margin, inputs }) => [
        moment,
        verdict,
        figure,
        margin,
        inputs,
      ])
      return [results, evaluation.findings.map(({ id, figure }) => [id, figure])]
    }
    expect(evaluated(read.value)).toEqual(evaluated(file))
  },
)

test('a hostile file is refused in a few short sentences', () => {
  const document = plain()
  const [hardware] = document.trace.pieces.filter(({ role }: { role: string }) => role === 'hardware')
  const hostile = [
    { ...document, trace: { ...document.trace, pieces: [{ ...hardware, type: 'x'.repeat(1_000_000) }] } },
    {
      ...document,
      trace: { ...document.trace, ...Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`key${i}`, i])) },
    },
    { ...document, trace: { ...document.trace, pieces: Array(150).fill({ ...hardware, size: 4 }) } },
    { ...document, fish: { formatVersion: 9 } },
  ]
  for (const each of hostile) {
    const read = readTraceFile(JSON.stringify(each), catalogue)
    const faults = read.ok ? [] : read.faults
    expect(faults.length).toBeGreaterThan(0)
    expect(faults.length).toBeLessThanOrEqual(100)
    for (const { message } of faults) expect(message.length).toBeLessThanOrEqual(300)
  }
})

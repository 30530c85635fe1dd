import { describe, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { parseRequest } from '../analysis/parseRequest.ts'
import { outfitSchema } from '../documents/outfit.ts'
import { MAX_PIECES } from '../documents/vocabulary.ts'
import { parseTrace } from './parseTrace.ts'

type Json = Record<string, unknown> & { pieces: Record<string, unknown>[] }
const ledger = (): Json => structuredClone(FAMILY_FIXTURES[0]!.trace) as unknown as Json
const piece = (trace: Json, id: string) => trace.pieces.find((each) => each.id === id)!
const at = (trace: Json, id: string) => trace.pieces.findIndex((each) => each.id === id)
const joined = (to: string, connection = 'uni') => ({ how: 'joined', to, joint: { connection } })

/** Each breaks the running ledger in one way; the path and message that must come back. */
// biome-ignore format: a table reads better in columns
const BROKEN: [string, (trace: Json) => void, (string | number)[] | ((trace: Json) => (string | number)[]), RegExp][] = [
  ['a cycle', (t) => { piece(t, 'leader').attach = joined('hook-length', 'doubleUni') }, ['pieces', 0, 'attach'], /tied to itself/],
  ['a dangling id', (t) => { piece(t, 'swivel').attach = joined('ghost') }, (t) => ['pieces', at(t, 'swivel'), 'attach', 'to'], /no piece “ghost”/],
  ['a dangling stop', (t) => { piece(t, 'lead').attach = { how: 'sliding', on: 'leader', atM: 1, stops: { below: 'ghost' } } }, (t) => ['pieces', at(t, 'lead'), 'attach', 'stops'], /ghost/],
  ['a stop that holds on nothing itself', (t) => { piece(t, 'lead').attach = { how: 'sliding', on: 'leader', atM: 1, stops: { below: 'bead' } }; piece(t, 'bead').attach = { how: 'sliding', on: 'leader', atM: 2, stops: {} } }, (t) => ['pieces', at(t, 'lead'), 'attach', 'stops'], /no stop below/],
  ['a negative length', (t) => { piece(t, 'leader').lengthM = -1 }, ['pieces', 0, 'lengthM'], /too small/],
  ['a length of text', (t) => { piece(t, 'leader').lengthM = '6' }, ['pieces', 0, 'lengthM'], /number/],
  ['an unknown connection', (t) => { piece(t, 'swivel').attach = joined('leader', 'magic') }, (t) => ['pieces', at(t, 'swivel'), 'attach', 'joint', 'connection'], /./],
  ['a connection not tied in the material', (t) => { piece(t, 'swivel').attach = joined('leader', 'haywire') }, (t) => ['pieces', at(t, 'swivel'), 'attach', 'joint', 'connection'], /cannot be tied in mono/],
  ['a knot with no line beside it', (t) => { piece(t, 'bait').attach = joined('hook', 'uni') }, (t) => ['pieces', at(t, 'bait'), 'attach', 'joint', 'connection'], /no line on either side/],
  ['a line that is fitted', (t) => { piece(t, 'swivel').attach = joined('leader', 'fitted') }, (t) => ['pieces', at(t, 'swivel'), 'attach', 'joint', 'connection'], /needs a knot/],
  ['an id used twice', (t) => { t.pieces.push({ ...piece(t, 'bait') }) }, (t) => ['pieces', t.pieces.length - 1, 'id'], /used twice/],
  ['a word of the outfit’s as id', (t) => { piece(t, 'bait').id = 'main' }, (t) => ['pieces', at(t, 'main'), 'id'], /outfit/],
  ['a place past the line’s end', (t) => { piece(t, 'lead').attach = { how: 'sliding', on: 'leader', atM: 7, stops: { below: 'swivel' } } }, (t) => ['pieces', at(t, 'lead'), 'attach', 'atM'], /past the line/],
  ['a slider with nothing to bear on', (t) => { piece(t, 'lead').attach = { how: 'sliding', on: 'leader', atM: 1, stops: {} } }, (t) => ['pieces', at(t, 'lead'), 'attach', 'stops'], /no stop below/],
  ['a swivel of no known size', (t) => { piece(t, 'swivel').size = '77' }, (t) => ['pieces', at(t, 'swivel'), 'size'], /size of swivel/],
  ['a hook of no known size', (t) => { piece(t, 'hook').size = 'big' }, (t) => ['pieces', at(t, 'hook'), 'size'], /hook size/],
  ['a weak link that is no line', (t) => { t.weakLink = 'swivel' }, ['weakLink'], /not a line/],
  ['a fuse that is no link', (t) => { t.fuse = { at: 'joint', id: 'bait' } }, ['fuse'], /not a link/],
  ['a clip to what slides with nothing below it', (t) => { piece(t, 'lead').attach = { how: 'sliding', on: 'leader', atM: 1, stops: {} }; t.releaseClips = [{ id: 'clip', from: 'leader', to: 'lead', strengthN: 9 }] }, ['releaseClips', 0], /not beyond/],
  ['a clip whose end is above it', (t) => { t.releaseClips = [{ id: 'clip', from: 'hook', to: 'swivel', strengthN: 9 }] }, ['releaseClips', 0], /not beyond/],
  ['a version it does not know', (t) => { t.formatVersion = 99 }, ['formatVersion'], /newer/],
  ['a field it does not know', (t) => { t.colour = 'red' }, [], /colour/],
]

describe('a malformed trace is refused with the path to its fault', () => {
  test.each(BROKEN)('%s', (_name, spoil, path, message) => {
    const trace = ledger()
    spoil(trace)
    const parsed = parseTrace(trace, catalogue)
    expect(parsed.ok).toBe(false)
    const issues = parsed.ok ? [] : parsed.issues
    const wanted = typeof path === 'function' ? path(trace) : path
    const found = issues.find((issue) => JSON.stringify(issue.path) === JSON.stringify(wanted))
    expect(found?.message, JSON.stringify(issues)).toMatch(message)
  })

  test('more than 200 pieces', () => {
    const trace = ledger()
    while (trace.pieces.length <= MAX_PIECES)
      trace.pieces.push({
        id: `bead-${trace.pieces.length}`,
        role: 'hardware',
        type: 'bead',
        attach: { how: 'sliding', on: 'leader', atM: 1, stops: {} },
      })
    const parsed = parseTrace(trace, catalogue)
    expect(parsed.ok ? [] : parsed.issues).toEqual([{ path: ['pieces'], message: expect.stringContaining('200') }])
  })

  test('200 pieces in one chain are read, not drowned in', () => {
    const pieces = Array.from({ length: MAX_PIECES }, (_, i) => ({
      id: `line-${i}`,
      role: 'body',
      material: 'mono',
      strengthN: 100,
      lengthM: 1,
      attach: joined(i === 0 ? 'outfit' : `line-${i - 1}`, 'blood'),
    }))
    expect(parseTrace({ formatVersion: 1, name: 'long', family: 'long', pieces }, catalogue).ok).toBe(true)
  })

  test.each([null, 7, 'trace', []])('%j is no trace', (value) => expect(parseTrace(value, catalogue).ok).toBe(false))
})

describe('an outfit', () => {
  const outfit = braidOutfit(50)
  test.each([
    ['two open lines', { wound: outfit.wound.map(({ lengthM: _, ...line }) => line) }, 'wound'],
    [
      'top shot under the main line',
      {
        wound: [
          { ...outfit.wound[1], role: 'topShot' },
          { ...outfit.wound[1], role: 'main' },
        ],
      },
      'wound',
    ],
    ['no main line', { wound: [outfit.wound[0]] }, 'wound'],
    ['a line wound on without a knot', { wound: [outfit.wound[0], { ...outfit.wound[1], joint: undefined }] }, 'wound'],
    ['an arbor wider than the rim', { reel: { ...outfit.reel, arborRadiusM: 0.05 } }, 'reel'],
  ])('with %s is refused', (_name, change, where) => {
    const parsed = outfitSchema.safeParse({ ...outfit, ...change })
    expect(parsed.success ? undefined : parsed.error.issues[0]!.path[0]).toBe(where)
  })
})

test('a request names the document each fault is in, and a knot that your main line does not take', () => {
  const bad = parseRequest({ trace: ledger(), outfit: {}, conditions: { dragN: -1 } }, catalogue)
  expect(bad.ok ? [] : [...new Set(bad.issues.map(({ path }) => path[0]))]).toEqual(['outfit', 'conditions'])
  const trace = ledger()
  piece(trace, 'leader').attach = joined('outfit', 'haywire')
  piece(trace, 'leader').material = 'wire'
  piece(trace, 'swivel').attach = joined('leader', 'haywire')
  const misfit = parseRequest({ trace, outfit: braidOutfit(50) }, catalogue)
  expect(misfit.ok ? [] : misfit.issues).toEqual([
    {
      path: ['trace', 'pieces', 0, 'attach', 'joint', 'connection'],
      message: expect.stringContaining('cannot be tied in braid'),
    },
  ])
})

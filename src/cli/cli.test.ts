import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../tests/fixtures/families.ts'
import { braidOutfit } from '../../tests/fixtures/outfits.ts'
import { MATERIAL_IDS } from '../core/catalogue/ids.ts'
import { jointOf, pieceNamed } from '../core/documents/pieces.ts'

const folder = mkdtempSync(join(tmpdir(), 'wide-reach-cli-'))
afterAll(() => rmSync(folder, { recursive: true }))

const run = (entry: string, args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/run.mjs', `src/cli/${entry}.ts`, ...args], {
    input,
    encoding: 'utf8',
  })
  return { status, stdout, stderr }
}
const json = JSON.stringify

test('calc prints the result as JSON', () => {
  const { status, stdout } = run('calc', ['strength.waterDrag'], json({ lineOutM: 200, diameterM: 0.00028, speedMperS: 5 }))
  expect([status, JSON.parse(stdout)]).toEqual([0, { dragN: expect.closeTo(21.525, 9) }])
})

test.each([
  ['a field of the wrong type', 'cast.load', json({ massKg: '150' }), ['massKg']],
  ['text that is no JSON', 'cast.load', '{', []],
  ['an unknown name', 'cast.magic', '{}', []],
])('calc ends with 2 and the issues for %s', (_name, calculation, input, path) => {
  const { status, stderr } = run('calc', [calculation], input)
  expect([status, JSON.parse(stderr)[0].path]).toEqual([2, path])
})

test('calc ends with 3 and a code outside the range', () => {
  const { status, stderr } = run(
    'calc',
    ['spool.fill'],
    json({
      capacityLengthM: 100,
      capacityDiameterM: 0.0003,
      arborRadiusM: 0.01,
      fullRadiusM: 0.02,
      layers: [{ id: 'main', diameterM: 0.0003, lengthM: 50 }],
      lineOutM: 51,
    }),
  )
  expect([status, JSON.parse(stderr).code]).toEqual([3, 'line-out-over-spool'])
})

test('evaluate reads a file or standard input, and prints moments, links and findings', () => {
  const request = json({ trace: FAMILY_FIXTURES[0]!.trace, outfit: braidOutfit(50), conditions: { dragN: 40 } })
  const file = join(folder, 'request.json')
  writeFileSync(file, request)
  const fromFile = run('evaluate', [file])
  expect(fromFile.status).toBe(0)
  const report = JSON.parse(fromFile.stdout)
  expect(report.moments.map(({ moment }: { moment: string }) => moment)).toEqual(['cast', 'take', 'run', 'snag', 'hand'])
  for (const moment of report.moments)
    expect(Object.keys(moment).sort()).toEqual(['decides', 'end', 'figure', 'inputs', 'margin', 'moment', 'verdict'])
  expect(report.links[0]).toEqual({ id: 'main', strengthN: expect.any(Number), first: expect.any(Number) })
  expect(run('evaluate', ['-'], request).stdout).toBe(fromFile.stdout)
})

test('evaluate counts with one’s own pulls where they are given, and names a line of theirs that is none', () => {
  const pulls = (rows: string) => {
    const file = join(folder, 'pulls.csv')
    writeFileSync(file, `when,knot,material,line,load,parted\n${rows}`)
    return file
  }
  const { trace } = FAMILY_FIXTURES[0]!
  const request = json({ trace, outfit: braidOutfit(50), conditions: { dragN: 40 } })
  const strengthOf = (args: string[]) => {
    const { links } = JSON.parse(run('evaluate', ['-', ...args], request).stdout)
    return links.find(({ id }: { id: string }) => id === 'leader.joint').strengthN
  }
  const { connection } = jointOf(pieceNamed(trace, 'leader'))!
  const row = (material: string) => `2026-11-20,${connection},${material},100 lb,20 lb,knot\n`
  const own = pulls(MATERIAL_IDS.map(row).join('').repeat(6))
  expect(strengthOf([own])).toBeLessThan(0.6 * strengthOf([]))
  const { status, stderr } = run('evaluate', ['-', pulls('2026-11-20,granny,mono,30 lb,20 lb,knot\n')], request)
  expect([status, JSON.parse(stderr)[0]]).toEqual([
    2,
    { code: 'not_a_pull', path: [2], message: expect.stringContaining('granny') },
  ])
})

test('evaluate ends with 2 for a document that does not hold and 3 for a spool that cannot give the line', () => {
  const broken = run('evaluate', ['-'], json({ trace: {}, outfit: braidOutfit(50) }))
  expect([broken.status, JSON.parse(broken.stderr)[0].path[0]]).toEqual([2, 'trace'])
  const tooFar = run(
    'evaluate',
    ['-'],
    json({ trace: FAMILY_FIXTURES[0]!.trace, outfit: braidOutfit(50), conditions: { lineOutM: 4000 } }),
  )
  expect([tooFar.status, JSON.parse(tooFar.stderr).code]).toEqual([3, 'line-out-over-spool'])
})

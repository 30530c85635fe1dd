import { afterAll, beforeAll, expect, test } from 'vitest'
import { labelPages } from '../../src/core/layout/labelSheet.ts'
import type { CardBody, LabelsBody } from '../../src/shared/print.ts'
import { readPdf } from '../readPdf.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

async function printed(what: 'labels' | 'card', body: unknown): Promise<Uint8Array> {
  const response = await fetch(`http://127.0.0.1:${server.port}/api/print/${what}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  expect(response.headers.get('content-type'), (await response.clone().text()).slice(0, 300)).toBe('application/pdf')
  return new Uint8Array(await response.arrayBuffer())
}

const labels = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    title: `Hound trace ${i + 1}`,
    lines: ['mono 40 lb, 4/0 circle', 'weak link: mono 20 lb', 'tied 30 Nov 2026'],
    address: `http://192.168.1.20:8080/t/${String(i).padStart(10, '0')}`,
  }))
const sheet: LabelsBody['grid'] = {
  kind: 'sheet',
  paper: 'A4',
  columns: 2,
  rows: 4,
  marginXMm: 10,
  marginYMm: 12,
  gapMm: 4,
  skip: 0,
}

const single: LabelsBody['grid'] = { kind: 'single', widthMm: 62, heightMm: 29 }

test('a sheet of labels is read back: its paper, every word, every code, and a scale bar of true length', async () => {
  const read = readPdf(
    await printed('labels', { grid: sheet, labels: labels(9) }),
    labelPages(sheet, 9).map(({ boxes }) => boxes),
  )
  expect(read.pages).toHaveLength(2)
  for (const { widthMm, heightMm } of read.pages) {
    expect(widthMm).toBeCloseTo(210, 1)
    expect(heightMm).toBeCloseTo(297, 1)
  }
  expect(read.codes.toSorted()).toEqual(labels(9).map(({ address }) => address))
  for (const { title, lines } of labels(9)) for (const line of [title, ...lines]) expect(read.text).toContain(line)
  expect(read.text.match(/50 mm: measure it/g)).toHaveLength(2)
})

test('a label by itself has its own page; a name too long is made smaller and then cut, and foreign letters are kept', async () => {
  const long = { ...labels(1)[0]!, title: `Ñandú and Łódź ${'very '.repeat(30)}long`, lines: ['🐟 → 5 lb'] }
  const read = readPdf(
    await printed('labels', { grid: single, labels: [long] }),
    labelPages(single, 1).map(({ boxes }) => boxes),
  )
  expect(read.pages).toEqual([{ widthMm: expect.closeTo(62, 1), heightMm: expect.closeTo(29, 1) }])
  expect(read.text).toMatch(/Ñandú and Łódź very .*…/)
  expect(read.text).toContain('? to 5 lb')
  expect(read.codes).toEqual([long.address])
})

test('labels too small for a code, too many and none are refused in words', async () => {
  const refused = async (body: unknown) => (await server.send('POST', '/print/labels', body)).body.error.message
  expect(await refused({ grid: { ...sheet, columns: 10 }, labels: labels(1) })).toMatch(/too small: at least 25 × 12 mm/)
  expect(await refused({ grid: sheet, labels: [] })).toMatch(/labels/)
  expect(await refused({ grid: sheet, labels: labels(301) })).toMatch(/labels/)
})

const card = (steps: number): CardBody => ({
  paper: 'A4',
  title: 'Hesk Bar hound trace, two booms',
  about: 'for Beach rod, 50 lb braid',
  drawing: {
    width: 400,
    height: 60,
    shapes: [
      { kind: 'path', d: 'M0 20H400', matrix: [1, 0, 0, 1, 0, 0], strokeWidth: 2, dash: [4, 2], fill: 'none' },
      { kind: 'text', text: 'leader 6 m', x: 200, y: 14, size: 10, anchor: 'middle' },
    ],
  },
  sections: [
    { title: 'Cut', rows: [['24 × 52.0 cm', 'mono 40 lb: snood a, snood b']] },
    {
      title: 'Tie',
      rows: Array.from({ length: steps }, (_, i) => `Step number ${i} of the build: tie the snood to the boom.`),
      isNumbered: true,
    },
    { title: 'Verdicts', rows: [['Run', 'holds: set the drag up to 13.1 lb']] },
  ],
  caution: 'Local rules and the licensed skipper come first.',
})

test('a card is one page with all of its words, also of a long trace; one beyond that goes on and loses nothing', async () => {
  for (const [steps, pages] of [
    [8, 1],
    [90, 1],
    [200, 2],
  ] as const) {
    const read = readPdf(await printed('card', card(steps)))
    expect(read.pages.length, `${steps} steps`).toBe(pages)
    for (const words of ['Hesk Bar hound trace', 'leader 6 m', '24 × 52.0 cm', 'set the drag up to 13.1 lb', 'licensed skipper'])
      expect(read.text).toContain(words)
    expect(read.text.match(/Step number \d+/g)).toHaveLength(steps)
  }
})

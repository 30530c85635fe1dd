import { readFileSync, writeFileSync } from 'node:fs'
import { XMLValidator } from 'fast-xml-parser'
import { copyOf, expect, HOUND, processorTime, testOnOpenPage as test, visit } from './fixtures.ts'

test('a hostile file of five megabytes is refused while the page goes on', async ({ page, app }) => {
  await visit(page, `${app.url}/water/marks`)
  await page.getByRole('button', { name: 'Import' }).click()
  const worked = await processorTime(page)
  const atStartS = await worked()
  const nested = `<gpx>${'<a>'.repeat(700_000)}`
  const places = `<gpx>${'<wpt lat="1" lon="2"><name>&amp;&#65;</name></wpt>'.repeat(98_000)}</gpx>`
  for (const text of [nested, places, 'x,'.repeat(2_400_000)]) {
    // By its path, as a person chooses it: handed over by the test, it would hold up the page by itself.
    const file = test.info().outputPath('places.gpx')
    writeFileSync(file, text)
    await page.getByLabel('GPX file').setInputFiles(file)
    await expect(page.getByRole('alert')).toContainText(/not XML|cannot be read|at most|took too long/)
  }
  // Read in the page it was five seconds and more.
  const workedS = (await worked()) - atStartS
  console.log(`${workedS.toFixed(2)} s of the page for three hostile files`)
  expect(workedS).toBeLessThan(1.5)
})

test('the drawing of a trace whose label holds a control character is a sound file', async ({ page, app }) => {
  const id = await copyOf(page, app.url, HOUND, 'odd label')
  const { content } = await (await page.request.get(`${app.url}/api/traces/${id}`)).json()
  const pieces = content.trace.pieces.map((piece: object, i: number) =>
    i === 0 ? { ...piece, label: 'bell\u0007 & <b>' } : piece,
  )
  const data = { baseRevision: 1, content: { ...content, trace: { ...content.trace, pieces } } }
  expect((await page.request.put(`${app.url}/api/traces/${id}`, { data })).ok()).toBe(true)
  await visit(page, `${app.url}/traces/${id}`)
  await page.getByRole('button', { name: 'Export' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: /Drawing and profile/ }).click()
  const svg = readFileSync(await (await download).path(), 'utf8')
  expect(svg).toContain('bell')
  expect(svg).not.toContain('\u0007')
  expect(XMLValidator.validate(svg)).toBe(true)
})

test('a table in UTF-16 is read with every letter, and a picture is refused in words', async ({ page, app }) => {
  await visit(page, `${app.url}/gear/box`)
  await page.getByRole('button', { name: 'Import' }).click()
  const file = page.getByLabel('CSV file')
  const table = 'kind,name,shape,weight\nsinker,Åsa’s bomb,bomb,150 g\n'
  await file.setInputFiles({ name: 'box.csv', mimeType: 'text/csv', buffer: Buffer.from(`\uFEFF${table}`, 'utf16le') })
  await expect(page.getByRole('dialog')).toContainText('1 new: Åsa’s bomb')
  await file.setInputFiles({ name: 'box.csv', mimeType: 'text/csv', buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]) })
  await expect(page.getByRole('alert')).toContainText('The file is not text')
})

test('a trace goes out as text and makes the same trace when it is pasted; what is not understood keeps the text', async ({
  page,
  context,
  app,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await visit(page, `${app.url}/traces/${HOUND}`)
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('menuitem', { name: 'Copy as text' }).click()
  await expect(page.getByText('Copied. Paste it under Import.')).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  expect(text).toMatch(/^leader mono 40 lb 6\.5 m albright, swivel #4 uni, body/)
  await page.getByRole('region', { name: 'Worst finding' }).getByRole('button', { name: 'Copy' }).click()
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toMatch(/^Hesk Bar hound trace, two booms: .*225 g/)
  await visit(page, `${app.url}/traces`)
  await page.getByRole('button', { name: 'Import' }).click()
  const field = page.getByLabel('trace as text')
  await field.fill(`${text}, swivvel`)
  await expect(page.getByRole('alert')).toContainText('the nearest is “swivel”')
  await expect(page.getByRole('button', { name: 'Make this trace' })).toHaveCount(0)
  await field.fill(text)
  await page.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByRole('heading', { name: 'Pasted trace' })).toBeVisible()
  const contentAt = async (id: string) => (await (await page.request.get(`${app.url}/api/traces/${id}`)).json()).content
  const kinds = ({ trace }: { trace: { pieces: { role: string }[] } }) => trace.pieces.map(({ role }) => role).toSorted()
  expect(kinds(await contentAt(page.url().split('/').at(-1)!))).toEqual(kinds(await contentAt(HOUND)))
})

import { readFileSync } from 'node:fs'
import type { APIRequestContext, Page } from '@playwright/test'
import { atDepth } from '../depth.ts'
import { readPdf } from '../readPdf.ts'
import { startApp } from './application.ts'
import { labelPages } from './core.ts'
import { copyOf, expect, HOUND, test as loaded, seriousFaults, testOnOpenPage as test, visit } from './fixtures.ts'

type Item = { id: string; name: string; spools: number[] }

/** What is in the box of what a hound trace is made from. */
async function boxOf(request: APIRequestContext, url: string): Promise<Record<string, Item>> {
  const { documents } = await (await request.get(`${url}/api/gear`)).json()
  const { levels } = await (await request.get(`${url}/api/stock`)).json()
  return Object.fromEntries(
    documents.map(({ id, content: { name } }: { id: string; content: { name: string } }) => [
      name,
      {
        id,
        name,
        spools: levels
          .filter((each: { itemId: string }) => each.itemId === id)
          .map((each: { quantity: number }) => each.quantity),
      },
    ]),
  )
}

const LINE = 'mono 40 lb'
const SWIVEL = 'swivel 4'
const SINKER = 'shore 150 g'

/** Buys what twelve hound traces lack. */
async function buy(request: APIRequestContext, url: string): Promise<void> {
  const box = await boxOf(request, url)
  const bought = (name: string, spool: number, quantity: number) => ({
    id: crypto.randomUUID(),
    itemId: box[name]!.id,
    spool,
    quantity,
    reason: 'bought',
  })
  const spool = box[LINE]!.spools.length + 1
  const movements = [bought(LINE, spool, 100), bought(LINE, spool + 1, 100), bought(SWIVEL, 1, 30), bought(SINKER, 1, 30)]
  expect((await request.post(`${url}/api/stock/movements`, { data: { movements } })).ok()).toBe(true)
}

async function startBatch(page: Page, url: string, trace: string, count: number): Promise<void> {
  await visit(page, `${url}/traces/${trace}/build`)
  await page.getByLabel('traces to make').fill(String(count))
  await page.getByRole('button', { name: 'Start a batch' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('heading', { name: `0 of ${count} finished` })).toBeVisible()
}

async function finish(page: Page, count: number, more: Record<string, string> = {}): Promise<void> {
  await page.getByRole('button', { name: 'Finish traces' }).click()
  const dialog = page.getByRole('dialog', { name: 'Finish traces' })
  await dialog.getByLabel('traces', { exact: true }).fill(String(count))
  for (const [label, text] of Object.entries(more)) await dialog.getByLabel(label).fill(text)
  await dialog.getByRole('button', { name: /^Finish/ }).click()
  await expect(dialog).toBeHidden()
}

const TIED = atDepth(5, 12)
const FINISHED_FIRST = 2
test('traces tied in two windows at once: each sees the other’s ticks, the stock goes down, and undone it is back', async ({
  page,
  context,
  app,
}) => {
  await buy(page.request, app.url)
  const before = await boxOf(page.request, app.url)
  const trace = await copyOf(page, app.url, HOUND, 'tied by two')
  await startBatch(page, app.url, trace, TIED)
  const other = await context.newPage()
  await other.goto(page.url())
  const snoods = (window: Page) => window.getByRole('button', { name: new RegExp(`^${2 * TIED} cuts of .* tick one`) })
  await Promise.all([page, other].map((window) => expect(snoods(window)).toHaveText(`0 / ${2 * TIED}`)))
  await snoods(page).click()
  await expect(snoods(other)).toHaveText(`1 / ${2 * TIED}`)
  await Promise.all([snoods(page).click(), snoods(other).click()])
  await page.getByRole('button', { name: 'Step 1: tick all' }).click()
  for (const window of [page, other]) {
    await expect(snoods(window)).toHaveText(`3 / ${2 * TIED}`)
    await expect(window.getByRole('button', { name: new RegExp(`^Step 1: ${TIED} of ${TIED} done`) })).toBeDisabled()
  }
  // Without a connection the ticks wait; with one again everyone sees them.
  await context.setOffline(true)
  await snoods(page).click()
  await expect(snoods(page)).toHaveText(`4 / ${2 * TIED}`)
  await expect(page.getByText('1 tick waits for the connection')).toBeVisible()
  await context.setOffline(false)
  await expect(snoods(other)).toHaveText(`4 / ${2 * TIED}`)
  await expect(page.getByText('waits for the connection')).toBeHidden()

  await finish(page, FINISHED_FIRST)
  await expect(other.getByRole('heading', { name: `${FINISHED_FIRST} of ${TIED} finished` })).toBeVisible()
  await finish(other, TIED - FINISHED_FIRST)
  await expect(page.getByRole('heading', { name: `${TIED} of ${TIED} finished` })).toBeVisible()
  const after = await boxOf(page.request, app.url)
  for (const name of [SWIVEL, SINKER]) expect(after[name]!.spools).toEqual([before[name]!.spools[0]! - TIED])
  const total = ({ spools }: Item) => spools.reduce((sum, each) => sum + each, 0)
  // Two snoods and the leader of each, cut to the millimetre.
  const cutM = total(before[LINE]!) - total(after[LINE]!)
  expect(cutM).toBeGreaterThan(TIED * (2 * 0.23 + 6.5))
  expect(cutM).toBeLessThan(TIED * (2 * 0.53 + 6.9))

  await visit(page, `${app.url}/traces`)
  await page.getByRole('searchbox').fill('tied by two')
  await expect(page.getByText(`${TIED} ready`)).toBeVisible()
  await other.getByRole('button', { name: `Undo the finishing of ${TIED - FINISHED_FIRST}` }).click()
  await expect(other.getByRole('heading', { name: `${FINISHED_FIRST} of ${TIED} finished` })).toBeVisible()
  await other.getByRole('button', { name: `Undo the finishing of ${FINISHED_FIRST}` }).click()
  await expect(other.getByRole('heading', { name: `0 of ${TIED} finished` })).toBeVisible()
  expect(await boxOf(page.request, app.url)).toEqual(before)
  await expect(snoods(other)).toHaveText(`4 / ${2 * TIED}`)
})

test('a batch keeps its revision when the design changes, and takes a substitute with what it does to the verdicts', async ({
  page,
  app,
}) => {
  await buy(page.request, app.url)
  const trace = await copyOf(page, app.url, HOUND, 'changed later')
  await startBatch(page, app.url, trace, 2)
  const { content } = await (await page.request.get(`${app.url}/api/traces/${trace}`)).json()
  await page.request.put(`${app.url}/api/traces/${trace}`, {
    data: { baseRevision: 1, content: { ...content, trace: { ...content.trace, notes: 'changed' } } },
  })
  await page.reload()
  await expect(page.getByText('This batch is tied by revision 1. The design is at revision 2 now.')).toBeVisible()
  const hooks = page.getByLabel('4/0 circle from the box')
  await expect(page.getByText(/Nearest in the box: circle 3\/0: all verdicts stay\./)).toBeVisible()
  await hooks.selectOption({ label: 'circle 3/0 (substitute)' })
  await expect(page.getByText('With circle 3/0: all verdicts stay.')).toBeVisible()
  const row = page.locator('tr', { has: hooks })
  await expect(row).toContainText('9')
  await finish(page, 1, { 'tied by': 'AB', 'kept in': 'winder 3' })
  await visit(page, `${app.url}/tied`)
  await expect(page.getByText('winder 3 · by AB · circle 3/0 for 4/0 circle')).toBeVisible()
})

test('a tied trace from its batch to its end: listed, labelled, read by its code, on a rod, lost, retired', async ({
  page,
  app,
}, info) => {
  await buy(page.request, app.url)
  // What other tests tied is not labelled here.
  const { documents } = await (await page.request.get(`${app.url}/api/tied`)).json()
  for (const { id } of documents) await page.request.delete(`${app.url}/api/tied/${id}`)
  const trace = await copyOf(page, app.url, HOUND, 'followed')
  await startBatch(page, app.url, trace, 2)
  await finish(page, 2, { 'kept in': 'wallet 2' })
  await visit(page, `${app.url}/tied`)
  const rows = page.getByRole('list', { name: 'Tied traces' }).getByRole('listitem').filter({ hasText: 'followed' })
  await expect(rows).toHaveCount(2)

  await page.getByRole('button', { name: 'Labels for 2' }).click()
  const dialog = page.getByRole('dialog', { name: 'Labels for 2 traces' })
  await expect(dialog.getByRole('img', { name: 'A sheet with 2 labels' })).toBeVisible()
  expect(await seriousFaults(page, '[role=dialog]')).toEqual([])
  const [download] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'PDF' }).click()])
  await download.saveAs(info.outputPath('labels.pdf'))
  const grid = { kind: 'sheet', paper: 'A4', columns: 3, rows: 8, marginXMm: 8, marginYMm: 12, gapMm: 2, skip: 0 } as const
  const read = readPdf(
    readFileSync(info.outputPath('labels.pdf')),
    labelPages(grid, 2).map(({ boxes }) => boxes),
  )
  expect(read.pages).toEqual([{ widthMm: expect.closeTo(210, 1), heightMm: expect.closeTo(297, 1) }])
  for (const words of ['followed 1', 'followed 2', 'mono 40 lb, 4/0 circle', 'breaks first: ', 'tied '])
    expect(read.text).toContain(words)
  expect(read.codes).toHaveLength(2)
  const [svg] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'SVG' }).click()])
  expect(readFileSync(await svg.path(), 'utf8')).toMatch(/width="210mm".*followed 1/)
  await page.keyboard.press('Escape')

  // As a phone does with what the code says.
  await page.setViewportSize({ width: 390, height: 844 })
  await visit(page, read.codes[0]!)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/followed [12]/)
  await expect(page.getByText('wallet 2')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Verdicts' })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  const state = (name: string) => page.getByRole('group', { name: 'State' }).getByRole('button', { name, exact: true })
  for (const name of ['on a rod', 'lost', 'retired']) {
    await state(name).click()
    await expect(state(name)).toHaveAttribute('aria-pressed', 'true')
  }
  await visit(page, `${app.url}/tied`)
  await expect(rows).toHaveCount(1)
  await page.getByLabel('State', { exact: true }).selectOption('retired')
  await expect(rows).toHaveCount(1)
  await visit(page, `${app.url}/t/0123456789`)
  await expect(page.getByRole('alert')).toContainText('This tied trace could not be loaded.')
})

test('the box is counted by the keyboard: differences first, then written; a count that someone moved is shown again', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/gear/box`)
  await page.getByRole('link', { name: 'Count the box' }).click()
  await page.getByLabel('Kind to count').selectOption('hook')
  const field = (name: string) => page.getByRole('textbox', { name: new RegExp(`^${name} `) })
  await field('circle 1').fill('30')
  await page.keyboard.press('Enter')
  await expect(field('circle 1/0')).toBeFocused()
  await page.keyboard.type('33')
  await field('circle 2/0').fill('many')
  await expect(page.getByRole('alert')).toHaveText('Enter a whole number.')
  await field('circle 2/0').fill('')
  // What was typed outlasts a reload.
  await page.reload()
  await expect(page.getByText('2 counted, 2 differ')).toBeVisible()
  const { id } = (await boxOf(page.request, app.url))['circle 1/0']!
  await page.request.post(`${app.url}/api/stock/movements`, {
    data: { movements: [{ id: crypto.randomUUID(), itemId: id, spool: 1, quantity: -4, reason: 'used' }] },
  })
  await page.getByRole('button', { name: 'Look at the differences' }).click()
  const differences = page.getByRole('table', { name: 'Differences' })
  await expect(differences).toContainText('circle 1/034')
  await page.getByRole('button', { name: 'Write them' }).click()
  await expect(page.getByRole('alert')).toContainText('The stock changed while you counted.')
  await expect(differences.getByRole('row', { name: /circle 1\/0/ })).toContainText('+3')
  await page.getByRole('button', { name: 'Write them' }).click()
  await expect(page.getByText('2 counts are written.')).toBeVisible()
  await page.getByRole('link', { name: 'Back to the box' }).click()
  await page.getByLabel('Search the box').fill('circle 1')
  await expect(page.getByLabel('circle 1 on hand')).toHaveText('30')
  await expect(page.getByLabel('circle 1/0 on hand')).toHaveText('33')
  await page.getByRole('button', { name: 'One less circle 1/0' }).click()
  await expect(page.getByLabel('circle 1/0 on hand')).toHaveText('32')
  await page.getByRole('button', { name: 'Edit circle 1/0' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByText(/^Movements/).click()
  await dialog.getByRole('button', { name: 'Undo used 1' }).click()
  await expect(dialog.getByRole('list', { name: 'Movements of stock' })).toContainText('undone')
  await page.keyboard.press('Escape')
  await expect(page.getByLabel('circle 1/0 on hand')).toHaveText('33')
})

test('what is bought from the shopping list is in the box and off the list; undone, it is on it again', async ({ page, app }) => {
  await visit(page, `${app.url}/shopping`)
  // The message about it is a list item too, outside the page's main part.
  const row = page.getByRole('main').getByRole('listitem').filter({ hasText: 'fluoro 40 lb' })
  await expect(row).toContainText('1 × 50 m')
  await row.getByRole('button', { name: 'Bought fluoro 40 lb' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  await expect(row).toHaveCount(0)
  expect((await boxOf(page.request, app.url))['fluoro 40 lb']!.spools).toEqual([6, 50])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toHaveCount(1)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export as CSV' }).click(),
  ])
  expect(readFileSync(await download.path(), 'utf8')).toContain('line,fluoro 40 lb,1 × 50 m,18.00')
})

const ITEMS = atDepth(150, 5_000)
loaded(`${ITEMS} items come in from a table with three bad lines named, and their stock with them`, async ({ page }) => {
  // An application of its own: other tests would find the items in their box.
  const own = await startApp()
  try {
    const good = Array.from({ length: ITEMS }, (_, i) => `hook,many ${i},j,${(i % 8) + 1}/0,${i % 90},5,25,4.5`)
    const bad = ['hook,bad one,j,2/1,3,,,', 'anchor,bad two,,,,,,', 'hook,bad three,j,2/0,-4,,,']
    const file = (name: string, rows: string[]) => ({
      name,
      mimeType: 'text/csv',
      buffer: Buffer.from(`kind,name,pattern,size,on hand,least,in a pack,pack cost\n${rows.join('\n')}\n`),
    })
    await visit(page, `${own.url}/gear/box`)
    await page.getByRole('button', { name: 'Import' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('CSV file').setInputFiles(file('bad.csv', [...good.slice(0, 100), ...bad, ...good.slice(100)]))
    for (const line of [102, 103, 104]) await expect(dialog.getByText(`line ${line}`)).toBeVisible()
    await dialog.getByLabel('CSV file').setInputFiles(file('good.csv', good))
    await expect(dialog).toContainText(`${ITEMS} new:`)
    await dialog.getByRole('button', { name: 'Import them' }).click()
    await expect(dialog).toBeHidden({ timeout: 60_000 })
    await page.getByLabel('Search the box').fill('many 132')
    await expect(page.getByLabel('many 132 on hand')).toHaveText(String(132 % 90))
    await page.getByLabel('Search the box').fill('')
    await page.getByLabel('Stock', { exact: true }).selectOption('low')
    await expect(page.getByRole('table', { name: 'What is in the box' }).getByText('low').first()).toBeVisible()
  } finally {
    await own.close()
  }
})

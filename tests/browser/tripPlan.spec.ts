import { readFileSync } from 'node:fs'
import { expect, HOUND, seriousFaults, testOnOpenPage as test, visit } from './fixtures.ts'
import { eventsOf, startTrip } from './tripSteps.ts'

/** What a download holds. */
const textOf = async (download: { path: () => Promise<string> }) => readFileSync(await download.path(), 'utf8')

test('a trip over two marks has the hours, water and sinkers of each, and the way back; it goes out as text, calendar and page', async ({
  page,
  app,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await visit(page, `${app.url}/trips/new`)
  await page.getByLabel('day', { exact: true }).fill('2026-12-01')
  const proposed = page.getByRole('region', { name: 'Proposed' })
  // Hours are proposed with what speaks for them; the trip takes them, and has its own back.
  await proposed
    .getByRole('listitem')
    .filter({ hasText: /^\d\d:\d\d to \d\d:\d\d dark without a moon/ })
    .getByRole('button', { name: /^Use these/ })
    .click()
  await expect(proposed.getByText('chosen')).toHaveCount(1)
  await expect(proposed.getByText(/^Hesk Bar, \d\d:\d\d to \d\d:\d\d$/)).not.toHaveText('Hesk Bar, 18:00 to 23:00')
  await page.getByLabel('hours', { exact: true }).fill('18:00')
  await page.getByLabel('to', { exact: true }).fill('23:00')
  await expect(proposed.getByText('Hesk Bar, 18:00 to 23:00')).toBeVisible()
  await page.getByLabel('another mark').selectOption({ label: 'Long Ledge' })
  await proposed.getByRole('button', { name: 'Take it' }).first().click()
  await expect(proposed).toContainText('Long Ledge, 20:30 to 23:00')
  await expect(proposed.getByText(/^Sinkers: 18:00 /)).toBeVisible()
  await expect(proposed.getByText(/^Sinkers: 20:30 /)).toBeVisible()
  await expect(proposed).toContainText(/The tide closes the way back at 22:\d\d\. Start back by 21:\d\d\./)
  await expect(proposed).toContainText('Wear a life jacket.')
  // The second mark from an hour of its own.
  await page.getByLabel('from', { exact: true }).fill('22:00')
  await expect(proposed).toContainText('Long Ledge, 22:00 to 23:00')
  await page.getByLabel('from', { exact: true }).fill('')
  await expect(proposed).toContainText('Long Ledge, 20:30 to 23:00')
  // Only what is ticked goes along, and the wind is known better.
  const gear = page.getByRole('region', { name: 'Gear along' })
  await gear.getByRole('checkbox', { name: 'the whole tackle box' }).uncheck()
  await gear.getByRole('textbox', { name: 'search the box' }).fill('circle 3/0')
  await gear.getByRole('checkbox', { name: 'circle 3/0' }).check()
  await expect(gear.getByText(/^1 of \d+$/)).toBeVisible()
  await page.getByLabel('wind', { exact: true }).fill('20 kn')
  await expect(proposed.getByText('Wind up to 20.0 kn, as you expect.')).toHaveCount(2)
  await expect(proposed.getByText(/^Sinkers: 18:00 /)).toBeVisible()
  await page.getByRole('button', { name: 'Share' }).click()
  await expect(page.getByText('The plan is copied as text.')).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  for (const words of ['Long Ledge, 20:30 to 23:00', 'Sinkers: 18:00', 'The tide closes the way back', 'baits:', 'Take care'])
    expect(text).toContain(words)
  await page.getByRole('button', { name: 'Export' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Calendar (iCalendar)' }).click(),
  ])
  const calendar = await textOf(download)
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(2)
  expect(calendar).toContain('DTSTART:20261201T203000Z')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'Packing list' })).toBeHidden()
  await expect(page.getByRole('heading', { name: 'Take care' })).toBeVisible()
  const pdf = await page.pdf({ format: 'A4' })
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
  await page.emulateMedia({ media: 'screen' })
  expect(await seriousFaults(page)).toEqual([])
})

test('the log is corrected, goes out and comes in as a table, and what the trip did to the gear is confirmed once', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const trip = await startTrip(page, app.url)
  const tied = {
    formatVersion: 1,
    name: 'Spare hound trace',
    traceId: HOUND,
    traceRevision: 1,
    tiedOn: '2026-11-20',
    state: 'ready',
  }
  const made = await page.request.post(`${app.url}/api/tied`, { data: { id: crypto.randomUUID(), content: tied } })
  expect(made.status()).toBe(201)
  const main = page.getByRole('main')
  await main.getByRole('button', { name: 'Sinker' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^150 g/ })
    .first()
    .click()
  await main.getByRole('button', { name: 'Trace', exact: true }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Spare hound trace/ })
    .click()
  await main.getByRole('button', { name: 'Fish', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await main.getByRole('button', { name: 'Snag', exact: true }).click()
  await page.getByRole('button', { name: 'the sinker' }).click()
  await expect(page.getByText('all sent')).toBeVisible()
  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'On the tide' })).toBeVisible()
  const log = page.getByRole('list', { name: 'Log' }).getByRole('listitem')
  await expect(log).toHaveCount(4)

  // The fish was large, hooked deep, and ten minutes earlier.
  await log
    .filter({ hasText: 'hooked in the lip' })
    .getByRole('button', { name: /correct$/ })
    .click()
  const panel = page.getByRole('dialog', { name: 'Correct' })
  await panel.getByRole('button', { name: 'large' }).click()
  await panel.getByRole('button', { name: 'deep' }).click()
  await panel.getByRole('button', { name: '10 minutes earlier' }).click()
  expect(await seriousFaults(page)).toEqual([])
  await panel.getByRole('button', { name: 'Save' }).click()
  await expect(log.filter({ hasText: /large, .*, hooked deep/ })).toHaveCount(1)
  await expect(log).toHaveCount(4)
  await expect(page.getByText('all sent')).toBeVisible()
  const events = await eventsOf(page.request, app.url, trip)
  expect(events.map(({ kind, what }) => what?.type ?? kind)).toEqual(['changed', 'changed', 'fish', 'snag', 'retraction', 'fish'])
  const [was, is] = events.filter(({ what }) => what?.type === 'fish')
  expect(Date.parse(was!.at) - Date.parse(is!.at)).toBe(600_000)

  await page.getByRole('button', { name: 'Export' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Log as CSV' }).click(),
  ])
  const csv = await textOf(download)
  expect(csv.trim().split('\n')).toHaveLength(5)
  await page.getByRole('button', { name: 'Import' }).click()
  await page.getByLabel('CSV file').setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${csv}\n${csv.split('\n')[1]!.replace(/[^,]*$/, '')}`),
  })
  await expect(page.getByRole('dialog')).toContainText('5 events in this table.')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Import/ })
    .click()
  await expect(log).toHaveCount(5)

  // A photo of a megabyte is made small, and stays here; what is no picture is said to be none.
  const photo = Buffer.from(
    await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(1_700, 1_200)
      const context = canvas.getContext('2d')!
      const noise = context.createImageData(1_700, 1_200)
      for (let i = 0; i < noise.data.length; i += 1) noise.data[i] = i % 4 === 3 ? 255 : (i * 2_654_435_761) % 251
      context.putImageData(noise, 0, 0)
      const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })).arrayBuffer())
      return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    }),
    'base64',
  )
  expect(photo.length).toBeGreaterThan(1_000_000)
  const add = page.getByLabel('Add photos')
  await add.setInputFiles({ name: 'fish.jpg', mimeType: 'image/jpeg', buffer: photo })
  await expect(page.getByRole('img', { name: /^Added/ })).toHaveCount(1)
  const size = await page.getByRole('img', { name: /^Added/ }).evaluate(async (image: HTMLImageElement) => {
    await image.decode()
    return Math.max(image.naturalWidth, image.naturalHeight)
  })
  expect(size).toBeLessThanOrEqual(1_600)
  await add.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') })
  await expect(page.getByText('“notes.txt” is not a picture that this browser can read.')).toBeVisible()
  await page.evaluate(() => {
    const { add } = IDBObjectStore.prototype
    IDBObjectStore.prototype.add = () => {
      IDBObjectStore.prototype.add = add
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await add.setInputFiles({ name: 'another.jpg', mimeType: 'image/jpeg', buffer: photo })
  await expect(page.getByText('The photo was not added. This browser has no room left for it')).toBeVisible()
  await expect(page.getByRole('img', { name: /^Added/ })).toHaveCount(1)

  const after = page.getByRole('region', { name: 'After the trip' })
  const levelOf = async () => {
    const { levels } = await (await page.request.get(`${app.url}/api/stock`)).json()
    return levels.reduce((sum: number, { quantity }: { quantity: number }) => sum + quantity, 0)
  }
  const before = await levelOf()
  await after.getByRole('button', { name: 'Take one out of the box' }).click()
  await expect(after).toContainText('taken out of the box')
  expect(await levelOf()).toBe(before - 1)
  await after.getByRole('button', { name: 'Confirm Spare hound trace' }).click()
  await expect(after.getByRole('button', { name: 'Confirm Spare hound trace' })).toHaveCount(0)
  const { documents } = await (await page.request.get(`${app.url}/api/tied`)).json()
  expect(documents.find(({ content }: any) => content.name === 'Spare hound trace').content).toMatchObject({
    state: 'ready',
    usedHard: true,
  })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await seriousFaults(page)).toEqual([])
})

test('what held on a trip teaches the mark, and no more once it is taken back', async ({ page, app }) => {
  const trip = await startTrip(page, app.url)
  const log = page.getByRole('list', { name: 'Log' })
  await page.getByRole('button', { name: 'Held', exact: true }).click()
  await expect(log).toHaveCount(1)
  await expect(page.getByText('all sent')).toBeVisible()
  const events = await eventsOf(page.request, app.url, trip)
  const hold = events.find(({ kind }) => kind === 'hold')
  // Near slack nothing is asked of a sinker, and nothing is learned.
  const told = events.find(({ kind }) => kind === 'event')!.told as { holds?: number }
  expect(hold !== undefined).toBe(told.holds !== undefined)
  await page.getByRole('button', { name: /^Undo Held/ }).click()
  await expect(log).toHaveCount(0)
  await expect(page.getByText('all sent')).toBeVisible()
  const retracted = (await eventsOf(page.request, app.url, trip)).filter(({ kind }) => kind === 'retraction')
  expect(retracted).toHaveLength(hold ? 2 : 1)
})

test('Today says the next trip in five facts on a phone without scrolling, or the three steps where there is nothing', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await visit(page, app.url)
  const glance = page.getByRole('region', { name: 'Next trip' })
  await expect(glance.getByRole('definition')).toHaveCount(5)
  await expect(glance).toContainText(/\d g/)
  for (const fact of await glance.getByRole('definition').all()) {
    const { y, height } = (await fact.boundingBox())!
    expect(y + height).toBeLessThanOrEqual(844)
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await seriousFaults(page)).toEqual([])
  await page.route(/\/api\/(trips|marks|outfits|traces|tied|gear)\?/, (route) =>
    route.fulfill({ json: { documents: [], next: null } }),
  )
  await page.reload()
  for (const name of ['Add your rod', 'Add your mark', 'Make a trace'])
    await expect(page.getByRole('link', { name })).toBeVisible()
})

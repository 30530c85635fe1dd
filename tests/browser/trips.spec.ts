import { freePort } from '../../scripts/lib/freePort.ts'
import { CLIENT_FOLDER } from '../../scripts/lib/project.ts'
import { startServerProcess } from '../../scripts/lib/serverProcess.ts'
import { demoDatabase } from './application.ts'
import { counted, expect, seriousFaults, test } from './fixtures.ts'
import { eventsOf, startTrip } from './tripSteps.ts'

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true })

test('one touch logs a cast, two a fish; what was said before is stored with it, and each can be undone', async ({
  page,
  app,
}) => {
  const trip = await startTrip(page, app.url)
  const log = page.getByRole('list', { name: 'Log' }).getByRole('listitem')
  const does = counted(page)
  await does.click(page.getByRole('button', { name: /^Cast/ }))
  await expect(log).toHaveCount(1)
  expect(does.actions).toBe(1)
  await does.click(page.getByRole('button', { name: 'Fish', exact: true }))
  await does.click(page.getByRole('dialog').getByRole('button', { name: 'Save' }))
  await expect(log.first()).toContainText(/usual, (returned|kept), hooked in the lip/)
  expect(does.actions).toBeLessThanOrEqual(1 + 3)
  await page.getByRole('button', { name: 'Break', exact: true }).click()
  const links = page.getByRole('dialog').getByRole('button', { name: /breaks first in/ })
  await expect(links.first()).toBeVisible()
  await links.first().click()
  await expect(log.first()).toContainText('Break: ')
  await page.getByRole('button', { name: 'Snag', exact: true }).click()
  await page.getByRole('button', { name: 'the sinker' }).click()
  await expect(log).toHaveCount(4)
  await log.first().getByRole('button', { name: /^Undo/ }).click()
  await expect(log).toHaveCount(3)
  // Since a sinker was lost, the page says what to try first.
  await page.getByRole('button', { name: 'Snag', exact: true }).click()
  await page.getByRole('button', { name: 'the sinker' }).click()
  await expect(log).toHaveCount(4)
  const now = page.getByRole('region', { name: 'What to change now' })
  await expect(now.getByRole('listitem').first()).toHaveText(/weak link|shape of sinker/)
  await log.filter({ hasText: 'Snag, sinker lost' }).getByRole('button', { name: /^Undo/ }).click()
  await expect(log).toHaveCount(3)
  await expect(now.getByRole('listitem').first()).toContainText('drag lower')
  await expect(page.getByText('all sent')).toBeVisible()
  const events = await eventsOf(page.request, app.url, trip)
  expect(events.map(({ kind, what }) => what?.type ?? kind)).toEqual([
    'cast',
    'fish',
    'break',
    'snag',
    'retraction',
    'snag',
    'retraction',
  ])
  // The likeliest link first, and no more than certainty together.
  const chances = events[2]!.told!.first!.map(({ chance }) => chance)
  expect(chances).toEqual(chances.toSorted((a, b) => b - a))
  expect(chances.reduce((sum, each) => sum + each, 0)).toBeLessThanOrEqual(1 + 1e-6)
  for (const button of await page.getByRole('main').getByRole('button').all()) {
    const box = (await button.boundingBox())!
    expect(box.height, String(await button.textContent())).toBeGreaterThanOrEqual(48)
  }
  for (const name of [/^Cast/, 'Bite', 'Snag'] as const)
    expect((await page.getByRole('button', { name }).first().boundingBox())!.height).toBeGreaterThanOrEqual(56)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  expect(await seriousFaults(page)).toEqual([])
})

test('what waits outlasts a reload, and what the server refuses for good is kept and shown', async ({ page, app }) => {
  const trip = await startTrip(page, app.url)
  await page.route('**/api/observations/**', (route) => route.abort())
  await page.getByRole('button', { name: /^Cast/ }).click()
  await expect(page.getByText('1 waiting')).toBeVisible()
  await page.reload()
  await expect(page.getByText('1 waiting')).toBeVisible()
  const refusal = { status: 400, json: { error: { code: 'invalid', message: 'The request is not valid.' } } }
  await page.route('**/api/observations', (route) =>
    route.request().method() === 'POST' ? route.fulfill(refusal) : route.continue(),
  )
  await page.route('**/api/observations/many', (route) => route.fulfill(refusal))
  await page.unroute('**/api/observations/**')
  await page.getByRole('button', { name: '1 refused' }).click()
  await expect(page.getByRole('dialog', { name: 'Sending' })).toContainText(
    'The request is not valid. It is kept in this browser.',
  )
  expect(await eventsOf(page.request, app.url, trip)).toEqual([])
  // A refused event does not block the next one and is not sent again with it.
  await page.keyboard.press('Escape')
  await page.unroute('**/api/observations/many')
  const sent = page.waitForRequest('**/api/observations/many')
  await page.getByRole('button', { name: /^Cast/ }).click()
  expect((await sent).postDataJSON().observations).toHaveLength(1)
  await expect(page.getByRole('button', { name: '1 refused' })).toBeVisible()
})

test('a clock that is an hour wrong is said, and what this phone logged is put right', async ({ page, app }) => {
  // The page's own clock; the server's is right.
  await page.clock.install({ time: Date.now() + 3_600_000 })
  const trip = await startTrip(page, app.url)
  const log = page.getByRole('list', { name: 'Log' }).getByRole('listitem')
  await page.getByRole('button', { name: /^Cast/ }).click()
  await expect(log).toHaveCount(1)
  await expect(page.getByText('all sent')).toBeVisible()
  const note = page.getByRole('region', { name: 'Clock' })
  await expect(note).toContainText('This phone’s clock is 1 h ahead of the server’s.')
  await note.getByRole('button', { name: /Use the server’s time/ }).click()
  await expect(note).toBeHidden()
  await page.getByRole('button', { name: 'Bite', exact: true }).click()
  await expect(log).toHaveCount(2)
  await expect(page.getByText('all sent')).toBeVisible()
  const events = await eventsOf(page.request, app.url, trip)
  const [wrong, ...rest] = events.filter(({ kind }) => kind === 'event')
  expect(rest.map(({ what }) => what.type)).toEqual(['cast', 'bite'])
  expect(Date.parse(wrong!.at) - Date.parse(rest[0]!.at)).toBe(3_600_000)
  for (const { at } of rest) expect(Math.abs(Date.parse(at) - Date.now())).toBeLessThan(180_000)
})

test('a server killed while events are sent: each is there once when it is back', async ({ page }) => {
  const { appUrl, migrationsUrl } = await demoDatabase()
  const port = await freePort()
  const settings = { DATABASE_URL: appUrl, MIGRATIONS_URL: migrationsUrl, PORT: String(port), CLIENT_FOLDER }
  let server = await startServerProcess(settings)
  const url = `http://127.0.0.1:${port}`
  try {
    const trip = await startTrip(page, url)
    // Dead before the answer to the second: it may or may not have been stored.
    let sent = 0
    page.on('request', (request) => {
      if (request.url().endsWith('/observations/many') && ++sent === 2) server.kill('SIGKILL')
    })
    for (let n = 0; n < 6; n += 1) await page.getByRole('button', { name: /^Cast/ }).click()
    await expect(page.getByText(/^[1-6] waiting/)).toBeVisible()
    server = await startServerProcess(settings)
    await expect(page.getByText('all sent')).toBeVisible()
    const events = await eventsOf(page.request, url, trip)
    expect(events.map(({ what }) => what.type)).toEqual(Array.from({ length: 6 }, () => 'cast'))
  } finally {
    server.kill('SIGKILL')
  }
})

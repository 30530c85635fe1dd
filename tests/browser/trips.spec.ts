import type { APIRequestContext, Page } from '@playwright/test'
import { counted, expect, seriousFaults, test } from './fixtures.ts'

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true })

type Event = {
  id: string
  kind: string
  rod: string
  at: string
  what: { type: string }
  told?: { first?: { chance: number }[] }
}

const eventsOf = async (request: APIRequestContext, url: string, trip: string): Promise<Event[]> =>
  (await request.get(`${url}/api/observations?trip=${trip}`)).json()

/** Plans a trip for the first mark with the first trace that is proposed, and starts it. */
async function startTrip(page: Page, url: string): Promise<string> {
  await page.goto(`${url}/trips/new`)
  await page.getByRole('button', { name: 'Take it' }).first().click()
  await page.getByRole('textbox', { name: 'to pack' }).fill('headlamp')
  await page.getByRole('textbox', { name: 'to pack' }).press('Enter')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/trips\/[0-9a-f-]{36}$/)
  await page.goto(`${page.url()}/fish`)
  await page.getByRole('button', { name: 'Start the trip' }).click()
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  return page.url().split('/').at(-2)!
}

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

test('forty events on two phones without a network: all are kept, and arrive once each and in order when it is back', async ({
  page,
  browser,
  app,
}) => {
  const trip = await startTrip(page, app.url)
  const otherPhone = await browser.newContext({ viewport: { width: 360, height: 740 } })
  const other = await otherPhone.newPage()
  await other.goto(`${app.url}/trips/${trip}/fish`)
  await expect(other.getByRole('button', { name: 'End the trip' })).toBeVisible()
  const phones = [page, other]
  for (const phone of phones) await phone.context().setOffline(true)
  const touched: Record<'cast' | 'bite', number>[] = phones.map(() => ({ cast: 0, bite: 0 }))
  await Promise.all(
    phones.map(async (phone, i) => {
      for (let n = 0; n < 20; n += 1) {
        const type = (n + i) % 3 === 0 ? 'bite' : 'cast'
        await phone
          .getByRole('button', { name: type === 'bite' ? 'Bite' : /^Cast/ })
          .first()
          .click()
        touched[i]![type] += 1
      }
    }),
  )
  for (const phone of phones) await expect(phone.getByText('20 waiting')).toBeVisible()
  expect(await eventsOf(page.request, app.url, trip).catch(() => [])).toEqual([])
  for (const phone of phones) await phone.context().setOffline(false)
  for (const phone of phones) {
    await expect(phone.getByText('all sent')).toBeVisible()
    await expect(phone.getByRole('list', { name: 'Log' }).getByRole('listitem')).toHaveCount(40)
  }
  const events = await eventsOf(page.request, app.url, trip)
  expect(new Set(events.map(({ id }) => id)).size).toBe(40)
  expect(events).toHaveLength(40)
  for (const type of ['cast', 'bite'] as const)
    expect(events.filter(({ what }) => what.type === type)).toHaveLength(touched[0]![type] + touched[1]![type])
  await otherPhone.close()
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
})

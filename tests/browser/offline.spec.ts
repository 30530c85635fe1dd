import { appendFileSync, cpSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { CLIENT_FOLDER } from '../../scripts/lib/project.ts'
import { atDepth } from '../depth.ts'
import { planTrip } from '../fixtures/planTrip.ts'
import { startApp } from './application.ts'
import { expect, HOUND, test, visit } from './fixtures.ts'
import { eventsOf } from './tripSteps.ts'

// The service worker is the part under test here.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'allow' })

/** Waits until this phone has its copy. */
const isKept = (page: Page) => expect(page.getByText(/^A copy of .* is on this device/)).toBeVisible({ timeout: 90_000 })

test('opened once, everything of a trip opens and computes without a network', async ({ page, app }) => {
  const trip = await planTrip(app.url)
  const { content } = await (await page.request.get(`${app.url}/api/trips/${trip}`)).json()
  for (const path of [`/trips/${trip}`, '/']) {
    await page.goto(app.url + path)
    await isKept(page)
  }
  await page.context().setOffline(true)
  await page.reload()
  await expect(page.getByText(/^No network: this is what the server said/)).toBeVisible()
  const glance = page.getByRole('region', { name: 'Next trip' })
  await expect(glance).toContainText(/(high|low) water \d/)
  await expect(glance).toContainText(/\d g/)
  await visit(page, `${app.url}/trips/${trip}`)
  await expect(page.getByRole('checkbox', { name: 'headlamp' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Proposed' })).toContainText('baits:')
  await visit(page, `${app.url}/traces/${HOUND}`)
  await expect(page.locator('[data-moment=run]')).toContainText(/holds|watch|fails/)
  await visit(page, `${app.url}/traces/${HOUND}/build`)
  await expect(page.getByRole('heading', { name: /cut/i }).first()).toBeVisible()
  await page.goto(`${app.url}/knots`)
  await expect(page.getByRole('link', { name: /uni/i }).first()).toBeVisible()
  await visit(page, `${app.url}/water?trace=${HOUND}&mark=${content.marks[0].id}&day=${content.date}`)
  await expect(page.getByText(/^slack/).first()).toBeVisible()
})

/** Events logged on each of two phones before a reload, and again after it. */
const EVENTS = atDepth(3, 10)

test(`a trip is started and ${4 * EVENTS} events are logged on two phones without a network, reloaded in between: all arrive once, in order, and stay`, async ({
  page,
  browser,
  app,
}) => {
  const trip = await planTrip(app.url)
  const otherPhone = await browser.newContext({ viewport: { width: 360, height: 740 }, serviceWorkers: 'allow' })
  const phones = [page, await otherPhone.newPage()]
  for (const phone of phones) {
    await phone.goto(`${app.url}/trips/${trip}/fish`)
    await isKept(phone)
    await phone.context().setOffline(true)
  }
  await page.getByRole('button', { name: 'Start the trip' }).click()
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  const touched: string[][] = [[], []]
  const touch = async (phone: Page, i: number, times: number) => {
    for (let n = 0; n < times; n += 1) {
      const name = (n + i) % 3 === 0 ? 'Bite' : 'Cast'
      await phone
        .getByRole('button', { name: new RegExp(`^${name}`) })
        .first()
        .click()
      touched[i]!.push(name.toLowerCase())
    }
  }
  await Promise.all(phones.map((phone, i) => touch(phone, i, EVENTS)))
  for (const phone of phones) {
    await expect(phone.getByText(`${EVENTS} waiting`)).toBeVisible()
    await phone.reload()
    await expect(phone.getByText(`${EVENTS} waiting`)).toBeVisible()
  }
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  await Promise.all(phones.map((phone, i) => touch(phone, i, EVENTS)))
  for (const phone of phones) await expect(phone.getByText(`${2 * EVENTS} waiting`)).toBeVisible()
  expect(await eventsOf(page.request, app.url, trip).catch(() => [])).toEqual([])
  for (const phone of phones) await phone.context().setOffline(false)
  for (const phone of phones) {
    await expect(phone.getByText('all sent')).toBeVisible()
    await expect(phone.getByRole('list', { name: 'Log' }).getByRole('listitem')).toHaveCount(4 * EVENTS)
  }
  const events = await eventsOf(page.request, app.url, trip)
  expect(new Set(events.map(({ id }) => id)).size).toBe(4 * EVENTS)
  expect(events).toHaveLength(4 * EVENTS)
  // Each phone's own are in the order in which they were touched.
  const byPhone = [...new Set(events.map(({ phone }) => phone))].map((of) => events.filter(({ phone }) => phone === of))
  expect(byPhone.map((own) => own.map(({ what }) => what.type).join()).toSorted()).toEqual(touched.map(String).toSorted())
  for (const own of byPhone) expect(own.map(({ at }) => at)).toEqual(own.map(({ at }) => at).toSorted())
  await expect
    .poll(async () => (await (await page.request.get(`${app.url}/api/trips/${trip}`)).json()).content.startedAt)
    .toMatch(/^\d{4}/)
  await otherPhone.close()

  // Offline before the list is read again: what is kept of the server is older than what was sent.
  await page.getByRole('button', { name: /^Cast/ }).click()
  await expect.poll(async () => (await eventsOf(page.request, app.url, trip)).length).toBe(4 * EVENTS + 1)
  await expect(page.getByText('all sent')).toBeVisible()
  await page.context().setOffline(true)
  await page.reload()
  await expect(page.getByRole('list', { name: 'Log' }).getByRole('listitem')).toHaveCount(4 * EVENTS + 1)
  await expect(page.getByText('all sent')).toBeVisible()
})

test('a newer version waits until it is asked for, and then the page is of that version', async ({ page }, info) => {
  const clientFolder = info.outputPath('client')
  cpSync(CLIENT_FOLDER, clientFolder, { recursive: true })
  const own = await startApp({ clientFolder })
  try {
    await page.goto(`${own.url}/settings`)
    await page.evaluate(() => navigator.serviceWorker.ready)
    appendFileSync(
      `${clientFolder}/serviceWorker.js`,
      ';self.addEventListener("message", ({ ports }) => ports[0]?.postMessage("newer"))',
    )
    await page.reload()
    const isNewer = () =>
      page.evaluate(async () => {
        const { port1, port2 } = new MessageChannel()
        navigator.serviceWorker.controller!.postMessage('which', [port2])
        return Promise.race([
          new Promise((resolve) => {
            port1.onmessage = () => resolve(true)
          }),
          new Promise((resolve) => setTimeout(() => resolve(false), 200)),
        ])
      })
    await expect(page.getByText('A new version is ready.')).toBeVisible()
    expect(await isNewer()).toBe(false)
    await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Reload' }).click()])
    expect(await isNewer()).toBe(true)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.getByText('A new version is ready.')).toBeHidden()
  } finally {
    await own.close()
  }
})

import { addTraces } from '../fixtures/manyTraces.ts'
import { expect, testOnOwnApp } from './fixtures.ts'

const COUNT = 5_000
/** Four times what is aimed at, alone on the machine: other work beside the tests is no fault of the library. */
const [USABLE_MS, SEARCH_MS] = [6_000, 400]
const test = testOnOwnApp({ fill: (databaseUrl) => addTraces(databaseUrl, COUNT) })

test('five thousand traces: usable at once, few nodes, a search that answers as it is typed, and a filter by verdict that says how far it is', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/settings`)
  const usable: number[] = []
  // A busy machine may hold up one load; not every one.
  while (usable.length < 3 && !(Math.min(...usable) < USABLE_MS)) {
    await page.goto(`${app.url}/traces`)
    await page.getByRole('main').getByText('holds', { exact: true }).first().waitFor()
    usable.push(await page.evaluate(() => performance.now()))
  }
  await expect(page.getByText(`${COUNT + 14} traces`)).toBeVisible()
  const nodes = () => page.evaluate(() => document.getElementsByTagName('*').length)
  expect(await nodes()).toBeLessThan(3_000)

  // From the event of each letter until what it found has been painted.
  const search = page.getByLabel('Search traces')
  await search.evaluate((field) => {
    const times: number[] = []
    Object.assign(window, { searchTimes: times })
    field.addEventListener(
      'input',
      () => {
        const start = performance.now()
        requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - start)))
      },
      { capture: true },
    )
  })
  await search.focus()
  for (const letter of 'conger 4') {
    const before = await page.evaluate(() => (window as unknown as { searchTimes: number[] }).searchTimes.length)
    await page.keyboard.press(letter === ' ' ? 'Space' : letter)
    await page.waitForFunction((n) => (window as unknown as { searchTimes: number[] }).searchTimes.length > n, before)
  }
  const times = await page.evaluate(() => (window as unknown as { searchTimes: number[] }).searchTimes)
  await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toContainText('conger')
  console.log(
    `usable after ${usable.map(Math.round).join(', ')} ms; a letter of the search ${times.map(Math.round).join(', ')} ms; ${await nodes()} nodes`,
  )
  expect(Math.min(...usable)).toBeLessThan(USABLE_MS)
  expect(times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)]).toBeLessThan(SEARCH_MS)

  // The far end of it, and what can be done there.
  await search.fill('')
  await page.keyboard.press('End')
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight))
  const last = page.locator('[aria-posinset]').last()
  await expect(last).toHaveAttribute('aria-posinset', String(COUNT + 14))
  await expect(last.getByText('holds', { exact: true }).first()).toBeVisible()
  expect(await nodes()).toBeLessThan(3_000)

  // The filter by verdict judges the traces that were never on screen.
  await page.getByLabel('Search traces').fill('tope')
  await page.getByLabel('Filter by verdict').selectOption('fails')
  await expect(page.getByRole('status').filter({ hasText: 'still to judge' })).toBeVisible()
  await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toContainText('tope')
  await expect(page.getByRole('status').filter({ hasText: /^\d+ of 5014$/ })).toBeVisible({ timeout: 60_000 })
  await page.getByLabel('Filter by verdict').selectOption('all')
  await expect(page.getByRole('status').filter({ hasText: 'still to judge' })).toHaveCount(0)
})

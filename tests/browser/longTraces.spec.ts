import type { Page } from '@playwright/test'
import { created } from '../fixtures/planTrip.ts'
import { snoodsInWords } from './core.ts'
import { expect, test } from './fixtures.ts'

const BEACH = 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101'

/** A body with so many baited snoods, saved: its address. */
const saved = async (url: string, snoods: number) =>
  `${url}/traces/${await created(`${url}/api/traces`, { outfitId: BEACH, ...snoodsInWords(snoods) })}`

/** From the navigation to the drawn reach, ms. */
async function shownMs(page: Page, at: string, parts: number): Promise<number> {
  await page.goto(at)
  await page
    .getByRole('option')
    .nth(parts - 1)
    .waitFor({ state: 'attached' })
  return page.evaluate(() => performance.now())
}

/** The longest task of the page for the middle one of some weights typed, until what it changes is shown and remedies are tried. */
async function longestTaskMs(page: Page): Promise<number> {
  await page.evaluate(() => {
    const tasks: number[] = []
    const observer = new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration)))
    observer.observe({ type: 'longtask' })
    Object.assign(window, { longestTask: () => Math.max(0, ...tasks.splice(0)) })
  })
  await page.getByRole('option', { name: 'sinker', exact: true }).click()
  const mass = page.getByLabel('weight', { exact: true })
  const worst = page.locator('[data-finding]').first()
  const longest: number[] = []
  for (const text of ['110', '130', '90', '170', '200', '60', '80']) {
    const before = (await worst.getByRole('paragraph').textContent())!
    await mass.press('Control+a')
    await mass.pressSequentially(text)
    await expect(worst.getByRole('paragraph')).not.toHaveText(before)
    await expect(worst.getByRole('button').first()).toBeEnabled()
    longest.push(await page.evaluate(() => (window as unknown as { longestTask: () => number }).longestTask()))
  }
  return longest.toSorted((a, b) => a - b)[Math.floor(longest.length / 2)]!
}

test('two hundred parts are shown and edited nearly as quickly as ten', async ({ page, app }) => {
  const [short, long] = [await saved(app.url, 2), await saved(app.url, 49)]
  await shownMs(page, short, 8)
  const [ofShort, ofLong, tasks]: [number[], number[], number[]] = [[], [], []]
  // The quickest of each: other work on the machine only ever adds time.
  const shown = () => Math.min(...ofLong) / Math.min(...ofShort)
  const typed = () => Math.min(...tasks) / Math.min(...ofLong)
  while (ofLong.length < 3 && !(shown() < 2 && typed() < 0.1)) {
    ofShort.push(await shownMs(page, short, 8))
    ofLong.push(await shownMs(page, long, 90))
    tasks.push(await longestTaskMs(page))
  }
  console.log(
    `shown after ${ofShort.map(Math.round)} and ${ofLong.map(Math.round)} ms; longest tasks ${tasks.map(Math.round)} ms`,
  )
  // On 2026-11-30, alone on the machine: 1.2 and under 0.08. Where remedies were tried as they were drawn: 0.14.
  expect(shown()).toBeLessThan(2)
  expect(typed()).toBeLessThan(0.1)
})

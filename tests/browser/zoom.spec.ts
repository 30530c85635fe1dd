import type { Page } from '@playwright/test'
import { sampleOf } from '../depth.ts'
import { beside, copyOf, expect, HOUND, testOnOpenPage as test, visit } from './fixtures.ts'

const SCREENS = ['/traces', `/traces/${HOUND}`, '/traces/new', '/water?day=2026-11-24', '/water/marks/new']

async function open(page: Page, address: string): Promise<void> {
  await visit(page, address)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page.getByText(/^(Loading|Calculating)/)).toHaveCount(0)
}

const pageWidth = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth)

// A page at 200 % and 400 % is laid out on a half and a quarter of 1280 px.
const ZOOMS = [
  ['400 %', 320, 256],
  ['200 %', 640, 400],
] as const
for (const [zoom, width, height] of sampleOf(ZOOMS, 2))
  test(`at ${zoom} nothing is wider than the window, and a trace is edited`, async ({ page, app }) => {
    await page.setViewportSize({ width, height })
    const id = await copyOf(page, app.url, HOUND, `at ${zoom}`)
    await open(page, `${app.url}/traces/${id}`)
    await page.getByRole('button', { name: /^leader/, expanded: true }).waitFor()
    await page.getByRole('button', { name: /^snood a/ }).click()
    const strength = page.getByRole('textbox', { name: 'strength', exact: true })
    await strength.fill('20 lb')
    await strength.press('Tab')
    await expect(page.getByRole('button', { name: /^snood a mono 20 lb/ })).toBeVisible()
    await page.getByRole('button', { name: 'Add part' }).click()
    await page.getByRole('dialog').getByLabel('Part to search for').fill('bead')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toBeHidden()
    const bead = page.getByRole('button', { name: /^bead a1/ })
    await bead.click()
    await page.getByRole('button', { name: 'Remove', exact: true }).click()
    await expect(bead).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(bead).toBeVisible()
    for (const tab of ['Conditions', 'Why', 'Findings'] as const) {
      await beside(page, tab)
      expect(await pageWidth(page), tab).toBeLessThanOrEqual(width)
    }
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByText(/^revision 2, saved/)).toBeVisible()
  })

test('in forced colours what is chosen looks chosen', async ({ page, app }) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await open(page, `${app.url}/traces/new`)
  const looks = async (isChecked: boolean) =>
    (await page.getByRole('radio', { checked: isChecked }).first().screenshot()).toString('base64')
  expect(await looks(true)).not.toBe(await looks(false))
  await open(page, `${app.url}/traces/${HOUND}`)
  const tab = (name: string) => page.getByRole('tab', { name, exact: true })
  const style = (name: string) =>
    tab(name).evaluate(
      (each) =>
        getComputedStyle(each).borderBottomColor + getComputedStyle(each).outline + getComputedStyle(each).textDecorationLine,
    )
  expect(await style('Part')).not.toBe(await style('Why'))
})

test('with reduced motion nothing moves by itself', async ({ page, app }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  for (const screen of SCREENS) {
    await open(page, app.url + screen)
    await page.getByRole('button', { name: 'Help' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    const moving = await page.evaluate(() =>
      document
        .getAnimations()
        .filter((each) => Number(each.effect?.getComputedTiming().duration) > 1)
        .map((each) => (each.effect as KeyframeEffect).target?.className),
    )
    expect(moving, screen).toEqual([])
    await page.keyboard.press('Escape')
  }
})

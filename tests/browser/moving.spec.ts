import type { Page } from '@playwright/test'
import type { FamilyId } from '../../src/core/catalogue/familyIds.ts'
import { defaultConditions, draftOf } from './core.ts'
import { beside, expect, seriousFaults, testOnOpenPage as test, visit } from './fixtures.ts'

test.describe.configure({ mode: 'parallel' })

const BOAT = 'Fulmar boat rod, 50 lb braid, top shot'
const MONO = 'Old beach rod, 20 lb mono'

/** A trace of a family on a demonstration outfit, lowered, with its bench open. */
async function opened(page: Page, url: string, family: FamilyId, outfitName: string, more: object = {}): Promise<void> {
  const { documents } = await (await page.request.get(`${url}/api/outfits`)).json()
  const { id: outfitId, content: outfit } = documents.find(
    (each: { content: { name: string } }) => each.content.name === outfitName,
  )
  const { trace, conditions } = draftOf(family, outfit, { ...defaultConditions(), castStyle: 'none', freeboardM: 1.2 })
  const id = crypto.randomUUID()
  const content = { trace: { ...trace, name: `${family} ${id.slice(0, 6)}` }, outfitId, conditions: { ...conditions, ...more } }
  const made = await page.request.post(`${url}/api/traces`, { data: { id, content } })
  if (!made.ok()) throw new Error(await made.text())
  await visit(page, `${url}/traces/${id}`)
}

const settle = (page: Page) => page.locator('[data-moment=settle]')
const values = (page: Page) => page.getByRole('region', { name: 'Values' })

test('a lure is kept a metre over the bed of a mark: the line out that does it, over the shoal of the boat’s way too', async ({
  page,
  app,
}) => {
  await opened(page, app.url, 'tandemTroll', BOAT)
  await page.getByRole('link', { name: 'Line movement' }).click()
  const depth = page.getByRole('region', { name: 'Depth by line out' })
  await expect(depth.getByRole('img', { name: /Depth by line out/ })).toBeVisible()
  const mark = values(page).getByLabel('mark', { exact: true })
  await mark.selectOption((await mark.locator('option', { hasText: 'Long Ledge' }).getAttribute('value'))!)
  await expect(values(page).getByLabel('water', { exact: true })).toHaveValue('8 m')
  await values(page).getByLabel('target depth', { exact: true }).fill('1 m')
  await values(page).getByLabel('counted', { exact: true }).selectOption({ label: 'above the bottom' })
  await values(page).getByLabel('boat speed', { exact: true }).fill('1.5 kn')
  await values(page).getByLabel('line out', { exact: true }).fill('10 m')
  await expect(settle(page)).toHaveAttribute('data-verdict', /fails|watch/)
  await depth.getByRole('button', { name: 'Use this line out' }).click()
  await expect(settle(page)).toHaveAttribute('data-verdict', 'holds')
  await expect(depth).toContainText(/(0\.[89]|1\.[012]) m above the bottom/)
  await expect(page.getByRole('region', { name: 'Side by side' })).toContainText('keep apart')
  // A shoal on the way: what was a metre over the bed is on it.
  await values(page).getByRole('button', { name: 'Depths along the route' }).click()
  await values(page).getByRole('button', { name: 'Add a place' }).click()
  await values(page).getByLabel('place 2, depth').fill('5 m')
  await expect(settle(page)).toHaveAttribute('data-verdict', 'fails')
  await expect(page.getByRole('region', { name: 'Along the route' })).toContainText(/touches the bottom from about/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(settle(page)).toHaveAttribute('data-verdict', 'holds')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.reload()
  await expect(settle(page)).toHaveAttribute('data-verdict', 'holds')
})

test('two lines beside each other, straight on and in a turn', async ({ page, app }) => {
  await opened(page, app.url, 'castingLeader', BOAT)
  await page.getByRole('link', { name: 'Line movement' }).click()
  await values(page).getByLabel('second line').check()
  const rows = page.getByRole('region', { name: 'Side by side' }).getByRole('row')
  await expect(rows).toHaveCount(4)
  await values(page)
    .getByLabel('second line out', { exact: true })
    .fill(await values(page).getByLabel('line out', { exact: true }).inputValue())
  await expect(rows.nth(1)).toContainText('may tangle')
  await values(page).getByLabel('second weights', { exact: true }).fill('4')
  await values(page).getByLabel('second line out', { exact: true }).fill('60 m')
  await expect(rows.nth(1)).toContainText('keep apart')
})

test('the legs of a tandem, straight on and in a turn', async ({ page, app }) => {
  await opened(page, app.url, 'tandemTroll', BOAT)
  await page.getByRole('link', { name: 'Line movement' }).click()
  const rows = page.getByRole('region', { name: 'Two legs' }).getByRole('row')
  await expect(rows).toHaveText([/apart/, /^straight.*keep apart/, /^in a turn, inside/, /^in a turn, outside/])
  const straight = await rows.nth(1).textContent()
  const wide = await rows.nth(2).textContent()
  await values(page).getByLabel('radius of a turn', { exact: true }).fill('6 m')
  await expect(rows.nth(2)).not.toHaveText(wide!)
  // Slower on the inside it sinks: there it comes down on the bed.
  await expect(rows.nth(2)).not.toContainText('on the bottom')
  await values(page).getByLabel('water', { exact: true }).fill('3.2 m')
  await expect(rows.nth(2)).toContainText('on the bottom')
  await expect(rows.nth(1)).toHaveText(straight!)
})

test('a pair under a kite is planned in two winds, with lead from the box', async ({ page, app }) => {
  await opened(page, app.url, 'kiteBait', MONO)
  await page.getByRole('link', { name: 'Line movement' }).click()
  await expect(page.getByRole('img', { name: /From the side: the rod’s tip/ })).toBeVisible()
  const long = page.getByRole('region', { name: 'Sinkers', exact: true }).getByRole('row', { name: /^long/ })
  const grams = async (column: number) => Number(/(\d+)/.exec((await long.getByRole('cell').nth(column).textContent())!)![1])
  await values(page).getByLabel('wind', { exact: true }).fill('10 kn')
  await expect(settle(page)).toHaveAttribute('data-verdict', 'holds')
  await expect(page.getByText('Every bait stays in the water, even in gusts.')).toBeVisible()
  const gentle = await grams(1)
  await values(page).getByLabel('wind', { exact: true }).fill('22 kn')
  await expect(settle(page)).toHaveAttribute('data-verdict', /watch|fails/)
  await expect(page.getByText(/Too much wind for the sinkers: gusts lift the .*long bait out of the water/)).toBeVisible()
  const fresh = await grams(1)
  expect(fresh).toBeGreaterThan(gentle)
  expect(await grams(3)).toBeGreaterThanOrEqual(fresh)
  for (const bait of ['short', 'long'])
    await values(page)
      .getByLabel(`${bait}: sinker`)
      .fill(`${await grams(3)} g`)
  await expect(settle(page)).toHaveAttribute('data-verdict', 'holds')
  // Dragged, the wind moves and the lead with it.
  await values(page).getByRole('slider', { name: 'wind, dragged' }).press('ArrowRight')
  await expect(values(page).getByLabel('wind', { exact: true })).toHaveValue('22.5 kn')
  await values(page).getByRole('button', { name: 'Add a bait' }).click()
  await expect(page.getByRole('region', { name: 'Sinkers', exact: true }).getByRole('row')).toHaveCount(4)
})

test('what cannot be is told in words, and what is in force stays', async ({ page, app }) => {
  await opened(page, app.url, 'kiteBait', MONO)
  await page.getByRole('link', { name: 'Line movement' }).click()
  const wind = values(page).getByLabel('wind', { exact: true })
  await wind.fill('60 m/s')
  await expect(values(page).getByRole('alert')).toContainText(/^From .* to .*kn\.$/)
  await wind.fill('10 kn')
  await values(page).getByLabel('short: ring up', { exact: true }).fill('1 m')
  await expect(page.getByRole('region', { name: 'Sinkers', exact: true })).toContainText('The ring must be over the rod tip')
  await expect(settle(page)).toHaveAttribute('data-verdict', 'fails')
  await expect(page.locator('main')).not.toContainText(/NaN|Infinity|undefined/)

  await opened(page, app.url, 'straightLure', BOAT)
  await page.getByRole('option', { name: 'lure', exact: true }).click()
  await page.getByLabel('floats').check()
  await page.getByRole('link', { name: 'Line movement' }).click()
  await expect(page.getByText('It cannot be drawn: Nothing pulls the end down at this speed.')).toBeVisible()
  await expect(settle(page)).toHaveAttribute('data-verdict', 'fails')
  await page.getByRole('button', { name: 'Bench' }).click()
  await page.getByLabel('rated depth').fill('4 m')
  await page.getByRole('link', { name: 'Line movement' }).click()
  await expect(page.getByRole('img', { name: /Depth by line out/ })).toBeVisible()
  await expect(page.locator('main')).not.toContainText(/NaN|Infinity|undefined/)
})

test('wound in: two waters, the rate for each, and a rod tip held high', async ({ page, app }) => {
  await opened(page, app.url, 'castingLeader', BOAT)
  await page.getByRole('link', { name: 'Line movement' }).click()
  await page.getByRole('button', { name: 'retrieved' }).click()
  await values(page).getByLabel('second plan').check()
  const way = page.getByRole('region', { name: 'Its path in' })
  await expect(way).toContainText(/The first plan, 1 m above the bottom: count \d+ s down, then start with \d\.\d turns a second/)
  await expect(way).toContainText(/The second plan, 1 m under the surface/)
  await expect(page.getByRole('region', { name: 'Retrieve rate' }).getByRole('row')).toHaveCount(9)
  const tip = way.getByText(/the tip is [\d.]+ m above the water/)
  const low = await tip.textContent()
  await values(page).getByLabel('rod tip', { exact: true }).selectOption('high')
  await expect(tip).not.toHaveText(low!)
})

test('a rush that a pointed rod does not bear is fixed by a remedy', async ({ page, app }) => {
  await opened(page, app.url, 'castingLeader', BOAT, { moving: undefined })
  await beside(page, 'Conditions')
  await page.getByLabel('fish speed', { exact: true }).fill('23 m/s')
  await page.getByLabel('line out', { exact: true }).fill('10 m')
  await page.getByLabel('rod in a sudden run').selectOption('pointed')
  const hand = page.locator('[data-moment=hand]')
  await expect(hand).toContainText(/sudden run pulls up to [\d.]+\slb; the trace holds in \d+\s% of runs/)
  await expect(hand).toHaveAttribute('data-verdict', 'fails')
  await beside(page, 'Findings')
  const finding = page.locator('[data-finding^=rush-breaks]')
  await expect(finding).toContainText('before the spool turns')
  await finding.getByRole('button', { name: 'hold the rod up, bent' }).click()
  await expect(finding).toHaveCount(0)
  await expect(hand).toHaveAttribute('data-verdict', 'holds')
})

for (const [family, outfitName] of [
  ['tandemTroll', BOAT],
  ['castingLeader', BOAT],
  ['kiteBait', MONO],
] as const)
  test(`axe finds nothing serious in the view of a ${family}, on a wide screen and on a phone, and it is not too wide`, async ({
    page,
    app,
  }) => {
    await opened(page, app.url, family, outfitName)
    await page.getByRole('link', { name: 'Line movement' }).click()
    if (family === 'castingLeader') await page.getByRole('button', { name: 'retrieved' }).click()
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 })
      await expect(values(page)).toBeVisible()
      expect(await seriousFaults(page), `${width} px`).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    }
  })

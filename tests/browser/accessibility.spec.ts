import { beside, expect, HOUND, inTwo, KELP, seriousFaults, TOPE, test } from './fixtures.ts'

test.describe.configure({ mode: 'parallel' })

const SCREENS = [
  '/traces',
  '/traces/new',
  `/traces/${HOUND}`,
  `/traces/${HOUND}/build`,
  `/traces/${KELP}?moving`,
  '/settings',
  `/compare?with=${HOUND},${TOPE}`,
  '/compare',
  '/water?day=2026-11-24',
  '/water?day=1949-01-01',
  '/water/marks',
  '/water/marks/new',
  '/gear',
  '/gear/box',
  '/gear/box/count',
  '/tied',
  '/batches',
  '/shopping',
  '/trips',
  '/trips/new',
  '/learn',
  '/learn/breaks',
  '/learn/losses',
  '/learn/weak-link',
  '/learn/holding',
  '/learn/fish',
  '/learn/calibration',
  '/gear/sizes',
  '/gear/outfits/new',
  '/fish',
  '/knots',
  '/knots/fg',
  '/knots/pulls',
  '/knots/test',
  '/glossary',
  '/nowhere',
]

// Contrast in the other lights is a property of the palette: src/client/styles.test.ts.
for (const [part, screens] of inTwo(SCREENS))
  test(`axe finds nothing serious on a wide screen and on a phone, and nothing is too wide (${part} of 2)`, async ({
    page,
    app,
  }) => {
    for (const screen of screens) {
      await page.goto(app.url + screen)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await expect(page.getByText(/^(Loading|Calculating)/)).toHaveCount(0)
      for (const width of [1280, 390]) {
        await page.setViewportSize({ width, height: 844 })
        expect(await seriousFaults(page, undefined, width === 390), `${screen} at ${width} px`).toEqual([])
        expect(await page.evaluate(() => document.documentElement.scrollWidth), screen).toBeLessThanOrEqual(width)
      }
    }
  })

test('axe finds nothing serious in the dialogs and in the view of each moment', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${HOUND}`)
  const check = async (what: string, within?: string) => expect(await seriousFaults(page, within), what).toEqual([])
  await beside(page, 'Conditions')
  await page.getByLabel('include depth and current').check()
  for (const moment of ['cast', 'settle', 'run', 'snag', 'hand']) {
    await page.locator(`[data-moment=${moment}] button`).click()
    // What a moment changes is its reasons; the page around them is checked with the first.
    await check(moment, moment === 'cast' ? undefined : 'section[aria-label^="Why"]')
  }
  for (const button of ['Add part', 'Replace', 'Remove', 'History', 'Name, tags and notes']) {
    await page.getByRole('button', { name: button, exact: true }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await check(button, '[role=dialog]')
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toBeHidden()
  }
})

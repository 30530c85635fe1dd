import { beside, expect, HOUND, inParts, KELP, seriousFaults, TOPE, testOnOpenPage as test, visit } from './fixtures.ts'

test.describe.configure({ mode: 'parallel' })

const SCREENS = [
  '/traces',
  '/settings',
  '/water?day=2026-11-24',
  '/traces/new',
  `/traces/${HOUND}`,
  '/compare',
  '/gear',
  `/traces/${KELP}?moving`,
  `/traces/${HOUND}/build`,
  '/gear/box/count',
  '/water?day=1949-01-01',
  '/knots',
  `/compare?with=${HOUND},${TOPE}`,
  '/fish',
  '/gear/box',
  '/gear/sizes',
  '/learn',
  '/learn/breaks',
  '/water/marks',
  '/knots/fg',
  '/learn/losses',
  '/trips',
  '/knots/pulls',
  '/learn/holding',
  '/water/marks/new',
  '/tied',
  '/learn/weak-link',
  '/learn/fish',
  '/batches',
  '/shopping',
  '/learn/calibration',
  '/trips/new',
  '/glossary',
  '/gear/outfits/new',
  '/nowhere',
  '/knots/test',
]

const PARTS = 6
for (const [part, screens] of inParts(SCREENS, PARTS))
  test(`axe finds nothing serious on a wide screen and on a phone, and nothing is too wide (${part} of ${PARTS})`, async ({
    page,
    app,
  }) => {
    for (const screen of screens) {
      await visit(page, app.url + screen)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await expect(page.getByText(/^(Loading|Calculating)/)).toHaveCount(0)
      for (const width of [1280, 390]) {
        await page.setViewportSize({ width, height: 844 })
        expect(await seriousFaults(page), `${screen} at ${width} px`).toEqual([])
        expect(await page.evaluate(() => document.documentElement.scrollWidth), screen).toBeLessThanOrEqual(width)
      }
    }
  })

test('axe finds nothing serious in the dialogs and in the view of each moment', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${HOUND}`)
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

import type { Page } from '@playwright/test'
import { IS_DEEP } from '../depth.ts'
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

/** A page at 400 % and at 200 % is laid out on a quarter and a half of 1280 px. */
const SIZES = [
  { width: 1280, height: 844 },
  { width: 390, height: 844 },
  { width: 320, height: 256 },
  ...(IS_DEEP ? [{ width: 640, height: 400 }] : []),
]

/** The spacing that a reader may set: WCAG 1.4.12. */
const TEXT_SPACING =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }'

const setTextSpacing = (page: Page) =>
  page.evaluate((text) => {
    const style = document.createElement('style')
    style.nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')!.nonce
    style.textContent = text
    style.id = 'text-spacing'
    document.head.append(style)
  }, TEXT_SPACING)
const unsetTextSpacing = (page: Page) => page.evaluate(() => document.getElementById('text-spacing')!.remove())

/** Controls and headings whose text does not fit into them. */
const clipped = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('h1, h2, h3, button, a, label, legend, th, td, dt, dd')]
      .filter((each) => each.checkVisibility() && !each.closest('.sr-only, .truncate, .line-clamp-2, svg'))
      .filter((each) => getComputedStyle(each).overflow !== 'visible' && each.scrollWidth > each.clientWidth + 1)
      .map((each) => each.textContent?.slice(0, 40)),
  )

const isTooWide = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth > innerWidth)

const PARTS = 6
for (const [part, screens] of inParts(SCREENS, PARTS))
  test(`every screen: axe finds nothing serious, nothing is too wide, nothing is cut off by wide text (${part} of ${PARTS})`, async ({
    page,
    app,
  }) => {
    for (const [i, screen] of screens.entries()) {
      await visit(page, app.url + screen)
      await expect(page.getByText(/^(Loading|Calculating)/)).toHaveCount(0)
      for (const [j, size] of SIZES.entries()) {
        // Each screen on one of two sizes with axe; on both in test:deep.
        const hasAxe = j < 2 && (IS_DEEP || j === i % 2)
        if (j === 1 && !hasAxe) continue
        const where = `${screen} at ${size.width} px`
        await page.setViewportSize(size)
        // A chart has its new width a frame later.
        await expect.poll(() => isTooWide(page), where).toBe(false)
        if (hasAxe) expect(await seriousFaults(page), where).toEqual([])
        if (j > 0) continue
        await setTextSpacing(page)
        await expect.poll(() => isTooWide(page), `${where}, wide text`).toBe(false)
        expect(await clipped(page), `${where}, wide text`).toEqual([])
        await unsetTextSpacing(page)
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

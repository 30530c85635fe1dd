import { beside, copyOf, expect, HOUND, test as loaded, seriousFaults, testOnOpenPage as test, visit } from './fixtures.ts'

loaded('a page that is gone to has the keyboard on its heading, and its title', async ({ page, app }) => {
  await visit(page, `${app.url}/traces`)
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toHaveText('Traces')
  await expect(heading).not.toBeFocused()
  for (const [link, title] of [
    ['Water', /Water/],
    ['Knots', /Knots/],
    ['Settings', /Settings/],
  ] as const) {
    await page.getByRole('banner').getByRole('link', { name: link }).click()
    await expect(heading).toBeFocused()
    await expect(page).toHaveTitle(title)
  }
  await visit(page, `${app.url}/nowhere`)
  await expect(page).toHaveTitle('Page not found · Wide Reach')
  await page.getByRole('link', { name: 'Open traces' }).press('Enter')
  await expect(heading).toHaveText('Traces')
  await expect(heading).toBeFocused()
})

test('changed verdicts are said, and after a remedy the keyboard is on the findings', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'said aloud')}`)
  const news = page.locator('[data-verdict-news]')
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  await page.getByLabel('strength', { exact: true }).fill('12 lb')
  await expect(news).toHaveText(/^(\w+ now \w+, )*Cast now fails(, \w+ now \w+)*\.$/)
  await beside(page, 'Findings')
  const findings = page.getByRole('region', { name: 'Findings' })
  const remedy = findings
    .locator('[data-finding]')
    .first()
    .locator('button:not(.term)')
    .filter({ hasNotText: /Ignore|Copy/ })
    .first()
  await expect(remedy).toBeEnabled()
  await remedy.press('Enter')
  await expect(findings).toBeFocused()
  await expect(news).toHaveText(/Cast now holds/)
})

test('on a touch screen every control is large enough, and no field is zoomed in on', async ({ browser, app }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  const page = await context.newPage()
  for (const path of ['/traces', '/traces/new', '/water', '/gear/box', '/settings']) {
    await visit(page, `${app.url}${path}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.getByRole('status').filter({ hasText: /Loading|Calculating/ })).toHaveCount(0)
    if (path === '/water') await expect(page.getByRole('list', { name: 'Sinker changes' })).toBeVisible()
    const small = await page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'button:not(.term), select, summary, input:not([type=radio], [type=checkbox], [type=file])',
        ),
      ]
        .filter((control) => control.checkVisibility() && !control.closest('svg'))
        .filter(
          (control) =>
            control.getBoundingClientRect().height < 43.5 ||
            (control.matches('input, select') && Number.parseFloat(getComputedStyle(control).fontSize) < 16),
        )
        .map((control) => `${control.tagName} ${control.textContent || control.getAttribute('aria-label')}`),
    )
    expect(small, path).toEqual([])
    // A word of the trade is as high as its line, with room around it that is pressed too.
    const words = await page.locator('.term').evaluateAll((all) =>
      all
        .filter((word) => word.checkVisibility())
        .map((word) => {
          const { height } = word.getBoundingClientRect()
          return height - 2 * Number.parseFloat(getComputedStyle(word, '::after').top)
        }),
    )
    if (words.length > 0) expect(Math.min(...words), path).toBeGreaterThan(38)
  }
  await context.close()
})

test('“?” opens the help of the screen, not while something is typed', async ({ page, app }) => {
  await visit(page, `${app.url}/traces`)
  const help = page.getByRole('dialog')
  await page.getByLabel('Search traces').press('?')
  await expect(page.getByLabel('Search traces')).toHaveValue('?')
  await expect(help).toBeHidden()
  await expect(page.getByRole('button', { name: 'Help' })).toBeVisible()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('?')
  await expect(help).toContainText('Each card is a trace')
  await page.keyboard.press('Escape')
  await expect(help).toBeHidden()
  await visit(page, `${app.url}/traces/${HOUND}`)
  await page.getByRole('button', { name: 'Help' }).click()
  await expect(help.getByRole('term').filter({ hasText: 'Ctrl S' })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await page.goBack()
  await expect(help).toBeHidden()
})

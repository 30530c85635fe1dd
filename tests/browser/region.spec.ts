import { expect, HOUND, test, visit } from './fixtures.ts'

test('parts go by the words of the region everywhere, names that were typed stay, and another region’s words still find them', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/settings`)
  await page.getByLabel('words of').selectOption({ label: 'British Isles' })
  await expect(page.getByText('rig, lead, snood, running ledger, grip lead')).toBeVisible()
  await page.getByRole('link', { name: 'Rigs' }).click()
  await expect(page).toHaveTitle(/^Rigs · /)
  await page.getByRole('searchbox').fill('high-low two booms')
  await expect(page.getByRole('link', { name: 'Hesk Bar hound trace, two booms', exact: true })).toBeVisible()
  await visit(page, `${app.url}/traces/${HOUND}`)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Hesk Bar hound trace, two booms')
  await expect(page.getByRole('tab', { name: 'to lead' })).toBeVisible()
  // Nothing on the bench has the usual word left: drawing, verdicts, findings, panels and their labels.
  const usual = /\b(sinkers?|weak link|improved clinch)\b/i
  await expect(page.locator('main')).not.toContainText(usual)
  const labels = await page.locator('[aria-label]').evaluateAll((all) => all.map((each) => each.getAttribute('aria-label')))
  expect(labels.filter((label) => usual.test(label ?? ''))).toEqual([])
  await visit(page, `${app.url}/traces/${HOUND}/build`)
  await expect(page.getByRole('heading', { name: 'Cut', exact: true })).toBeVisible()
  await expect(page.locator('main')).not.toContainText(usual)
})

test('numbers, times and days are written as chosen, and read back as written', async ({ page, app }) => {
  await visit(page, `${app.url}/settings`)
  await page.getByLabel('decimal sign').selectOption(',')
  await page.getByLabel('clock').selectOption('12')
  await page.getByLabel('depth').selectOption('fm')
  await visit(page, `${app.url}/water?day=2026-11-24`)
  const half = page.getByRole('region', { name: 'Half hours' })
  await expect(half.getByRole('row').nth(1)).toContainText(/^12:00\sam\d+,\d fm/)
  await expect(half).not.toContainText('.')
  await visit(page, `${app.url}/traces/${HOUND}`)
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  const length = page.getByLabel('finished length')
  await expect(length).toHaveValue('6,5 m')
  await length.fill('1,375 m')
  await length.press('Tab')
  await expect(length).toHaveValue('1,375 m')
  await expect(page.getByRole('alert')).toHaveCount(0)
})

import { copyOf, expect, HOUND, test } from './fixtures.ts'

test('Build shows what is on the bench, marked as not saved; one click saves it, and the saved revision can be shown', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'unsaved build')
  await page.goto(`${app.url}/traces/${id}`)
  const strength = page.getByLabel('strength', { exact: true })
  await strength.fill('60 lb')
  await expect(page.getByText('unsaved changes since revision 1')).toBeVisible()
  // Twice: once with the screen's code still to be loaded, once with everything there.
  for (const label of ['60 lb', '50 lb']) {
    await strength.fill(label)
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await expect(page.getByText('Not saved. This sheet shows the trace as it is on the bench')).toBeVisible()
    await expect(page.getByText(`mono ${label}`).first()).toBeVisible()
    await page.getByRole('link', { name: 'Bench' }).click()
    await expect(strength).toHaveValue(label)
  }
  await page.getByRole('link', { name: 'Build', exact: true }).click()
  await page.getByRole('button', { name: 'Show revision 1' }).click()
  await expect(page.getByText('mono 40 lb').first()).toBeVisible()
  await expect(page.getByText('Build sheet · revision 1')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Build sheet · revision 2')).toBeVisible()
  await expect(page.getByText('mono 50 lb').first()).toBeVisible()
  await expect(page.getByText('Not saved.')).toHaveCount(0)
  await page.getByRole('link', { name: 'Bench' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('a save from Build that is older than what was saved elsewhere is refused in words and loses nothing', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'stale build')
  await page.goto(`${app.url}/traces/${id}`)
  await page.getByLabel('strength', { exact: true }).fill('60 lb')
  await page.getByRole('link', { name: 'Build', exact: true }).click()
  await expect(page.getByText('Not saved.')).toBeVisible()
  const { content } = await (await page.request.get(`${app.url}/api/traces/${id}`)).json()
  const theirs = { ...content, trace: { ...content.trace, notes: 'theirs' } }
  await page.request.put(`${app.url}/api/traces/${id}`, { data: { baseRevision: 1, content: theirs } })
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('This trace was saved elsewhere. Your changes are kept.')
  await page.getByRole('link', { name: 'Open the bench to choose' }).click()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('60 lb')
})

test('the sheet says what goes to the water: drag, fish, mark, bait, verdicts and open findings; in print without controls', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${HOUND}/build`)
  const summary = page.getByRole('region', { name: 'On the water' })
  await expect(summary).toContainText(/drag\s*11(\.0)? lb: pull with a scale straight off the reel/)
  await expect(summary).toContainText('Hesk Bar')
  await expect(summary).toContainText('peeler crab')
  await expect(summary.getByRole('list', { name: 'Verdicts' })).toContainText('Set the drag up to 13.1 lb.')
  await expect(summary.getByRole('list', { name: 'Open findings' })).toContainText('225 g')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button')).toHaveCount(0)
  await expect(page.getByRole('textbox')).toHaveCount(0)
  const split = await page
    .locator('article li, article tr')
    .evaluateAll((rows) => rows.filter((row) => getComputedStyle(row).breakInside !== 'avoid').length)
  expect(split).toBe(0)
})

import { CONGER, copyOf, expect, HOUND, testOnOpenPage as test, visit } from './fixtures.ts'

test('Build shows what is on the bench, marked as not saved; one click saves it, and the saved revision can be shown', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'unsaved build')
  await visit(page, `${app.url}/traces/${id}`)
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
  await visit(page, `${app.url}/traces/${id}`)
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
  await visit(page, `${app.url}/traces/${HOUND}/build`)
  const summary = page.getByRole('region', { name: 'On the water' })
  await expect(summary).toContainText(/drag\s*11(\.0)? lb: pull with a scale straight off the reel/)
  await expect(summary).toContainText('Hesk Bar')
  await expect(summary).toContainText('peeler crab')
  await expect(summary.getByRole('list', { name: 'Verdicts' })).toContainText('Set the drag up to 13.1 lb.')
  await expect(summary.getByRole('list', { name: 'Open findings' })).toContainText('225 g')
  await expect(summary.getByRole('img', { name: /^Hook 4\/0 in the bait/ }).first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Lay out' })).toContainText('a cutter that cuts clean, a tape, crimping pliers.')
  await page.emulateMedia({ media: 'print' })
  // A word of the glossary is printed as a word.
  await expect(page.locator('button:not(.term):visible')).toHaveCount(0)
  await expect(page.locator('input:visible, select:visible, textarea:visible')).toHaveCount(0)
  // No day is chosen, so paper has no empty box for it.
  await expect(page.getByText('Sinkers at Hesk Bar')).toBeHidden()
  const split = await page
    .locator('article li, article tr')
    .evaluateAll((rows) => rows.filter((row) => getComputedStyle(row).breakInside !== 'avoid').length)
  expect(split).toBe(0)
})

test('the plan of the day goes from Water to the sheet, with the same sinkers, and from the sheet back to that day', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/water?trace=${CONGER}&day=2026-11-24`)
  await page.getByLabel('mark', { exact: true }).selectOption({ label: 'Kettle Narrows' })
  const changes = page.getByRole('list', { name: 'Sinker changes' }).getByRole('listitem')
  await expect(changes.nth(1)).toBeVisible()
  const planned = (await changes.allInnerTexts()).map((text) => text.replace(/\s+(to )?/g, ' ').trim())
  await page.getByRole('link', { name: 'Build sheet' }).click()
  const sheet = page.getByRole('region', { name: 'Sinkers at Kettle Narrows, 24 Nov 2026' })
  const printed = sheet.getByRole('list', { name: 'Sinkers of the day' }).getByRole('listitem')
  await expect(printed).toHaveCount(planned.length)
  expect((await printed.allInnerTexts()).map((text) => text.replace(/\s+/g, ' ').trim())).toEqual(planned)
  await expect(sheet).toContainText(/High water \d\d:\d\d/)
  await page.getByRole('link', { name: 'Plan the day' }).click()
  await expect(page.getByLabel('day', { exact: true })).toHaveValue('2026-11-24')
  await visit(page, `${app.url}/traces/${CONGER}/build?day=2026-02-31`)
  await expect(page.getByText('Choose a day to have its sinkers on this sheet.')).toBeVisible()
})

test('a knot card prints every step with its drawing, on A4 and on Letter', async ({ page, app }) => {
  await visit(page, `${app.url}/knots/uni`)
  const onScreen = page.getByRole('list', { name: 'All steps', exact: true }).getByRole('listitem')
  await expect(onScreen.first()).toBeVisible()
  const steps = await onScreen.count()
  await page.emulateMedia({ media: 'print' })
  const onPaper = page.getByRole('list', { name: 'All steps, for paper' }).getByRole('listitem')
  await expect(onPaper).toHaveCount(steps)
  await expect(onPaper.getByRole('img')).toHaveCount(steps)
  await expect(page.locator('button:visible, input:visible, select:visible')).toHaveCount(0)
  for (const format of ['A4', 'Letter']) {
    await page.pdf({ format })
    const widthPx = (format === 'A4' ? 210 - 28 : 215.9 - 28) * (96 / 25.4)
    await page.setViewportSize({ width: Math.floor(widthPx), height: 1000 })
    const outside = await onPaper.evaluateAll(
      (all) => all.filter((each) => each.getBoundingClientRect().right > innerWidth).length,
    )
    expect(outside, format).toBe(0)
  }
})

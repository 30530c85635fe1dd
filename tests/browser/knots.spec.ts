import { beside, copyOf, expect, HOUND, test as loaded, tabTo, testOnOpenPage as test, visit } from './fixtures.ts'

loaded('a card is stepped through by the keyboard on a phone, without a network once it is open', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await visit(page, `${app.url}/knots/uni?line=mono_133.447&turns=4`)
  const card = page.getByRole('region', { name: /^Steps of the uni/ })
  await expect(card.getByRole('img')).toHaveAccessibleName(/step 1: Pass the tag through the eye/)
  await page.route('**', (route) => route.abort())
  await tabTo(page, card)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('step 3 of 5')).toBeVisible()
  await expect(card.getByText('Wrap the tag 4 times round both lines, inside the loop.')).toBeVisible()
  const counter = card.getByRole('button', { name: /turns? made/i })
  for (let i = 0; i < 4; i += 1) await counter.click()
  await expect(counter).toHaveText('All 4 turns made')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByText('step 2 of 5')).toBeVisible()
  // Mirrored, the reel comes from the other side.
  const reelX = async () => (await card.getByText('reel', { exact: true }).boundingBox())!.x
  const before = await reelX()
  await card.getByRole('button', { name: 'Left-handed' }).click()
  expect(await reelX()).toBeGreaterThan(before + 100)
  for (const name of ['Back', 'Next']) {
    const box = (await card.getByRole('button', { name }).boundingBox())!
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(48)
  }
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
})

loaded('the card goes on by itself, and ends at the last step', async ({ page, app }) => {
  await page.clock.install()
  await visit(page, `${app.url}/knots/palomar`)
  await page.getByRole('button', { name: 'Play' }).click()
  await expect(page.getByText('step 1 of 4')).toBeVisible()
  for (const step of [2, 3, 4]) {
    await page.clock.runFor(8_000)
    await expect(page.getByText(`step ${step} of 4`)).toBeVisible()
  }
  await page.clock.runFor(8_000)
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible()
})

test('from a joint on the bench and from a step of the build sheet to how it is tied, with its line and its turns', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'tied')
  await visit(page, `${app.url}/traces/${id}`)
  await page.getByRole('option', { name: 'snood a', exact: true }).click()
  await beside(page, 'Part')
  await page.getByLabel('turns', { exact: true }).fill('6')
  await page.getByRole('link', { name: /^How to tie the/ }).click()
  await expect(page.getByRole('heading', { name: /double-eye clinch/i })).toBeVisible()
  await expect(page.getByLabel('strength of line')).toHaveValue('40 lb')
  await expect(page.getByLabel('turns', { exact: true })).toHaveValue('6')
  await visit(page, `${app.url}/traces/${id}/build`)
  await page.getByRole('link', { name: 'How to tie the snell' }).first().click()
  await expect(page.getByRole('heading', { name: 'snell' })).toBeVisible()
  await expect(page.getByLabel('strength of line')).toHaveValue('40 lb')
})

test('the chooser ranks by what matters, says why not, and any name finds its knot', async ({ page, app }) => {
  await visit(page, `${app.url}/knots`)
  const chooser = page.getByRole('region', { name: 'Which knot?' })
  const best = chooser.getByRole('rowheader').first()
  await expect(best).toHaveText('double-sleeve crimp')
  await chooser.getByLabel('line', { exact: true }).selectOption({ label: 'braid' })
  await chooser.getByLabel('to').selectOption({ label: 'line' })
  await chooser.getByLabel('most important').selectOption({ label: 'through the guides' })
  await expect(best).toHaveText(/woven|bobbin/)
  await chooser.getByText(/^why not the other/).click()
  await expect(chooser.getByText('is too thick for the guides').first()).toBeVisible()
  await chooser.getByLabel('strength of line').fill('nothing')
  await expect(chooser.getByRole('alert')).toBeVisible()
  await expect(best).toHaveText(/woven|bobbin/)
  await page.getByRole('searchbox').fill('grinner')
  const list = page.getByRole('region', { name: 'All knots' })
  await expect(list.getByRole('link')).toHaveCount(2)
  await list.getByRole('link', { name: /^double uni/ }).click()
  await expect(page.getByRole('heading', { name: 'double uni' })).toBeVisible()
  await visit(page, `${app.url}/knots/granny`)
  await expect(page.getByRole('alert')).toHaveText('This knot does not exist.')
})

test('pulls written down move the knot’s figure, the weakest link on the bench and what is said of it; struck out, they count no more', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'pulled')
  await visit(page, `${app.url}/knots/doubleEyeClinch?line=mono_177.9289`)
  const pulls = page.getByRole('region', { name: 'Your tests in mono' })
  await expect(pulls).toContainText('Nominal 88')
  await pulls.getByLabel('it broke at').fill('400 lb')
  await expect(pulls.getByRole('alert').first()).toBeVisible()
  for (const load of ['12 lb', '12.5 lb', '11.8 lb']) {
    await pulls.getByLabel('it broke at').fill(load)
    await pulls.getByRole('button', { name: 'Save' }).click()
    await expect(pulls.getByRole('list', { name: 'Every test' })).toContainText(`${load} of`)
  }
  await pulls.getByLabel('it broke at').fill('5 lb')
  await pulls.getByLabel('where it broke').selectOption({ label: 'it slipped' })
  await pulls.getByRole('button', { name: 'Save' }).click()
  await expect(pulls).toContainText('It slipped once: a slip counts as the load at which the knot failed.')
  await expect(pulls).toContainText('after your 4 tests')
  await expect(page.getByText(/your 4 tests$/)).toBeVisible()
  await pulls.getByLabel(/^use my measurements/).uncheck()
  await expect(page.getByText(/88\s% ± 5\s% nominal/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/88\s% ± 5\s% nominal/)).toBeVisible()
  await visit(page, `${app.url}/settings`)
  await page.getByLabel(/^use my measurements/).check()

  await visit(page, `${app.url}/traces/${id}`)
  await expect(page.locator('[data-moment=run]')).toContainText(/double-eye clinch at\s+snood/)
  await page.getByRole('option', { name: 'snood a', exact: true }).click()
  await beside(page, 'Part')
  await expect(page.getByText(/^your 4 tests in mono: \d+\s% ± \d+\s% \(nominal \d+\s%\)$/)).toBeVisible()

  await visit(page, `${app.url}/knots/doubleEyeClinch?line=mono_177.9289`)
  for (let left = 4; left > 0; left -= 1) {
    await expect(pulls.getByRole('button', { name: /^Remove/ })).toHaveCount(left)
    await pulls
      .getByRole('button', { name: /^Remove/ })
      .first()
      .click()
  }
  await expect(pulls).not.toContainText('after your')
})

import { readFileSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { beside, copyOf, expect, HOUND, testOnOpenPage as test, visit } from './fixtures.ts'

/** Gape of the hook that is drawn, mm by the scale bar beside it: from the inside of the shank to the inside of the point. */
const drawnGapeMm = (page: Page, drawing: RegExp) =>
  page
    .getByRole('img', { name: drawing })
    .first()
    .evaluate((svg) => {
      const hook = svg.querySelector<SVGPathElement>('[data-hook=own]')!
      const px = (path: SVGPathElement, at: number) => path.getPointAtLength(at).matrixTransform(path.getScreenCTM()!)
      const wire = Number(getComputedStyle(hook).strokeWidth.replace('px', '')) * hook.getScreenCTM()!.d
      const gape = Math.abs(px(hook, hook.getTotalLength()).y - px(hook, 0).y) - wire
      const bar = svg.querySelector<SVGGElement>('[data-scale-mm]')!
      const width = bar.querySelector('path')!.getBBox().width * bar.getScreenCTM()!.a
      return (gape / width) * Number(bar.dataset.scaleMm)
    })

test('the hook is drawn true: its gap against the scale bar, in three sizes, in the bait and alone', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'taken')}`)
  const take = page.locator('[data-moment=take]')
  await page.getByRole('option', { name: 'hook a', exact: true }).click()
  await page.getByLabel('pattern').selectOption('j')
  for (const [size, gapeMm] of [
    ['2', 10.4],
    ['1/0', 13.5],
    ['10/0', 31],
  ] as const) {
    await beside(page, 'Part')
    await page.getByLabel('hook size').fill(size)
    const alone = new RegExp(`^Hook ${size} at its nominal size`)
    await expect(page.getByRole('img', { name: alone })).toBeVisible()
    expect(Math.abs((await drawnGapeMm(page, alone)) / gapeMm - 1)).toBeLessThan(0.01)
    await take.getByRole('button').click()
    const inBait = new RegExp(`^Hook ${size} in the bait`)
    await expect(page.getByRole('img', { name: inBait })).toBeVisible()
    expect(Math.abs((await drawnGapeMm(page, inBait)) / gapeMm - 1)).toBeLessThan(0.01)
    await page.getByRole('option', { name: 'hook a', exact: true }).click()
  }
  await beside(page, 'Part')
  await page.getByLabel('hook size').fill('2\\0')
  await expect(page.getByRole('alert')).toContainText('is not a hook size')
  // The last good drawing stays.
  await expect(page.getByRole('img', { name: /^Hook 10\/0/ })).toBeVisible()
  await page.getByLabel('hook size').fill('10/0')
  for (const wrong of ['0', '-3 mm', '1000000 mm']) {
    await page.getByRole('textbox', { name: 'gape' }).fill(wrong)
    await expect(page.getByRole('alert')).toHaveText('From 1 to 200 mm.')
    await expect(page.getByRole('img', { name: /^Hook 10\/0 at its nominal size, gap 31 mm/ })).toBeVisible()
  }
})

test('a hook wider than its bait is said to be, and both stay drawn', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'wider')}`)
  await page.getByRole('option', { name: 'hook a', exact: true }).click()
  await page.getByLabel('pattern').selectOption('j')
  await page.getByLabel('hook size').fill('12/0')
  await beside(page, 'Findings')
  await expect(page.getByText(/gap of 3\d mm, as wide as its bait is thick/).first()).toBeVisible()
  await page.locator('[data-moment=take]').getByRole('button').click()
  await expect(page.getByRole('img', { name: /^Hook 12\/0 in the bait/ })).toBeVisible()
})

test('a fish put in is chosen on the bench: its mouth is asked about, and a hook too wide for it is said', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/fish`)
  await page.getByRole('button', { name: 'New fish' }).click()
  await page.getByRole('textbox', { name: 'name' }).fill('small-mouthed one')
  await page.getByLabel('usual weight').fill('9 kg')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('must not be smaller')
  await page.getByLabel('usual weight').fill('0.4 kg')
  await page.getByLabel('usual length').fill('30 cm')
  await page.getByLabel('mouth width').fill('5')
  await page.getByRole('button', { name: 'Save' }).click()
  const row = page.getByRole('row', { name: /small-mouthed one/ })
  await expect(row).toContainText('15 mm')

  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'mouthed')}`)
  await beside(page, 'Conditions')
  await page.getByLabel('fish', { exact: true }).selectOption({ label: 'small-mouthed one' })
  await expect(page.getByLabel('fish landed')).toHaveValue('0.4 kg')
  await expect(page.getByLabel('mouth width')).toHaveValue('15 mm')
  const take = page.locator('[data-moment=take]')
  await expect(take).toContainText('of the mouth width')
  await expect(take).toHaveAttribute('data-verdict', 'fails')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(take).not.toContainText('of the mouth width')

  await visit(page, `${app.url}/fish`)
  await page.getByRole('button', { name: 'Delete small-mouthed one' }).click()
  await expect(row).toHaveCount(0)
  await page.getByRole('button', { name: /^Restore/ }).click()
  await expect(row).toBeVisible()
})

test('fish go out as a table and come in again: what would change is shown first, every wrong line named', async ({
  page,
  app,
}, info) => {
  await visit(page, `${app.url}/fish`)
  await expect(page.getByRole('row', { name: /turbot/ })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as CSV' }).click()
  const file = info.outputPath('fish.csv')
  await (await download).saveAs(file)
  const table = readFileSync(file, 'utf8')
  await page.getByRole('button', { name: 'Import' }).click()
  const dialog = page.getByRole('dialog')
  writeFileSync(file, table.replace('picks', 'swallows'))
  await dialog.getByLabel('CSV file').setInputFiles(file)
  await expect(dialog.getByRole('alert')).toContainText('takes')
  const corrected = info.outputPath('fish-2.csv')
  writeFileSync(corrected, table.replace('gurnard,0.5 kg', 'gurnard,0.6 kg'))
  await dialog.getByLabel('CSV file').setInputFiles(corrected)
  await expect(dialog).toContainText('1 changed: gurnard')
  await dialog.getByRole('button', { name: 'Import' }).click()
  await expect(page.getByRole('row', { name: /gurnard/ })).toContainText('0.6 kg')
})

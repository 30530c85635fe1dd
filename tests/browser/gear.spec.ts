import { readFileSync, writeFileSync } from 'node:fs'
import { expect, testOnOpenPage as test, visit } from './fixtures.ts'

test('an outfit said exactly: two biminis and a cat’s paw on the reel, and the bench shows every link of it', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/gear`)
  await page.getByRole('link', { name: /^Trolling rod/ }).click()
  await page.getByLabel('name', { exact: true }).fill('Mine for trolling')
  await page.getByLabel('marking').fill('two red rings')
  const main = page.getByRole('group', { name: 'main line' })
  await expect(main.getByLabel('backing doubled by')).toHaveValue('bimini')
  await main.getByLabel('length').fill('250 m')
  await expect(page.getByRole('img', { name: /The spool to scale, 100 % full: .*250 m of mono 50 lb/ })).toBeVisible()
  // One strand again: the hitch of two loops cannot stand there and is tied anew.
  await main.getByLabel('backing doubled by').selectOption('')
  await expect(main.getByLabel('to the backing')).not.toHaveValue('catsPaw')
  await main.getByLabel('backing doubled by').selectOption('bimini')
  await expect(main.getByLabel('to the backing')).toHaveValue('catsPaw')
  await page.getByRole('button', { name: 'top shot' }).click()
  await page.getByLabel('after a run of').fill('300 m')
  await expect(page.getByText(/left; the drag has grown/)).toBeVisible()
  await main.getByLabel('strength', { exact: true }).fill('fifty')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('A marked field is not valid')).toBeVisible()
  await main.getByLabel('strength', { exact: true }).fill('50 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { name: 'Outfits', level: 1 })).toBeVisible()
  await expect(page.getByText('two red rings')).toBeVisible()

  await visit(page, `${app.url}/traces/new`)
  await page.getByLabel('Mine for trolling').check()
  await page.getByLabel(/straight-tied lure/).check()
  await page.getByRole('button', { name: 'Make this trace' }).click()
  const reach = page.getByRole('listbox', { name: /The reach/ })
  for (const name of ['bimini twist at the main line', 'cat’s paw at the main line', 'double uni at the top shot'])
    await expect(reach.getByRole('option', { name }).first()).toBeVisible()

  await visit(page, `${app.url}/gear`)
  await page.getByRole('button', { name: 'Delete Mine for trolling' }).click()
  const question = page.getByRole('dialog', { name: 'Delete Mine for trolling?' })
  await expect(question).toContainText('1 trace needs this outfit.')
  await question.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('link', { name: 'Mine for trolling' })).toBeVisible()
  await page.getByRole('button', { name: 'Delete Mine for trolling' }).click()
  await question.getByRole('button', { name: 'Delete the outfit' }).click()
  await expect(page.getByRole('link', { name: 'Mine for trolling' })).toBeHidden()
  await page.getByRole('button', { name: 'Trash', exact: true }).click()
  await page
    .getByRole('button', { name: /^Restore/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Back to outfits' }).click()
  await expect(page.getByRole('link', { name: 'Mine for trolling' })).toBeVisible()
})

test('the box: added to, found, edited in place, out as a table and in again with every wrong line named', async ({
  page,
  app,
}, info) => {
  await visit(page, `${app.url}/gear/box`)
  const rows = page.getByRole('table').getByRole('row')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('textbox', { name: 'weight' }).fill('7 oz')
  await page.getByLabel('made of').selectOption('tungsten')
  await page.getByRole('textbox', { name: 'name' }).fill('Dense one')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByLabel('Search the box').fill('dense')
  await expect(rows).toHaveCount(2)
  const weight = page.getByRole('textbox', { name: 'weight of Dense one' })
  await weight.fill('3 kn')
  await weight.press('Enter')
  await expect(page.getByRole('alert')).toContainText('is a speed')
  await weight.fill('200 g')
  await weight.press('Enter')
  await page.reload()
  await page.getByLabel('Search the box').fill('dense')
  await expect(page.getByRole('textbox', { name: 'weight of Dense one' })).toHaveValue('200 g')

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as CSV' }).click()
  const file = info.outputPath('box.csv')
  await (await download).saveAs(file)
  const table = readFileSync(file, 'utf8')
  expect(table).toContain('Dense one')
  const line = (cells: Record<string, string>) =>
    `\n${table
      .split('\n')[0]!
      .split(',')
      .map((column) => cells[column] ?? '')
      .join()}\n`
  const dialog = page.getByRole('dialog')
  await page.getByRole('button', { name: 'Import' }).click()
  writeFileSync(file, table + line({ kind: 'sinker', name: 'broken', shape: 'bomb', weight: '3 kn' }))
  await dialog.getByLabel('CSV file').setInputFiles(file)
  await expect(dialog.getByRole('alert')).toContainText(`line ${table.trimEnd().split('\n').length + 1}`)
  // The same file again would be no new choice.
  const corrected = info.outputPath('box-2.csv')
  writeFileSync(
    corrected,
    table.replace('200 g', '210 g') + line({ kind: 'sinker', name: 'Fresh one', shape: 'bomb', weight: '90 g' }),
  )
  await dialog.getByLabel('CSV file').setInputFiles(corrected)
  await expect(dialog).toContainText('1 new: Fresh one')
  await expect(dialog).toContainText('1 changed: Dense one')
  await dialog.getByRole('button', { name: 'Import them' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('textbox', { name: 'weight of Dense one' })).toHaveValue('210 g')

  await page.getByRole('button', { name: 'Delete Dense one' }).click()
  await expect(page.getByText('0 of')).toBeVisible()
  await page.getByLabel('Search the box').fill('')
  await page.getByLabel('Kind').selectOption('sinker')
  await page
    .getByRole('columnheader', { name: /weight or strength/ })
    .getByRole('button')
    .click()
  const first = rows.nth(1).getByRole('textbox').nth(1)
  await expect(first).toHaveValue('1360 g')
})

test('five thousand things in the box: only those in sight are drawn, and one is found at once', async ({ page, app }) => {
  const content = (i: number) => ({
    formatVersion: 3,
    kind: 'sinker',
    name: `lead ${i}`,
    shape: 'bomb',
    massKg: 0.01 + i / 10_000,
  })
  await page.route('**/api/gear*', async (route) => {
    if (route.request().method() !== 'GET') return route.continue()
    const documents = Array.from({ length: 5_000 }, (_, i) => ({
      id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      revision: 1,
      savedAt: '2026-11-26T00:00:00.000Z',
      binnedAt: null,
      content: content(i),
    }))
    await route.fulfill({ json: { documents, next: null } })
  })
  await visit(page, `${app.url}/gear/box`)
  await expect(page.getByText('5000 in the box')).toBeVisible()
  expect(await page.getByRole('table').getByRole('row').count()).toBeLessThan(60)
  await page.getByLabel('Search the box').fill('lead 4711')
  await expect(page.getByText('1 of 5000')).toBeVisible()
})

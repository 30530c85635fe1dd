import type { Page } from '@playwright/test'
import { copyOf, expect, KELP, test } from './fixtures.ts'

/** A browser that keeps nothing: its storage is full. */
const fillStorage = (page: Page) =>
  page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
const keptNothing = (page: Page) => page.getByRole('alert').filter({ hasText: 'cannot store your changes' })
const strength = (page: Page) => page.getByLabel('strength', { exact: true })

async function openLeader(page: Page, address: string): Promise<void> {
  await page.goto(address)
  await page.getByRole('option', { name: 'leader', exact: true }).click()
}

test('two windows on one trace have unsaved work of their own, before and after a reload; a third is told of it', async ({
  page,
  app,
}) => {
  const address = `${app.url}/traces/${await copyOf(page, app.url, KELP, 'twice open')}`
  const second = await page.context().newPage()
  await openLeader(page, address)
  await strength(page).fill('31 lb')
  await openLeader(second, address)
  await expect(strength(second)).not.toHaveValue('31 lb')
  await strength(second).fill('33 lb')
  for (const [window, value] of [
    [page, '31 lb'],
    [second, '33 lb'],
  ] as const) {
    await openLeader(window, address)
    await expect(strength(window)).toHaveValue(value)
    await expect(window.getByText('unsaved changes since revision 1')).toBeVisible()
  }
  await second.close()

  const third = await page.context().newPage()
  await openLeader(third, address)
  await expect(strength(third)).toHaveValue('33 lb')
  await expect(third.getByText(/^Another window has unsaved work on this/)).toBeVisible()
  await third.getByRole('button', { name: 'Show it here' }).click()
  await expect(strength(third)).toHaveValue('31 lb')
  await third.keyboard.press('Control+z')
  await expect(strength(third)).toHaveValue('33 lb')
  await third.close()
})

test('work that a newer version left is said to be kept aside, and is there when this one has saved', async ({ page, app }) => {
  const id = await copyOf(page, app.url, KELP, 'kept aside')
  const key = `wide-reach.draft.${id}`
  await page.goto(`${app.url}/traces`)
  await page.evaluate(
    ([name]) => localStorage.setItem(name!, '{"baseRevision":1,"content":{"trace":{"formatVersion":99},"conditions":{}}}'),
    [key],
  )
  await openLeader(page, `${app.url}/traces/${id}`)
  await expect(page.getByText('saved by a newer version')).toBeVisible()
  await strength(page).fill('31 lb')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  expect(await page.evaluate(([name]) => localStorage.getItem(name!), [key])).toContain('99')
})

test('a browser that keeps nothing says so at once, and the save is still there', async ({ page, app }) => {
  await fillStorage(page)
  await openLeader(page, `${app.url}/traces/${await copyOf(page, app.url, KELP, 'unkept')}`)
  await strength(page).fill('31 lb')
  await expect(keptNothing(page)).toBeVisible()
  page.once('dialog', (dialog) => dialog.dismiss())
  await page.getByRole('link', { name: 'Traces', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'unkept' })).toBeVisible()
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await expect(keptNothing(page)).toHaveCount(0)
})

test('a mark that the browser does not keep says so, asks on every way out, and goes without asking once it is saved', async ({
  page,
  app,
}) => {
  await fillStorage(page)
  await page.goto(`${app.url}/water/marks/new`)
  await page.getByLabel('name').fill('Unkept mark')
  await expect(keptNothing(page)).toBeVisible()
  page.once('dialog', (dialog) => dialog.dismiss())
  await page.getByRole('link', { name: 'All marks' }).click()
  await expect(page.getByLabel('name')).toHaveValue('Unkept mark')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { name: 'Marks' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Unkept mark' })).toBeVisible()
})

import type { Locator, Page } from '@playwright/test'
import { sampleOf } from '../depth.ts'
import { counted, expect, seriousFaults, tabTo, testOnOwnApp } from './fixtures.ts'

/** The words of a part of the page as they are seen, without the choices of closed lists. */
const wordsOn = (part: Locator) =>
  part.evaluate((root) => {
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
    let count = 0
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement!
      if (parent.checkVisibility() && !parent.closest('option, .sr-only'))
        count += (walker.currentNode.textContent ?? '').split(/\s+/).filter((word) => /\p{L}/u.test(word)).length
    }
    return count
  })

/** On an application of their own: the words of what other tests store would be counted too. */
const test = testOnOwnApp()

/** Without the examples, and without what the test before made. */
async function emptied(page: Page, url: string): Promise<void> {
  expect((await page.request.delete(`${url}/api/demo`)).ok()).toBe(true)
  for (const kind of ['traces', 'outfits', 'marks']) {
    const { documents } = await (await page.request.get(`${url}/api/${kind}`)).json()
    for (const { id } of documents) await page.request.delete(`${url}/api/${kind}/${id}`)
    expect((await page.request.delete(`${url}/api/${kind}?trash=true`)).ok()).toBe(true)
  }
}

// The keyboard’s way below is at 1280 px too.
for (const width of sampleOf([390, 1280], 2))
  test(`the first evening at ${width} px: from the first page to the sheet and the plan of one’s own rod and mark`, async ({
    page,
    app,
  }) => {
    await emptied(page, app.url)
    await page.setViewportSize({ width, height: 844 })
    await page.goto(`${app.url}/traces`)
    const does = counted(page)
    // The steps come after the list.
    await expect(page.getByRole('link', { name: 'Add your rod' })).toBeVisible()
    let words = await wordsOn(page.getByRole('main'))
    await does.click(page.getByRole('link', { name: 'Add your rod' }))
    const panel = page.getByRole('dialog')
    await does.fill(panel.getByRole('textbox', { name: 'line class' }), '20 lb')
    await does.fill(panel.getByRole('textbox', { name: 'rod’s length' }), '3.9 m')
    words += await wordsOn(panel)
    await does.click(panel.getByRole('button', { name: 'Create outfit' }))
    await expect(page.getByRole('heading', { name: 'New mark' })).toBeVisible()
    words += await wordsOn(page.getByRole('main'))
    await does.fill(page.getByLabel('name', { exact: true }), `Home beach ${width}`)
    await does.fill(page.getByLabel('depth', { exact: true }), '4 m')
    await does.choose(page.getByLabel('strongest'), 'hard to hold')
    await does.click(page.getByRole('button', { name: 'Save', exact: true }))
    const draft = page.getByRole('region', { name: 'Your draft' })
    await expect(draft).toContainText(`Home beach ${width}`)
    await does.choose(page.getByLabel('fish', { exact: true }), 'smooth-hound')
    await expect(draft).toContainText('for smooth-hound')
    words += await wordsOn(page.getByRole('main'))
    await does.click(draft.getByRole('button', { name: 'Make this trace' }))
    await expect(page.getByRole('link', { name: 'Build' })).toBeVisible()
    await does.click(page.getByRole('link', { name: 'Build' }))
    await expect(page.getByRole('heading', { name: 'Thread and tie, in this order' })).toBeVisible()
    await does.click(page.getByRole('link', { name: 'Plan the day' }))
    await expect(page.getByText('The current is what you said it feels like, up to 1.7 kn.')).toBeVisible()
    await expect(page.getByLabel('mark', { exact: true }).locator('option:checked')).toHaveText(`Home beach ${width}`)
    expect(await seriousFaults(page)).toEqual([])
    console.log(`${does.actions} actions, ${words} words at ${width} px`)
    expect(does.actions).toBeLessThanOrEqual(12)
    expect(words).toBeLessThanOrEqual(600)
  })

test('the first evening by the keyboard alone', async ({ page, app }) => {
  await emptied(page, app.url)
  await page.goto(`${app.url}/traces`)
  const go = async (to: Locator) => {
    await tabTo(page, to)
    await page.keyboard.press('Enter')
  }
  const fill = async (at: Locator, text: string) => {
    await tabTo(page, at)
    await page.keyboard.press('Control+a')
    await page.keyboard.type(text)
  }
  await go(page.getByRole('link', { name: 'Add your rod' }))
  const panel = page.getByRole('dialog')
  await fill(panel.getByRole('textbox', { name: 'line class' }), '20 lb')
  await fill(panel.getByRole('textbox', { name: 'rod’s length' }), '3.9 m')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'New mark' })).toBeFocused()
  await fill(page.getByLabel('name', { exact: true }), 'Keyboard beach')
  await fill(page.getByLabel('depth', { exact: true }), '4 m')
  await tabTo(page, page.getByLabel('strongest'))
  await page.keyboard.type('hard')
  await page.keyboard.press('Control+s')
  const draft = page.getByRole('region', { name: 'Your draft' })
  await expect(draft).toContainText('Keyboard beach')
  await tabTo(page, page.getByLabel('fish', { exact: true }))
  await page.keyboard.type('smooth')
  await expect(draft).toContainText('for smooth-hound')
  await go(draft.getByRole('button', { name: 'Make this trace' }))
  await go(page.getByRole('link', { name: 'Build' }))
  await expect(page.getByRole('heading', { name: 'Thread and tie, in this order' })).toBeVisible()
  await go(page.getByRole('link', { name: 'Plan the day' }))
  await expect(page.getByLabel('mark', { exact: true }).locator('option:checked')).toHaveText('Keyboard beach')
})

test('from nothing to one’s own outfit, a trace on it and its cut list', async ({ page, app }) => {
  await emptied(page, app.url)
  const does = counted(page)
  await page.goto(`${app.url}/traces`)
  await does.click(page.getByRole('link', { name: 'New trace' }))
  await expect(page.getByRole('heading', { name: 'Your outfit first' })).toBeVisible()
  await does.fill(page.getByLabel('line class', { exact: true }), '40 lb')
  await does.fill(page.getByLabel('reel holds'), '280 m')
  await does.fill(page.getByLabel('of', { exact: true }), '0.37 mm')
  await does.fill(page.getByLabel('rod’s length'), '13 ft')
  await does.fill(page.getByLabel('name'), 'Mine')
  await does.click(page.getByRole('button', { name: 'Create outfit' }))
  await expect(page.getByRole('radio', { name: 'Mine' })).toBeChecked()
  await does.click(page.getByLabel(/boom paternoster/))
  await does.fill(page.getByRole('textbox', { name: 'sinker' }), '150 g')
  await does.fill(page.getByRole('textbox', { name: 'name' }), 'My first')
  await does.click(page.getByRole('button', { name: 'Make this trace' }))
  await expect(page.getByRole('heading', { name: 'My first' })).toBeVisible()
  await does.click(page.getByRole('link', { name: 'Build', exact: true }))
  await expect(page.locator('[data-cut=leader]')).toBeVisible()
  expect(does.actions).toBeLessThanOrEqual(15)
})

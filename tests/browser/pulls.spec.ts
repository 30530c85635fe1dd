import { writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { atDepth } from '../depth.ts'
import { testOnOpenPage as base, beside, copyOf, expect, HOUND, visit } from './fixtures.ts'

/** Tests of one worker share a crew: what was pulled here counts no more afterwards. */
async function pullsTold(page: Page, url: string): Promise<string[]> {
  const asked = await Promise.all(['pull', 'straight'].map((kind) => page.request.get(`${url}/api/observations?kind=${kind}`)))
  const told: { id: string; kind: string }[] = (await Promise.all(asked.map((answer) => answer.json()))).flat()
  return told.flatMap(({ id, kind }) => (kind === 'retraction' ? [] : [id]))
}

const test = base.extend<{ pullsUndone: undefined }>({
  pullsUndone: [
    async ({ page, app }, use) => {
      const before = new Set(await pullsTold(page, app.url))
      await use(undefined)
      for (const of of (await pullsTold(page, app.url)).filter((id) => !before.has(id)))
        await page.request.post(`${app.url}/api/observations`, {
          data: { formatVersion: 1, kind: 'retraction', id: crypto.randomUUID(), at: new Date().toISOString(), of },
        })
    },
    { auto: true },
  ],
})

test('a simulated pull is captured from beginning to end, moves the weakest link of a trace and what is said of it', async ({
  page,
  app,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'weakest')
  await visit(page, `${app.url}/traces/${id}`)
  const run = page.locator('[data-moment=run]')
  await expect(run).toContainText('albright at the leader')
  await visit(page, `${app.url}/knots/test`)
  await page.getByLabel('knot').selectOption({ label: 'albright' })
  await page.getByLabel('strength of line').fill('40 lb')
  await page.getByRole('button', { name: 'Start test' }).click()
  await expect(page.getByRole('img', { name: /^Load over time/ })).toBeVisible()
  await expect(page.getByText(/^It broke at \d/)).toBeVisible()
  // It is still there after a server that is away.
  await page.route('**/api/observations', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/It is still here. Try again/)).toBeVisible()
  await page.unroute('**/api/observations')
  // Nor is it lost with the page, and nothing counts before it is decided.
  await visit(page, `${app.url}/knots/pulls`)
  await expect(page.getByText('No tests yet').or(page.getByRole('rowheader').first())).toBeVisible()
  await expect(page.getByRole('row', { name: /^albright mono/ })).toHaveCount(0)
  await visit(page, `${app.url}/knots/test`)
  await expect(page.getByRole('listitem', { name: /^albright/ })).toContainText('in mono 40 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('No test is running.')).toBeVisible()
  await visit(page, `${app.url}/knots/pulls`)
  await expect(page.getByRole('row', { name: /^albright mono 1 / })).toBeVisible()
  await visit(page, `${app.url}/traces/${id}`)
  await expect(run).toBeVisible()
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  await beside(page, 'Part')
  await expect(page.getByText(/^your test in mono: \d+\s% ± \d+\s% \(nominal \d+\s%\)$/)).toBeVisible()
  await page.locator('[data-moment=run] button').click()
  await expect(page.getByRole('row', { name: /albright at the leader.*your test in mono/ })).toBeVisible()
  await page.getByRole('button', { name: 'How it is calculated' }).click()
  await expect(page.getByRole('dialog')).toContainText(/albright at the leader \(your test in mono: \d+/)
})

test('a scale that falls silent counts nothing; a pull that is stopped is forgotten; one discarded says why', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/knots/test`)
  await page.route('**/api/scale/pull*', (route) => route.abort())
  await page.getByRole('button', { name: 'Start test' }).click()
  await expect(page.getByRole('alert')).toContainText('The scale stopped sending. This test was not counted.')
  await page.unroute('**/api/scale/pull*')
  await page.getByRole('button', { name: 'Test again' }).click()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('No test is running.')).toBeVisible()
  await page.getByRole('button', { name: 'Start test' }).click()
  await expect(page.getByText(/^It broke at \d/)).toBeVisible()
  await page.getByLabel('or discard because').selectOption({ label: 'the line was nicked' })
  await page.getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByText('No test is running.')).toBeVisible()
  await visit(page, `${app.url}/knots/uni`)
  await expect(page.getByText(/discarded: the line was nicked/)).toBeVisible()
  await expect(page.getByText(/after your/)).toHaveCount(0)
})

test('two knots are compared, and how many more pulls would settle it is worked out beside the page', async ({ page, app }) => {
  await visit(page, `${app.url}/knots/pulls`)
  const compared = page.getByRole('region', { name: 'Which is better, and how sure?' })
  // Two that no other test pulls.
  await compared.getByLabel('this', { exact: true }).selectOption({ label: 'palomar' })
  await compared.getByLabel('or').selectOption({ label: 'San Diego jam' })
  await expect(compared).toContainText(/palomar is better than San Diego jam with a chance of \d+\s%/)
  await compared.getByRole('button', { name: 'How many more tests are needed?' }).click()
  await expect(compared).toContainText(/more tests? of each decide it/)
  await compared.getByLabel('in', { exact: true }).selectOption({ label: 'braid' })
  await compared.getByLabel('this', { exact: true }).selectOption({ label: 'clinch' })
  await compared.getByLabel('or').selectOption({ label: 'FG (woven)' })
  await expect(compared).toContainText('This is certain enough.')
  const next = page.getByRole('region', { name: 'What to test next' })
  await next.getByRole('button', { name: 'Search my traces' }).click()
  await expect(next.getByRole('listitem').first()).toContainText(
    /verdicts? of \d+ of \d+ traces? depend on it|it changes no verdict/,
  )
})

/** In a table; a multiple of ten. */
const PULLS = atDepth(120, 500)
test(`of a table of ${PULLS} pulls three wrong lines are named; put right it is taken in, and taken in twice counts once`, async ({
  page,
  app,
}, info) => {
  const head = 'when,knot,material,line,load,parted\n'
  const rows = Array.from({ length: PULLS }, (_, i) => `2026-11-20,bowline,cord,100 lb,${60 + (i % 10)} lb,knot`)
  const places = [0.1, 0.5, 0.9].map((share) => share * PULLS)
  const wrong = rows.map((row, i) => (places.includes(i) ? row.replace('bowline', 'granny') : row))
  const file = info.outputPath('pulls.csv')
  await visit(page, `${app.url}/knots/pulls`)
  const take = async (lines: readonly string[]) => {
    writeFileSync(file, head + lines.join('\n'))
    await page.getByRole('button', { name: 'Import' }).click()
    await page.getByLabel('CSV file').setInputFiles(file)
  }
  await take(wrong)
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('alert')).toContainText('3 errors')
  // The first line is the heads of the columns.
  for (const place of places) await expect(dialog.getByText(`line ${place + 2}`, { exact: true })).toBeVisible()
  await page.keyboard.press('Escape')
  for (let again = 0; again < 2; again += 1) {
    await take(rows)
    await expect(dialog).toContainText(`${PULLS} tests in this table.`)
    await dialog.getByRole('button', { name: 'Import them' }).click()
    await expect(page.getByRole('row', { name: new RegExp(`^bowline cord ${PULLS} `) })).toBeVisible()
  }
})

test('two windows pull at once: each pull is decided once, wherever, and counts once', async ({ page, app, context }) => {
  const other = await context.newPage()
  for (const [window, knot] of [
    [page, 'uni'],
    [other, 'palomar'],
  ] as const) {
    await window.goto(`${app.url}/knots/test`)
    await window.getByLabel('knot').selectOption({ label: knot })
  }
  for (const window of [page, other]) await window.getByRole('button', { name: 'Start test' }).click()
  for (const window of [page, other])
    await expect(window.getByText(/^It (broke|never broke)/)).toHaveCount(2, { timeout: 15_000 })
  // Both are shown in both; what one window decides is gone from the other.
  const before = (await pullsTold(page, app.url)).length
  await page
    .getByRole('listitem', { name: /^palomar/ })
    .getByRole('button', { name: 'Save' })
    .click()
  await expect(other.getByRole('listitem', { name: /^palomar/ })).toHaveCount(0)
  await other.getByRole('listitem', { name: /^uni/ }).getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByText('No test is running.')).toBeVisible()
  expect(await pullsTold(page, app.url)).toHaveLength(before + 2)
})

test('a window that falls asleep in a pull wakes to a whole pull or to none', async ({ page, app, context }) => {
  await visit(page, `${app.url}/knots/test`)
  await page.getByRole('button', { name: 'Start test' }).click()
  await expect(page.getByRole('img', { name: /^Load over time/ })).toBeVisible()
  const session = await context.newCDPSession(page)
  await session.send('Page.setWebLifecycleState', { state: 'frozen' })
  // Longer than the pull lasts, on the server’s clock.
  await page.request.get(`${app.url}/api/scale/pull?aboutN=100&kind=meanwhile`)
  await session.send('Page.setWebLifecycleState', { state: 'active' })
  await expect(page.getByText(/^It (broke|never broke)/).or(page.getByRole('alert'))).toBeVisible()
  expect(await page.getByText(/^It (broke|never broke)/).count()).toBeLessThanOrEqual(1)
  await expect(page.getByRole('button', { name: /^(Start test|Test again)$/ })).toBeEnabled()
})

test('a line is pulled by itself: its spool holds what it broke at, on the scale, by hand, and on the bench', async ({
  page,
  app,
}) => {
  const name = 'pulled spool'
  const spool = { formatVersion: 1, kind: 'line', name, material: 'fluoro', strengthN: 133.4466, lengthM: 50 }
  const made = await page.request.post(`${app.url}/api/gear`, { data: { id: crypto.randomUUID(), content: spool } })
  expect(made.ok()).toBe(true)
  const id = await copyOf(page, app.url, HOUND, 'spooled')
  await visit(page, `${app.url}/knots/test`)
  await page.getByLabel('knot').selectOption({ label: 'no knot, line alone' })
  await page.getByLabel('cut from').selectOption({ label: name })
  await page.getByRole('button', { name: 'Start test' }).click()
  await expect(page.getByText(/^It broke at .* of its label/)).toBeVisible({ timeout: 15_000 })
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^holds \d.* by your test$/)).toBeVisible()
  await visit(page, `${app.url}/knots/pulls`)
  const lines = page.getByRole('region', { name: 'Line tests' })
  await lines.getByLabel('cut from').selectOption({ label: name })
  await lines.getByLabel('it broke at').fill('500 lb')
  await expect(lines.getByRole('alert').first()).toBeVisible()
  await lines.getByLabel('it broke at').fill('')
  await lines.getByLabel('it broke at').pressSequentially('36 lb')
  await lines.getByRole('button', { name: 'Save' }).click()
  await expect(lines.getByRole('list', { name: `Tests of ${name}` })).toContainText('36 lb')
  await expect(lines).toContainText(/pulled spool: holds \d\d(\.\d)? lb/)
  await visit(page, `${app.url}/traces/${id}`)
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  await beside(page, 'Part')
  await page.getByLabel('from the box').selectOption({ label: name })
  await expect(page.getByLabel(/^strength measured/)).toBeChecked()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue(/^3\d(\.\d+)? lb$/)
})

import { copyOf, expect, HOUND, testOnOpenPage as test, visit } from './fixtures.ts'

const tracesNamed = async (request: import('@playwright/test').APIRequestContext, url: string, part: string) =>
  ((await (await request.get(`${url}/api/traces?heads=true`)).json()).documents as { content: { name: string } }[]).filter(
    ({ content }) => content.name.includes(part),
  ).length

test('a double click on Duplicate, on Make this trace and on Import makes one each', async ({ page, app }) => {
  await copyOf(page, app.url, HOUND, 'once duplicated')
  await visit(page, `${app.url}/traces`)
  const saves: string[] = []
  page.on('request', (request) => {
    if (request.method() === 'POST' && request.url().endsWith('/api/traces')) saves.push(request.url())
  })
  await page.getByRole('button', { name: 'Duplicate once duplicated' }).dblclick()
  await expect(page.getByRole('heading', { level: 1, name: /once duplicated/ })).toBeVisible()
  expect([await tracesNamed(page.request, app.url, 'once duplicated'), saves.length]).toEqual([2, 1])

  await visit(page, `${app.url}/traces/new`)
  await page.getByLabel('name', { exact: true }).fill('made once')
  await page.getByRole('button', { name: 'Make this trace' }).dblclick()
  await expect(page.getByRole('heading', { name: 'made once' })).toBeVisible()
  expect([await tracesNamed(page.request, app.url, 'made once'), saves.length]).toEqual([1, 2])

  const { content } = await (await page.request.get(`${app.url}/api/traces/${HOUND}`)).json()
  await visit(page, `${app.url}/traces`)
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  await page.getByLabel('trace file').setInputFiles({
    name: 'trace.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...content.trace, name: 'brought once' })),
  })
  await page.getByRole('button', { name: 'Import' }).dblclick()
  await expect(page.getByRole('heading', { name: 'brought once' })).toBeVisible()
  expect([await tracesNamed(page.request, app.url, 'brought once'), saves.length]).toEqual([1, 3])
})

test('a creation whose answer was lost makes no second one when it is asked again', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/new`)
  await page.getByLabel('name', { exact: true }).fill('answer lost')
  let lost = false
  await page.route('**/api/traces', async (route) => {
    if (route.request().method() !== 'POST' || lost) return route.continue()
    lost = true
    await route.fetch()
    await route.abort()
  })
  const make = page.getByRole('button', { name: 'Make this trace' })
  await make.click()
  await expect(page.getByRole('alert')).toBeVisible()
  await make.click()
  await expect(page.getByRole('heading', { name: 'answer lost' })).toBeVisible()
  expect(await tracesNamed(page.request, app.url, 'answer lost')).toBe(1)
})

test('a rule set stays open with all that was typed while its save fails, and what was saved elsewhere is said first', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/settings`)
  await page.getByRole('button', { name: 'New rule set' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('name', { exact: true }).fill('Sound rules')
  await dialog.getByLabel('last checked').fill('2026-11-01')
  await page.route('**/api/rule-sets', (route) => route.abort())
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByRole('alert')).toBeVisible()
  await expect(dialog.getByLabel('name', { exact: true })).toHaveValue('Sound rules')
  await page.unroute('**/api/rule-sets')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toHaveCount(0)

  await page.getByRole('button', { name: 'Edit Sound rules' }).press('Enter')
  await expect(dialog).toBeVisible()
  const { documents } = await (await page.request.get(`${app.url}/api/rule-sets`)).json()
  const theirs = documents.find((each: { content: { name: string } }) => each.content.name === 'Sound rules')
  const put = { baseRevision: theirs.revision, content: { ...theirs.content, maxHooks: 3 } }
  expect((await page.request.put(`${app.url}/api/rule-sets/${theirs.id}`, { data: put })).ok()).toBe(true)
  await dialog.getByLabel('name', { exact: true }).fill('My rules')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByRole('alert')).toContainText('most hooks 3 → no limit')
  await expect(dialog.getByLabel('name', { exact: true })).toHaveValue('My rules')
  await dialog.getByRole('button', { name: 'Save mine over it' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByRole('radio', { name: /My rules/ })).toBeVisible()
})

test('a name typed into the box stays while its save fails, and goes over what was saved elsewhere only when asked again', async ({
  page,
  app,
}) => {
  const id = crypto.randomUUID()
  const content = { formatVersion: 4, kind: 'sinker', name: 'typed over', shape: 'bomb', massKg: 0.1 }
  const { documents } = await (await page.request.get(`${app.url}/api/gear`)).json()
  content.formatVersion = documents[0].content.formatVersion
  expect((await page.request.post(`${app.url}/api/gear`, { data: { id, content } })).ok()).toBe(true)
  await visit(page, `${app.url}/gear/box`)
  await page.getByLabel('Search the box').fill('typed')
  const name = page.getByLabel('name of typed over')
  await page.route(`**/api/gear/${id}`, (route) => route.abort())
  await name.fill('typed by me')
  await name.press('Enter')
  await expect(page.getByRole('alert')).toBeVisible()
  await expect(name).toHaveValue('typed by me')
  await page.unroute(`**/api/gear/${id}`)
  const put = { baseRevision: 1, content: { ...content, massKg: 0.2 } }
  expect((await page.request.put(`${app.url}/api/gear/${id}`, { data: put })).ok()).toBe(true)
  // The list is held back, so that only the refusal carries the other version.
  let release = () => {}
  const held = new Promise<void>((resolve) => {
    release = resolve
  })
  await page.route(/\/api\/gear(\?|$)/, async (route) => {
    await held
    await route.continue()
  })
  await name.press('Enter')
  await expect(page.getByRole('alert')).toContainText('It was changed elsewhere')
  await expect(name).toHaveValue('typed by me')
  await Promise.all([page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok()), name.press('Enter')])
  release()
  await expect(page.getByLabel('name of typed by me')).toHaveValue('typed by me')
  const saved = await (await page.request.get(`${app.url}/api/gear/${id}`)).json()
  expect(saved).toMatchObject({ revision: 3, content: { name: 'typed by me', massKg: 0.2 } })
})

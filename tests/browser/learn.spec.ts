import { readFileSync } from 'node:fs'
import { expect, HOUND, testOnOpenPage as test, visit } from './fixtures.ts'
import { type Event, eventsOf } from './tripSteps.ts'

const standing = /breaks more often than predicted|hold less than predicted|than elsewhere/

test('what stands out leads to a pull test and back, and to the logs; all of it goes out as a table', async ({ page, app }) => {
  await visit(page, `${app.url}/learn`)
  const statements = page.getByRole('listitem').filter({ hasText: standing })
  await expect(statements.filter({ hasText: 'Double-eye clinch in mono' })).toHaveCount(1)
  await expect(statements.filter({ hasText: 'Snell in mono' })).toHaveCount(1)
  await expect(statements.filter({ hasText: 'Long Ledge' }).first()).toBeVisible()
  const snell = statements.filter({ hasText: 'Snell in mono' })
  await snell.getByText(/^in \d trips$/).click()
  await snell
    .getByRole('link', { name: /trip \d/ })
    .first()
    .click()
  await expect(page.getByText('Only break. Show all')).toBeVisible()
  const rows = page.getByRole('list', { name: 'Log' }).getByRole('listitem')
  await expect(rows.filter({ hasNotText: /break/i })).toHaveCount(0)
  await page.getByRole('link', { name: 'Show all' }).click()
  await expect(rows.filter({ hasText: /^\d\d:\d\dCast/ }).first()).toBeVisible()
  await page.goBack()
  await page.goBack()
  await snell.getByRole('link', { name: 'Pull-test it' }).click()
  await expect(page).toHaveURL(/\/knots\/test\?knot=snell/)
  await page.goBack()
  await expect(snell).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save it all as a table' }).click(),
  ])
  const table = readFileSync(await file.path(), 'utf8')
  expect(table).toContain('breaks,link,snell in mono,7,18,')
  expect(table).toContain('Long Ledge')
})

test('an event that is removed changes what stands out, and so does one that is restored', async ({ page, app }) => {
  await visit(page, `${app.url}/learn`)
  const clinch = page.getByRole('listitem').filter({ hasText: /double-eye clinch in mono breaks more often/i })
  await expect(clinch).toBeVisible()
  const trips: { id: string }[] = (await (await page.request.get(`${app.url}/api/trips`)).json()).documents
  const logged = await Promise.all(trips.map(({ id }) => eventsOf(page.request, app.url, id)))
  const broken = logged.flat().filter(({ what }) => what.type === 'break' && 'link' in what) as (Event & { tripId: string })[]
  /** Takes events back, or what took them back. */
  const retract = async (of: readonly { id: string; tripId: string }[]) => {
    const observations = of.map(({ id, tripId }) => ({
      formatVersion: 1,
      kind: 'retraction',
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      of: id,
      tripId,
    }))
    expect((await page.request.post(`${app.url}/api/observations/many`, { data: { observations } })).status()).toBe(201)
    await page.reload()
    await expect(page.getByRole('listitem').filter({ hasText: 'Long Ledge' }).first()).toBeVisible()
    return observations
  }
  const removed = await retract(broken)
  await expect(clinch).toHaveCount(0)
  await retract(removed)
  await expect(clinch).toBeVisible()
})

test('breaks on the water count in the figures of the bench when the crew says so, and no more when it does not', async ({
  page,
  app,
}) => {
  const worst = async () => {
    await visit(page, `${app.url}/traces/${HOUND}`)
    const joint = page.getByRole('option', { name: /double-eye clinch/i }).first()
    await joint.click()
    return page.getByText(/breaks? on the water/)
  }
  await expect(await worst()).toHaveCount(0)
  await visit(page, `${app.url}/learn/breaks`)
  const field = page.getByRole('region', { name: 'What that says of your knots' })
  await expect(field.getByRole('listitem').filter({ hasText: 'Double-eye clinch in mono' })).toContainText('5 of 7 breaks')
  await field.getByRole('checkbox').check()
  await expect((await worst()).first()).toBeVisible()
  await visit(page, `${app.url}/learn/breaks`)
  await field.getByRole('checkbox').uncheck()
  await expect(field.getByRole('checkbox')).not.toBeChecked()
  await expect(await worst()).toHaveCount(0)
})

test('the price of the weak link, the losses and their spares, and the predictions', async ({ page, app }) => {
  await visit(page, `${app.url}/learn/weak-link`)
  await expect(page.getByText(/^Cheapest: \d+ lb/)).toBeVisible()
  await page.getByLabel('rod hours').fill('10')
  await expect(page.getByText(/snags that cost something and 2\d casts/)).toBeVisible()
  await visit(page, `${app.url}/learn/losses`)
  const carried = page.getByRole('region', { name: 'What to carry' })
  await expect(carried).toContainText(/Spare sinkers: 2 /)
  await carried.getByLabel('rod hours').fill('60')
  await expect(carried).toContainText(/Spare sinkers: 1\d /)
  await page.getByRole('link', { name: 'Predicted and seen' }).click()
  // Which chances there are depends on the tides of the demonstration’s days.
  await expect(page.getByText(/^Predicted \d+.%, happened \d+.% \(n = \d+, /).first()).toBeVisible()
})

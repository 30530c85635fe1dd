import pg from 'pg'
import { fillAsBefore, JUDGED_BEFORE } from '../fixtures/before/before.ts'
import { expect, HOUND, testOnOwnApp } from './fixtures.ts'

const OWN_KNOTS = '00000000-0000-4000-8000-000000000001'
const PIER = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d210'

/** The application on a database that the version before made, with one trace in it that a later version wrote. */
const test = testOnOwnApp({
  content: 'empty',
  fill: async (databaseUrl) => {
    await fillAsBefore(databaseUrl)
    const client = new pg.Client(databaseUrl)
    await client.connect()
    await client.query(
      `update public.trace_revisions set content = jsonb_set(content, '{trace,formatVersion}', '99') where id = $1`,
      [PIER],
    )
    await client.end()
  },
})

test('a database of the version before opens; a trace of a later version is shown as itself beside the others', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces`)
  await expect(page.getByRole('link', { name: 'Own knots', exact: true })).toBeVisible()
  await expect(page.getByRole('main').getByRole('listitem').filter({ hasText: 'Tarrow pier, one boom' })).toContainText(
    'saved by a newer version',
  )
})

for (const id of [OWN_KNOTS, HOUND])
  test(`${JUDGED_BEFORE[id]!.name}: its verdicts of run and hand are those of the version before`, async ({ page, app }) => {
    await page.goto(`${app.url}/traces/${id}`)
    for (const { moment, verdict } of JUDGED_BEFORE[id]!.moments.filter((each) => ['run', 'hand'].includes(each.moment)))
      await expect(page.locator(`[data-moment=${moment}]`)).toHaveAttribute('data-verdict', verdict)
  })

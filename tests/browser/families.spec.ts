import type { Trace } from '../../src/core/documents/trace.ts'
import { sampleOf } from '../depth.ts'
import { FAMILY_FIXTURES } from './core.ts'
import { expect, inParts, test as loaded, testOnOpenPage as test, visit } from './fixtures.ts'

const BEACH = 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101'

test.describe.configure({ mode: 'parallel' })

for (const [part, fixtures] of inParts(sampleOf(FAMILY_FIXTURES, 3), 2))
  test(`each family opens on the bench and on its build sheet, whole and without a stray number (${part} of 2)`, async ({
    page,
    app,
  }) => {
    await visit(page, `${app.url}/settings`)
    await page.getByRole('heading', { level: 1 }).waitFor()
    for (const { trace } of fixtures)
      await test.step(trace.name, async () => {
        const id = crypto.randomUUID()
        const created = await page.request.post(`${app.url}/api/traces`, {
          data: { id, content: { trace, outfitId: BEACH, conditions: { dragN: 40 } } },
        })
        expect(created.status()).toBe(201)
        await visit(page, `${app.url}/traces/${id}`)
        await expect(page).toHaveTitle(`${trace.name} · Bench · Wide Reach`)
        await expect(page.getByRole('listbox', { name: /The reach/ }).getByRole('option')).toHaveCount(drawnParts(trace))
        expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity/)
        await visit(page, `${app.url}/traces/${id}/build`)
        await expect(page).toHaveTitle(`${trace.name} · Build sheet · Wide Reach`)
        await expect(page.getByRole('heading', { name: 'Thread and tie, in this order' })).toBeVisible()
        expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity/)
        await page.request.delete(`${app.url}/api/traces/${id}`)
      })
  })

/** Reel, backing, its knot and the main line; every piece; and every knot at the end of a line or part. */
function drawnParts({ pieces }: Trace): number {
  const knots = pieces.filter(({ attach }) => attach.how === 'joined' && !['fitted', 'runsOn'].includes(attach.joint.connection))
  return 4 + pieces.length + knots.length
}

loaded('the build sheet prints black on white without the shell, in any light', async ({ page, app }) => {
  await page.addInitScript(() => localStorage.setItem('wide-reach.preferences', JSON.stringify({ light: 'lamp' })))
  await visit(page, `${app.url}/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211/build`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation')).toBeHidden()
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  const colours = await page.evaluate(() => {
    const { color, backgroundColor } = getComputedStyle(document.documentElement)
    return { color, backgroundColor }
  })
  expect(colours).toEqual({ color: 'rgb(0, 0, 0)', backgroundColor: 'rgb(255, 255, 255)' })
})

// npm run screenshots: one current picture of each main view, from the demonstration data, into docs/screenshots.
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { NOMINAL_CATALOGUE } from '../src/core/catalogue/catalogue.ts'
import type { FamilyId } from '../src/core/catalogue/familyIds.ts'
import { defaultConditions } from '../src/core/documents/conditions.ts'
import type { Outfit } from '../src/core/documents/outfit.ts'
import { draft } from '../src/core/families/draft.ts'
import { familyOf } from '../src/core/families/families.ts'
import { demoId } from '../src/server/demo/demoId.ts'
import { ROOT } from '../src/server/root.ts'
import { browserPath, CHROMIUM_ARGS, ensureBrowser } from './lib/browser.ts'
import { startBuiltApp } from './lib/builtApp.ts'
import { runMain } from './lib/problem.ts'
import { buildClient } from './lib/project.ts'

const HOUND = '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
const TOPE = '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204'
const PULLEY = '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d212'
type View = {
  file: string
  path: string
  width: number
  light: string
  press?: string | RegExp
  open?: string
  mark?: string
  /** A draft of this family on the boat’s outfit is what is looked at. */
  family?: FamilyId
  choose?: Readonly<Record<string, string>>
}
const VIEWS: readonly View[] = [
  { file: 'library', path: '/traces', width: 1280, light: 'day' },
  { file: 'bench', path: HOUND, width: 1280, light: 'day' },
  { file: 'bench-take', path: PULLEY, width: 1280, light: 'day', open: 'take' },
  {
    file: 'compare',
    path: `/compare?with=${[HOUND, TOPE].map((path) => path.replace('/traces/', '')).join(',')}`,
    width: 1280,
    light: 'day',
  },
  { file: 'moving', path: '?moving', width: 1280, light: 'day', family: 'tandemTroll' },
  {
    file: 'new-trace',
    path: '/traces/new',
    width: 1280,
    light: 'day',
    choose: { fish: 'conger', mark: 'Kettle Narrows', water: 'coloured water' },
  },
  { file: 'hook-sizes', path: '/gear/sizes', width: 1280, light: 'dusk' },
  { file: 'build-sheet', path: `${HOUND}/build`, width: 1280, light: 'day' },
  { file: 'water', path: '/water?day=2026-11-24', width: 1280, light: 'day', mark: 'Kettle Narrows' },
  { file: 'phone-water-lamp', path: '/water?day=2026-11-24', width: 390, light: 'lamp', mark: 'Kettle Narrows' },
  { file: 'tackle-box', path: '/gear/box', width: 1280, light: 'day' },
  { file: 'outfit', path: '/gear/outfits/a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101', width: 1280, light: 'day' },
  { file: 'tied', path: '/tied', width: 1280, light: 'dusk' },
  { file: 'phone-bench-lamp', path: TOPE, width: 390, light: 'lamp' },
  { file: 'knots', path: '/knots', width: 1280, light: 'day' },
  { file: 'phone-today', path: '/', width: 390, light: 'day' },
  {
    file: 'phone-trip-lamp',
    path: `/trips/${demoId('trip Hesk Bar, next')}/fish`,
    width: 390,
    light: 'lamp',
    press: 'Start the trip',
  },
  { file: 'trip-log', path: `/trips/${demoId('trip Hesk Bar, trip 9')}/log`, width: 1280, light: 'day' },
  { file: 'learn', path: '/learn', width: 1280, light: 'day' },
]

/** The address of a view of a mark, found by its name. */
async function ofMark(page: Page, url: string, path: string, name: string): Promise<string> {
  const { documents } = await (await page.request.get(`${url}/api/marks`)).json()
  const marks: { id: string; content: { name: string } }[] = documents
  const { id } = marks.find(({ content }) => content.name === name)!
  return path.endsWith('/') ? path + id : `${path}&mark=${id}`
}

/** The address of a view of a new draft of a family, on the demonstration boat’s rod. */
async function ofDraft(page: Page, url: string, path: string, familyId: FamilyId): Promise<string> {
  const { documents } = await (await page.request.get(`${url}/api/outfits`)).json()
  const { id: outfitId, content: outfit } = documents.find(({ content }: { content: Outfit }) =>
    content.name.startsWith('Fulmar boat'),
  )
  const conditions = { ...defaultConditions(), castStyle: 'none', freeboardM: 1.2 } as const
  const made = draft({ family: familyOf(familyId)!, said: {}, outfit, conditions, catalogue: NOMINAL_CATALOGUE })
  const id = crypto.randomUUID()
  await page.request.post(`${url}/api/traces`, {
    data: { id, content: { trace: made.trace, outfitId, conditions: made.conditions } },
  })
  return `/traces/${id}${path}`
}

/** Remedies and bars come a moment after the page: the picture waits until nothing is loading or being worked out. */
async function rest(page: Page): Promise<void> {
  await page.waitForFunction(() => !/Loading|Calculating/.test(document.querySelector('main')?.textContent ?? ''))
  await page.evaluate(() => new Promise((done) => setTimeout(done, 1_000)))
}

await runMain(async () => {
  ensureBrowser()
  await buildClient()
  const app = await startBuiltApp()
  const browser = await chromium.launch({ executablePath: browserPath(), args: CHROMIUM_ARGS })
  for (const { file, path, width, light, press, open, mark, family, choose = {} } of VIEWS) {
    const context = await browser.newContext({
      viewport: { width, height: width === 390 ? 844 : 800 },
      locale: 'en-GB',
      timezoneId: 'UTC',
    })
    const page = await context.newPage()
    await page.addInitScript((chosen) => localStorage.setItem('wide-reach.preferences', JSON.stringify({ light: chosen })), light)
    const at = mark ? await ofMark(page, app.url, path, mark) : family ? await ofDraft(page, app.url, path, family) : path
    await page.goto(app.url + at)
    await page.getByRole('heading', { level: 1 }).waitFor()
    await page.evaluate(() => document.fonts.ready)
    await rest(page)
    for (const [label, option] of Object.entries(choose))
      await page.getByLabel(label, { exact: true }).selectOption({ label: option })
    if (open) await page.locator(`[data-moment=${open}] button`).click()
    if (press) await page.getByRole('button', { name: press }).click()
    if (open || press) await rest(page)
    await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${file}.png`) })
    await context.close()
  }
  await browser.close()
  await app.close()
})

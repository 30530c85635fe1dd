// npm run bench:screen: what one step of a dragged value costs, in Debian's Chromium: script and layout of the whole page, from the
// event to the settled drawing and to all that follows it, and the frames that the browser made while a part was slid.
import { chromium, type Locator, type Page } from '@playwright/test'
import { browserPath, CHROMIUM_ARGS, ensureBrowser } from '../scripts/lib/browser.ts'
import { startBuiltApp } from '../scripts/lib/builtApp.ts'
import { runMain } from '../scripts/lib/problem.ts'
import { buildClient } from '../scripts/lib/project.ts'
import type { FamilyId } from '../src/core/catalogue/familyIds.ts'
import { draftOf } from '../tests/fixtures/drafts.ts'
import { conditions, twentyFiveParts } from './subject.ts'

const STEPS = 200
const FRAME_MS = 1000 / 60
const BEACH = 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101'

/** As text: the page has none of what a compiler would call in. */
const RECORD_FRAMES = `window.frameTimes = []; requestAnimationFrame(function tick(at) { window.frameTimes.push(at); requestAnimationFrame(tick) })`

type Row = { what: string; steps: number; medianMs: number; p95Ms: number; maxMs: number; overAFrame: number }

function summary(what: string, times: number[]): Row {
  const sorted = times.toSorted((a, b) => a - b)
  const at = (share: number) => Number(sorted[Math.floor(share * (sorted.length - 1))]!.toFixed(2))
  // A quarter over allows for the clock's own grain: two frames would show as twice the time.
  const overAFrame = times.filter((ms) => ms > 1.25 * FRAME_MS).length
  return { what, steps: times.length, medianMs: at(0.5), p95Ms: at(0.95), maxMs: at(1), overAFrame }
}

type Way = 'held' | 'alone'

/**
 * Steps a field by its arrow keys, or a slider by its value. Held: from the event to the settled drawing of what is stepped, a step a frame.
 * Alone: a step now and then, until everything that it changes is drawn: what is told follows what is drawn.
 */
function step(target: Locator, way: Way, steps: number): Promise<number[]> {
  return target.evaluate(
    async (element, { way, count }) => {
      // No function with a name: a compiler would call in what the page has none of.
      const input = element as HTMLInputElement
      const times: number[] = []
      const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!
      let lastMs = 0
      const watch = new MutationObserver(() => {
        document.body.getBoundingClientRect()
        lastMs = performance.now()
      })
      if (way === 'alone') watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true })
      for (let i = 0; i < count; i += 1) {
        await new Promise((done) => requestAnimationFrame(done))
        const start = performance.now()
        if (input.type === 'range') {
          write.call(input, String(Number(input.min) + (i % 250) * Number(input.step)))
          input.dispatchEvent(new Event('input', { bubbles: true }))
        } else {
          const key = i % 40 < 20 ? 'ArrowUp' : 'ArrowDown'
          input.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
        }
        if (way === 'alone') await new Promise((done) => setTimeout(done, 100))
        else {
          await Promise.resolve()
          document.body.getBoundingClientRect()
          lastMs = performance.now()
        }
        times.push(lastMs - start)
      }
      watch.disconnect()
      return times
    },
    { way, count: steps },
  )
}

/** Both ways of stepping one value, as two rows. */
async function stepped(what: string, target: Locator): Promise<Row[]> {
  return [
    summary(`${what}: a step held`, await step(target, 'held', STEPS)),
    summary(`${what}: a step alone, all that follows`, await step(target, 'alone', STEPS / 4)),
  ]
}

/** Slides a boom to and fro by the pointer and times the frames meanwhile. */
async function slide(page: Page, steps: number): Promise<number[]> {
  const box = (await page.getByRole('option', { name: 'boom a', exact: true }).boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.evaluate(RECORD_FRAMES)
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 1; i <= steps; i += 1) await page.mouse.move(x + 25 * Math.sin(i / 8), y)
  await page.mouse.up()
  return page.evaluate(() => {
    const { frameTimes } = window as unknown as { frameTimes: number[] }
    return frameTimes.slice(1).map((at, i) => at - frameTimes[i]!)
  })
}

/** Opens a trace of a family in the view of how it moves. */
async function openMoving(page: Page, url: string, family: FamilyId): Promise<void> {
  const { documents } = await (await page.request.get(`${url}/api/outfits`)).json()
  const { id: outfitId, content: outfit } = documents.find((each: { id: string }) => each.id === BEACH)
  const made = draftOf(family, outfit, { ...conditions, castStyle: 'none', freeboardM: 1.2 })
  const id = crypto.randomUUID()
  await page.request.post(`${url}/api/traces`, {
    data: { id, content: { trace: made.trace, outfitId, conditions: made.conditions } },
  })
  await page.goto(`${url}/traces/${id}?moving`)
  await page.getByRole('region', { name: 'Values' }).waitFor()
}

/** Goes on by a day, and waits for its sinkers. */
async function askPlans(page: Page, days: number): Promise<number[]> {
  const times: number[] = []
  for (let i = 0; i < days; i += 1) {
    const start = performance.now()
    await page.getByRole('button', { name: 'the day after' }).click()
    await page.getByText('Calculating the sinkers').or(page.getByText('Loading the tide')).first().waitFor({ state: 'hidden' })
    await page.getByRole('list', { name: 'Sinker changes' }).waitFor()
    times.push(performance.now() - start)
  }
  return times
}

await runMain(async () => {
  ensureBrowser()
  await buildClient()
  const app = await startBuiltApp()
  const browser = await chromium.launch({ executablePath: browserPath(), args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const id = crypto.randomUUID()
  const content = { trace: twentyFiveParts(), outfitId: BEACH, conditions }
  const made = await page.request.post(`${app.url}/api/traces`, { data: { id, content } })
  if (!made.ok()) throw new Error(await made.text())
  await page.goto(`${app.url}/traces/${id}`)
  await page.getByRole('option', { name: 'boom a', exact: true }).click()
  const bySlide = summary('a boom slid by the pointer: frame to frame', await slide(page, STEPS))
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  const field = (label: string) => page.getByLabel(label, { exact: true })
  const slider = (name: string) => page.getByRole('slider', { name, exact: true })
  const rows = await stepped('leader’s strength', field('strength'))
  await page.getByRole('tab', { name: 'Conditions', exact: true }).click()
  rows.push(...(await stepped('drag setting', field('drag setting'))), ...(await stepped('line out', field('line out'))), bySlide)
  await page.goto(`${app.url}/water?day=2026-11-24`)
  await page.getByRole('list', { name: 'Sinker changes' }).waitFor()
  rows.push(
    ...(await stepped('time of day', slider('time of day'))),
    summary('a day’s timetable: asked, in the worker, shown', await askPlans(page, 12)),
  )
  for (const [family, way, name] of [
    ['tandemTroll', undefined, 'boat speed, dragged'],
    ['castingLeader', 'retrieved', 'line out, dragged'],
    ['kiteBait', undefined, 'wind, dragged'],
  ] as const) {
    await openMoving(page, app.url, family)
    if (way) await page.getByRole('button', { name: way }).click()
    rows.push(...(await stepped(`${family}: ${name}`, slider(name))))
  }
  console.table(rows)
  console.log(JSON.stringify({ screen: rows }))
  await browser.close()
  await app.close()
})

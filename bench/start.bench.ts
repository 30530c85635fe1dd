// npm run bench:start: how long after its start the application shows what was asked for, by the page's own clock. A trace of 10 and of
// 200 parts in a new browser; and the first facts of Today on a phone that has it installed, with no server, four times slower.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBrowser } from '../scripts/lib/browser.ts'
import { startBuiltApp } from '../scripts/lib/builtApp.ts'
import { runMain } from '../scripts/lib/problem.ts'
import { buildClient } from '../scripts/lib/project.ts'
import { created, planTrip } from '../tests/fixtures/planTrip.ts'
import { snoodsInWords } from '../tests/fixtures/snoodsInWords.ts'
import { bareBrowser } from './bareBrowser.ts'

const STARTS = 9
const PHONE = { width: 390, height: 844, deviceScaleFactor: 1, mobile: true }
const DESK = { width: 1280, height: 800, deviceScaleFactor: 1, mobile: false }
const PHONE_SLOWER = 4
const BEACH = 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101'

/** As text, for the page: writes into its title when the first picture came, and when something was first seen. */
const tellWhen = (isSeen: string) => `{
  const watch = new MutationObserver(() => {
    if (!(${isSeen})) return
    watch.disconnect()
    requestAnimationFrame(() => requestAnimationFrame(() => {
      const first = performance.getEntriesByName('first-contentful-paint')[0]
      const told = 'seen ' + Math.round(first ? first.startTime : NaN) + ' ' + Math.round(performance.now())
      setInterval(() => { document.title = told }, 50)
    }))
  })
  watch.observe(document, { subtree: true, childList: true, characterData: true })
}`

type Asked = { url: string; isSeen: string; screen: typeof DESK; slower?: number }

/** One start of a browser with a profile; when the page first showed anything, and what was asked for, ms. */
async function start(profile: string, { url, isSeen, screen, slower = 1 }: Asked): Promise<[firstMs: number, seenMs: number]> {
  const browser = await bareBrowser(profile)
  await browser.send('Page.enable')
  await browser.send('Emulation.setDeviceMetricsOverride', screen)
  await browser.send('Emulation.setCPUThrottlingRate', { rate: slower })
  await browser.send('Page.addScriptToEvaluateOnNewDocument', { source: tellWhen(isSeen) })
  await browser.send('Page.navigate', { url })
  const told = await browser.titleAfter('seen ', 90_000).finally(browser.close)
  return told.split(' ').map(Number) as [number, number]
}

async function withProfile<T>(work: (profile: string) => Promise<T>): Promise<T> {
  const profile = mkdtempSync(join(tmpdir(), 'wide-reach-'))
  return work(profile).finally(() => rmSync(profile, { recursive: true, force: true }))
}

const middle = (times: readonly number[]) => times.toSorted((a, b) => a - b)[times.length >> 1]
const row = (what: string, times: readonly (readonly [number, number])[]) => ({
  what,
  firstPictureMs: middle(times.map(([first]) => first)),
  seenMs: middle(times.map(([, seen]) => seen)),
  each: times.map(([, seen]) => seen).join(' '),
})

const TODAY_SEEN = `/(high|low) water \\d/.test(document.querySelector('section[aria-label="Next trip"]')?.textContent)`
const COPY_SEEN = `/A copy of .* is on this device/.test(document.querySelector('main')?.textContent)`
const partsSeen = (parts: number) => `document.querySelectorAll('[role=option]').length >= ${parts}`

await runMain(async () => {
  ensureBrowser()
  await buildClient()
  const app = await startBuiltApp()
  const traces: { parts: number; id: string; times: [number, number][] }[] = []
  for (const { snoods, parts } of [
    { snoods: 2, parts: 10 },
    { snoods: 49, parts: 50 },
  ])
    traces.push({ parts, id: await created(`${app.url}/api/traces`, { outfitId: BEACH, ...snoodsInWords(snoods) }), times: [] })
  for (let i = 0; i < STARTS; i += 1)
    for (const { id, parts, times } of traces)
      times.push(
        await withProfile((profile) =>
          start(profile, { url: `${app.url}/traces/${id}`, isSeen: partsSeen(parts), screen: DESK }),
        ),
      )
  const phone = await withProfile(async (profile) => {
    const shown = { isSeen: COPY_SEEN, screen: PHONE }
    await start(profile, { url: `${app.url}/trips/${await planTrip(app.url)}`, ...shown })
    await start(profile, { url: `${app.url}/`, ...shown })
    await app.close()
    const times: [number, number][] = []
    for (let i = 0; i < STARTS; i += 1)
      times.push(await start(profile, { url: app.url, isSeen: TODAY_SEEN, screen: PHONE, slower: PHONE_SLOWER }))
    return times
  })
  const rows = [
    row('a trace of 10 parts, new browser', traces[0]!.times),
    row('a trace of 200 parts, new browser', traces[1]!.times),
    row('first facts of Today, installed, no server, 4 times slower', phone),
  ]
  console.table(rows)
  console.log(JSON.stringify({ start: rows }))
})

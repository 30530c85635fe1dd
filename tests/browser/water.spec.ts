import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { atDepth } from '../depth.ts'
import { beside, CONGER, expect, HOUND, test as loaded, testOnOpenPage as test, visit } from './fixtures.ts'

const marksOf = async (
  page: Page,
  url: string,
): Promise<{ id: string; revision: number; content: { name: string; latitudeDeg?: number } }[]> =>
  (await (await page.request.get(`${url}/api/marks`)).json()).documents
const markNamed = async (page: Page, url: string, name: string) =>
  (await marksOf(page, url)).find(({ content }) => content.name === name)!

/** A mark of a test's own, so that tests do not meet in one. */
async function ownMark(page: Page, url: string, name: string, more: object = {}): Promise<string> {
  const { content } = await markNamed(page, url, 'Kettle Narrows')
  const id = crypto.randomUUID()
  const created = await page.request.post(`${url}/api/marks`, { data: { id, content: { ...content, name, ...more } } })
  if (!created.ok()) throw new Error(await created.text())
  return id
}
const taken = (page: Page) => page.getByRole('heading', { level: 2, name: /^At / })
const slider = (page: Page) => page.getByRole('slider', { name: 'time of day' })
async function downloaded(page: Page, item: string): Promise<{ name: string; text: string }> {
  await page.getByRole('button', { name: 'Export' }).click()
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: item }).click()])
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') }
}

test('a mark and a day: slack found, the day scrubbed, the sinker changes, the plan goes out as a calendar and a table', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/water`)
  await page.getByLabel('mark', { exact: true }).selectOption({ label: 'Kettle Narrows' })
  await page.getByLabel('day', { exact: true }).fill('2026-11-24')
  await page.getByLabel('trace', { exact: true }).selectOption({ label: 'Kettle Narrows conger rig' })
  // The chart of that mark and day, not the one that stood there before.
  const chart = page.getByRole('img', { name: /^Tide and current at Kettle Narrows through 2026-11-24/ })
  const slack = /slack at (\d\d:\d\d), (\d\d:\d\d)/.exec((await chart.getAttribute('aria-label'))!)![2]!
  // Close to slack, and the last five minutes by the keyboard.
  const [hours, minutes] = slack.split(':').map(Number)
  const midnightMs = Number(await slider(page).getAttribute('min'))
  await slider(page).fill(String(midnightMs + (60 * hours! + minutes! - 5) * 60_000))
  await slider(page).press('ArrowRight')
  await expect(slider(page)).toHaveAttribute('aria-valuetext', slack)
  await expect(taken(page)).toContainText(`At ${slack}: `)
  // With few changes one sinker would serve both times.
  await page.getByRole('radio', { name: /lightest that holds/ }).check()
  await expect(page.getByText('Calculating the sinkers')).toHaveCount(0)
  await expect(page.getByRole('list', { name: 'Sinker changes' }).getByRole('listitem').nth(9)).toBeVisible()
  const atSlack = await taken(page).textContent()
  const shape = page.getByRole('img', { name: /^Side view to scale/ })
  const upright = await shape.getAttribute('aria-label')
  await page.getByRole('button', { name: '08:00', exact: true }).click()
  await expect(taken(page)).toContainText('At 08:00: ')
  expect((await taken(page).textContent())!.split(': ')[1]).not.toBe(atSlack!.split(': ')[1])
  expect(await shape.getAttribute('aria-label')).not.toBe(upright)
  await expect(page.getByRole('row')).toHaveCount(1 + 48 + 4)

  const calendar = await downloaded(page, 'Calendar of the day (iCalendar)')
  expect(calendar.name).toBe('Kettle-Narrows-2026-11-24.ics')
  const events = new ICAL.Component(ICAL.parse(calendar.text)).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
  const summaries = events.map(({ summary }) => summary)
  expect(summaries.filter((summary) => summary.startsWith('High water'))).toHaveLength(2)
  expect(summaries.filter((summary) => summary.startsWith('Slack'))).toHaveLength(4)
  const changes = page.getByRole('list', { name: 'Sinker changes' }).getByRole('button')
  expect(summaries.filter((summary) => /^To |^No sinker/.test(summary))).toHaveLength(await changes.count())
  const atSlackInstant = events.filter(({ summary }) => summary.startsWith('Slack'))[1]!.startDate.toJSDate()
  expect(atSlackInstant.toISOString().slice(11, 16)).toBe(slack)

  const table = await downloaded(page, 'Timetable (CSV)')
  const { data } = Papa.parse<Record<string, string>>(table.text, { header: true })
  expect(data).toHaveLength(48)
  expect(data.find(({ time }) => time === '12:30')!.take_g).not.toBe('')
})

test('choices made faster than the screen draws are all kept', async ({ page, app }) => {
  await visit(page, `${app.url}/water`)
  await expect(page.getByLabel('mark', { exact: true })).toBeVisible()
  await page.evaluate(() => {
    const choose = (label: string, text: string) => {
      const [select] = [...document.querySelectorAll('label')]
        .filter(({ textContent }) => textContent === label)
        .map(({ control }) => control)
      if (!(select instanceof HTMLSelectElement)) throw new Error(`no ${label}`)
      select.value = [...select.options].find((option) => option.text === text)!.value
      select.dispatchEvent(new Event('change', { bubbles: true }))
    }
    choose('mark', 'Kettle Narrows')
    choose('trace', 'Kettle Narrows conger rig')
  })
  const chosen = (label: string) => page.getByLabel(label, { exact: true }).locator('option:checked')
  await expect(chosen('trace')).toHaveText('Kettle Narrows conger rig')
  await expect(chosen('mark')).toHaveText('Kettle Narrows')
})

test('another line beside it, a sinker too light for the stream in words, and a box with nothing in it', async ({
  page,
  app,
}) => {
  const { id } = await markNamed(page, app.url, 'Kettle Narrows')
  await visit(page, `${app.url}/water?mark=${id}&day=2026-11-24&trace=${CONGER}`)
  await page.getByRole('button', { name: '13:30', exact: true }).click()
  const holds = page.getByRole('list', { name: 'What holds' }).getByRole('listitem')
  await expect(holds).toHaveCount(1)
  await page.getByLabel('second line').selectOption({ label: 'mono main line' })
  await expect(holds).toHaveCount(2)
  const leastOf = async (i: number) => Number(/(\d+) g is the minimum/.exec((await holds.nth(i).textContent())!)![1])
  expect(await leastOf(1)).toBeGreaterThan(await leastOf(0))
  await page.getByLabel('thickness').fill('0.8 mm')
  await expect.poll(() => leastOf(1)).toBeGreaterThan(1.1 * (await leastOf(0)))
  await page.getByRole('button', { name: '16:00', exact: true }).click()
  await page.getByLabel('sinker', { exact: true }).selectOption({ label: '30 g bomb' })
  await expect(page.getByText('This sinker is too light').first()).toBeVisible()
  for (const shape of ['pear', 'bomb']) {
    await page.getByRole('checkbox', { name: shape }).click()
    await expect(page.getByRole('checkbox', { name: shape })).not.toBeChecked()
  }
  await expect(page.getByRole('list', { name: 'Sinker changes' })).toContainText('none holds')
  expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity/)
})

test('every mark and every way of fishing has a day without a figure that is none', async ({ page, app }) => {
  const uptide = await ownMark(page, app.url, 'up-tide', { method: 'uptide', scope: 1.15, distanceM: 45 })
  // The oldest are those of the demonstration; other tests have added theirs.
  for (const { id } of (await marksOf(page, app.url)).slice(-atDepth(2, 5))) {
    await visit(page, `${app.url}/water?mark=${id}&day=2026-11-24`)
    await expect(page.getByRole('list', { name: 'Sinker changes' })).toBeVisible()
    expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity/)
  }
  await visit(page, `${app.url}/water?mark=${uptide}&day=2026-11-24&trace=${HOUND}`)
  await page.getByRole('button', { name: '16:00', exact: true }).click()
  await page.getByLabel('sinker', { exact: true }).selectOption({ label: '175 g wired grip' })
  await expect(page.getByRole('img', { name: /up-current/ })).toBeVisible()
})

test('what held and dragged teaches the mark, is shown with what was thought before, and can be taken out', async ({
  page,
  app,
}) => {
  const id = await ownMark(page, app.url, 'teaching')
  await visit(page, `${app.url}/water?mark=${id}&day=2026-11-24&trace=${CONGER}`)
  await page.getByRole('button', { name: '13:30', exact: true }).click()
  const lesson = page.getByRole('region', { name: 'Held and dragged here' })
  await expect(lesson).toContainText('1.20 (0.93 to 1.55) nominal; no observations yet')
  await lesson.getByRole('button', { name: 'It dragged' }).click()
  await expect(lesson).toContainText('after 0 held and 1 dragged here')
  const learned = Number(/dragged here, ([\d.]+)/.exec((await lesson.textContent())!)![1])
  expect(learned).toBeGreaterThan(1.2)
  await expect(page.getByRole('list', { name: 'What holds' })).toContainText(`reserve of ${learned.toFixed(2)}`)
  await page.reload()
  await expect(lesson).toContainText('after 0 held and 1 dragged here')
  await lesson.getByRole('button', { name: 'Remove this' }).click()
  await expect(lesson).toContainText('no observations yet')
  // As many holds as when it dragged, but another answer: the table follows it.
  await lesson.getByRole('button', { name: 'It held' }).click()
  await expect(lesson).toContainText('after 1 held and 0 dragged here')
  const held = Number(/dragged here, ([\d.]+)/.exec((await lesson.textContent())!)![1])
  expect(held).toBeLessThan(learned)
  await expect(page.getByRole('list', { name: 'What holds' })).toContainText(`reserve of ${held.toFixed(2)}`)
})

test('days: outside the years a plain error, the day of a clock change has 46 half hours', async ({ page, app }) => {
  await visit(page, `${app.url}/water?day=1949-12-31`)
  await expect(page.getByRole('alert')).toContainText('A day from 1950 to 2100')
  await visit(page, `${app.url}/water?day=2026-02-30`)
  await expect(page.getByRole('alert')).toContainText('is not a day')
  await visit(page, `${app.url}/water?day=2026-03-29`)
  await expect(page.getByRole('button', { name: '02:00', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: '01:00', exact: true })).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Half hours' }).getByRole('row')).toHaveCount(1 + 46)
  await page.getByRole('button', { name: 'the day after' }).click()
  await expect(page.getByLabel('day', { exact: true })).toHaveValue('2026-03-30')
})

test('without the tide it says so and can be asked again; without the wind all else is there', async ({ page, app }) => {
  let away = true
  await page.route('**/api/ports/*/tide*', (route) => (away ? route.fulfill({ status: 503, body: '{}' }) : route.continue()))
  await page.route('**/api/wind*', (route) => route.fulfill({ status: 503, body: '{}' }))
  await visit(page, `${app.url}/water?day=2026-11-24`)
  await expect(page.getByRole('alert')).toContainText('The tide could not be loaded')
  away = false
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('list', { name: 'Sinker changes' })).toBeVisible()
  await expect(page.getByText('No wind forecast right now')).toBeVisible()
})

loaded('while the sinkers are worked out all else goes on; it can be stopped, and taken up again', async ({ page, app }) => {
  let release = () => {}
  const held = new Promise<void>((resolve) => {
    release = resolve
  })
  await page.route('**/planDay.worker*', async (route) => {
    await held
    await route.continue().catch(() => undefined)
  })
  await visit(page, `${app.url}/water?day=2026-11-24`)
  await expect(page.getByText('Calculating the sinkers')).toBeVisible()
  await slider(page).focus()
  await page.keyboard.press('Home')
  await expect(taken(page)).toContainText('At 00:00: …')
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('Stopped.')).toBeVisible()
  release()
  await page.getByRole('button', { name: 'Calculate' }).click()
  await expect(page.getByRole('list', { name: 'Sinker changes' })).toBeVisible()
})

test('with the server gone the day on screen goes on: other sinkers, another time, the plan to take along', async ({
  page,
  app,
}) => {
  const { id } = await markNamed(page, app.url, 'Kettle Narrows')
  await visit(page, `${app.url}/water?mark=${id}&day=2026-11-24&trace=${CONGER}`)
  const changes = page.getByRole('list', { name: 'Sinker changes' })
  await expect(changes).toContainText('pear')
  await page.route('**/api/**', (route) => route.abort())
  await page.getByRole('checkbox', { name: 'pear' }).click()
  await expect(changes).not.toContainText('pear')
  await page.getByRole('button', { name: '16:00', exact: true }).click()
  await expect(taken(page)).toContainText('At 16:00: ')
  expect((await downloaded(page, 'Timetable (CSV)')).text.split('\n')).toHaveLength(49)
  // What was seen is not lost in silence.
  await page.getByRole('button', { name: '12:30', exact: true }).click()
  await page.getByRole('button', { name: 'It held' }).click()
  await expect(page.getByText('You are offline').first()).toBeVisible()
})

test('a new mark: bad input is told at its field and nothing is stored; put right, it is saved and has its water', async ({
  page,
  app,
}) => {
  const before = (await marksOf(page, app.url)).length
  await visit(page, `${app.url}/water/marks`)
  await page.getByRole('link', { name: 'New mark' }).click()
  await page.getByLabel('name', { exact: true }).fill('Gurnard hole')
  await page.getByLabel('depth', { exact: true }).fill('-5')
  await expect(page.getByText('Must be more than 0 and up to 2 km.')).toBeVisible()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was saved' })).toBeVisible()
  expect(await marksOf(page, app.url)).toHaveLength(before)
  await page.getByLabel('depth', { exact: true }).fill('31 m')
  await page.getByLabel('latitude').fill('58 39.9 N')
  await page.getByLabel('longitude').fill('9 20.1 W')
  await page.getByLabel('high water from').selectOption('a port of the tide service')
  await page.getByLabel('known from').selectOption('a table by the hour')
  const choose = (text: string) =>
    page.getByLabel('from a file').setInputFiles({ name: 'stream.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await choose('hour,spring_kn,neap_kn,direction_deg\n-6,1,0.5,40\n0,fast,0.5,40\n3,1,0.5,400')
  await expect(page.getByText('spring is not a number')).toBeVisible()
  await expect(page.getByText('line 4')).toBeVisible()
  await expect(page.getByRole('row')).toHaveCount(14)
  await choose('hour,spring_kn,neap_kn,direction_deg\n-6,1,0.5,40\n0,0.1,0.1,40\n6,1.2,0.5,220')
  await expect(page.getByRole('row')).toHaveCount(4)
  // Left without saving, what was typed is still there.
  await page.getByRole('link', { name: 'All marks' }).click()
  await page.getByRole('link', { name: 'New mark' }).click()
  await expect(page.getByLabel('name', { exact: true })).toHaveValue('Gurnard hole')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('link', { name: 'Gurnard hole' })).toBeVisible()
  const { content } = await markNamed(page, app.url, 'Gurnard hole')
  expect(content).toMatchObject({ depthM: 31, latitudeDeg: 58.665 })
  const item = page.getByRole('listitem').filter({ hasText: 'Gurnard hole' })
  await item.getByRole('link', { name: 'Tide plan' }).click()
  await expect(page.getByRole('list', { name: 'Sinker changes' })).toBeVisible()
})

test('an own mark in a minute: the tides of a day typed give the plan of the same tides by a file; what is assumed is said', async ({
  page,
  app,
}) => {
  const plan = async (name: string) => {
    const { id } = await markNamed(page, app.url, name)
    await visit(page, `${app.url}/water?mark=${id}&day=2026-11-24&trace=${CONGER}`)
    return page.getByRole('list', { name: 'Sinker changes' }).textContent()
  }
  const begin = async (name: string) => {
    await visit(page, `${app.url}/water/marks/new`)
    await page.getByLabel('name', { exact: true }).fill(name)
    await page.getByLabel('kind').selectOption('boat')
    await page.getByLabel('depth', { exact: true }).fill('20 m')
    await page.getByLabel('strongest').selectOption('hard to hold')
  }
  const save = async (name: string) => {
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible()
  }
  await begin('no tide')
  await save('no tide')
  const steady = await plan('no tide')
  await expect(page.getByText('The tide is unknown: the current counts as its strongest at every hour.')).toBeVisible()
  await expect(page.getByText('The current is what you said it feels like, up to 1.7 kn.')).toBeVisible()

  await begin('typed')
  await page.getByLabel('high water from').selectOption('typed from a tide table')
  await page.getByLabel('day', { exact: true }).fill('2026-11-24')
  await page.getByLabel('first time').click()
  for (const text of ['0512', '4.6', '1120', '0.9', '1735', '4.4', '2348']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  // A tide half typed is not lost by a save.
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was saved' })).toBeVisible()
  await page.getByLabel('fourth height').fill('1.1')
  await expect(page.getByText('1 day typed.')).toBeVisible()
  await save('typed')
  const typed = await plan('typed')
  expect(typed).not.toBe(steady)
  await page.getByRole('button', { name: 'the day after' }).click()
  await expect(page.getByRole('link', { name: 'Type them in' })).toBeVisible()

  await begin('by file')
  await page.getByLabel('high water from').selectOption('a tide table as a CSV file')
  const table = 'date,time,height_m\n2026-11-24,05:12,4.6\n2026-11-24,11:20,0.9\n2026-11-24,17:35,4.4\n2026-11-24,23:48,1.1'
  await page.getByLabel('tide table').setInputFiles({ name: 'tides.csv', mimeType: 'text/csv', buffer: Buffer.from(table) })
  await expect(page.getByText('4 rows imported')).toBeVisible()
  await save('by file')
  expect(await plan('by file')).toBe(typed)
})

test('marks from a file: 10,000 places are refused, a few are shown first, exported ones come back', async ({ page, app }) => {
  const before = (await marksOf(page, app.url)).length
  const placed = (await marksOf(page, app.url)).filter(({ content }) => content.latitudeDeg !== undefined).length
  await visit(page, `${app.url}/water/marks`)
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export as GPX' }).click()])
  const exported = readFileSync(await file.path(), 'utf8')
  await page.getByRole('button', { name: 'Import' }).click()
  const choose = (text: string) =>
    page.getByLabel('GPX file').setInputFiles({ name: 'marks.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(text) })
  await choose(`<gpx>${'<wpt lat="58.6" lon="-9.3"><name>x</name></wpt>'.repeat(10_000)}</gpx>`)
  await expect(page.getByRole('alert')).toContainText('10000 waypoints; the limit is 200')
  await choose('not a file of places')
  await expect(page.getByRole('alert')).toContainText('It is not XML')
  expect(await marksOf(page, app.url)).toHaveLength(before)
  await choose(exported)
  await expect(page.getByText(`${placed} places:`)).toBeVisible()
  expect(await marksOf(page, app.url)).toHaveLength(before)
  await page.getByRole('button', { name: 'Import them' }).click()
  await expect.poll(async () => (await marksOf(page, app.url)).length).toBe(before + placed)
})

test('a mark saved in another tab is not written over: both are kept, and one is chosen', async ({ page, app }) => {
  const id = await ownMark(page, app.url, 'two tabs')
  await visit(page, `${app.url}/water/marks/${id}`)
  await page.getByRole('textbox', { name: 'notes' }).fill('mine')
  const [theirs] = (await marksOf(page, app.url)).filter((mark) => mark.id === id)
  const put = await page.request.put(`${app.url}/api/marks/${id}`, {
    data: { baseRevision: 1, content: { ...theirs!.content, notes: 'theirs' } },
  })
  expect(put.ok()).toBe(true)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('was saved elsewhere')
  await page.getByRole('button', { name: 'Use the other version' }).click()
  await expect(page.getByRole('textbox', { name: 'notes' })).toHaveValue('theirs')
  await page.getByRole('textbox', { name: 'notes' }).fill('both')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Marks' })).toBeVisible()
  const saved = (await marksOf(page, app.url)).find((mark) => mark.id === id)!
  expect(saved).toMatchObject({ revision: 3, content: { notes: 'both' } })
})

test('the bench takes the water of a mark at springs and at neaps', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${CONGER}`)
  await beside(page, 'Conditions')
  await page.getByLabel('mark', { exact: true }).selectOption({ label: 'Kettle Narrows' })
  await expect(page.getByLabel('depth', { exact: true })).toHaveValue('26 m')
  await expect(page.getByLabel('current, springs')).toHaveValue('2.6 kn')
  await expect(page.getByLabel('current, neaps')).toHaveValue('1.3 kn')
  await expect(page.locator('[data-moment=settle]')).toContainText(/springs need .*, neaps /)
})

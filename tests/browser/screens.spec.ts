import { readFileSync } from 'node:fs'
import { beside, copyOf, expect, HOUND, test as loaded, PULLEY, TOPE, testOnOpenPage as test, visit } from './fixtures.ts'

test('the library: search, filter, duplicate, bin and take back', async ({ page, app }) => {
  await copyOf(page, app.url, HOUND, 'Zebra trace')
  await visit(page, `${app.url}/traces`)
  await page.getByLabel('Search traces').fill('kettle conger')
  await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toHaveText(['Kettle Narrows conger rig'])
  await page.getByLabel('Search traces').fill('no such thing')
  await expect(page.getByText('No trace found')).toBeVisible()
  await page.getByLabel('Search traces').fill('')
  await page.getByLabel('Filter by verdict').selectOption('fails')
  await expect(page.getByRole('link', { name: 'Kettle Narrows tope ledger', exact: true })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Kettle Narrows conger rig', exact: true })).toBeHidden()
  await page.getByLabel('Filter by verdict').selectOption('all')
  await page.getByLabel('Filter by tag').selectOption('deep')
  await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toHaveText(['The Sill ling rig'])
  await page.getByLabel('Filter by tag').selectOption('any tag')

  await page.getByRole('button', { name: 'Delete Zebra trace' }).click()
  await expect(page.getByRole('link', { name: 'Zebra trace', exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'Trash', exact: true }).click()
  await page
    .getByRole('button', { name: /^Restore/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Back to traces' }).click()
  await page.getByRole('button', { name: 'Duplicate Zebra trace' }).click()
  await expect(page.getByRole('heading', { name: 'Zebra trace, copy' })).toBeVisible()

  await visit(page, `${app.url}/traces`)
  await page.getByRole('button', { name: 'Delete Zebra trace, copy' }).click()
  await page.getByRole('button', { name: 'Trash', exact: true }).click()
  await page.getByRole('button', { name: 'Empty the trash …' }).click()
  await page.getByRole('button', { name: 'Keep them' }).click()
  await expect(page.getByRole('main').getByText('Zebra trace, copy')).toBeVisible()
  await page.getByRole('button', { name: 'Empty the trash …' }).click()
  await page.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByText('The trash is empty')).toBeVisible()
})

test('a new trace: outfit, family, bait; the draft holds and opens on the bench', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/new`)
  await page.getByLabel('Rock rod, 30 lb braid').check()
  await page.getByLabel(/boom paternoster/).check()
  await page.getByRole('textbox', { name: 'snoods' }).fill('3')
  // What does not read is not in force: it stops the making, and says so.
  await page.getByRole('textbox', { name: 'sinker' }).fill('5 kn')
  await page.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByText('A marked field is not valid')).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'sinker' })).toBeFocused()
  await page.getByRole('textbox', { name: 'sinker' }).fill('5 oz')
  await expect(page.getByText('holds', { exact: true })).toHaveCount(5)
  await page.getByRole('textbox', { name: 'name' }).fill('')
  await expect(page.getByRole('button', { name: 'Make this trace' })).toBeDisabled()
  await page.getByRole('textbox', { name: 'name' }).fill('Five ounces')
  await page.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByRole('heading', { name: 'Five ounces' })).toBeVisible()
  await expect(page.getByRole('tab', { name: 'to hook c' })).toBeVisible()
})

test('on a phone the bench shows verdicts and the parts with their strengths, and what is chosen is changed there', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await visit(page, `${app.url}/traces/${TOPE}`)
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', 'fails')
  const row = page.getByRole('button', { name: /^hook length fluoro/ })
  await expect(row).toContainText(/\d+ lb$/)
  await row.click()
  await expect(row).toHaveAttribute('aria-expanded', 'true')
  await expect(page.getByRole('group', { name: 'Settings of the part' }).getByLabel('finished length')).toBeVisible()
})

test('a trace that is not there, and a server that is away, are said in words with a way on', async ({ page, app, context }) => {
  await visit(page, `${app.url}/traces/00000000-0000-4000-8000-000000000000`)
  await expect(page.getByRole('alert')).toContainText('This does not exist: trace')
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await context.route('**/api/traces?heads=true', (route) => route.abort())
  await visit(page, `${app.url}/traces`)
  await expect(page.getByRole('alert')).toContainText('You are offline')
  await context.unroute('**/api/traces?heads=true')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible()
  await expect(page.getByRole('alert')).toBeHidden()
})

test('a list that is still loading says so, and an empty library shows the next step', async ({ page, app }) => {
  let answer = () => {}
  const held = new Promise<void>((resolve) => {
    answer = resolve
  })
  await page.route('**/api/traces?heads=true', async (route) => {
    await held
    await route.fulfill({ json: { documents: [], next: null } })
  })
  await visit(page, `${app.url}/traces`)
  await expect(page.getByText('Loading the traces')).toBeVisible()
  answer()
  await expect(page.getByText('No traces yet')).toBeVisible()
})

test('a rule set is noted, put in force, and reminds on the bench; none in force, it is silent', async ({ page, app }) => {
  const id = await copyOf(page, app.url, HOUND, 'nominal')
  // Comparing counts what the rule set in force reminds of; the demonstration's finds nothing in these.
  const compare = `${app.url}/compare?with=${id},${TOPE}`
  const findings = page
    .getByRole('row', { name: /^findings/ })
    .getByRole('cell')
    .first()
  const countOf = async () => Number.parseInt((await findings.textContent())!, 10)
  await visit(page, compare)
  const before = await countOf()
  await visit(page, `${app.url}/settings`)
  await page.getByRole('button', { name: 'New rule set' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByRole('alert')).toContainText('The rule set needs a name. Nothing was saved.')
  await dialog.getByRole('textbox', { name: 'name' }).fill('Pier rules')
  await dialog.getByLabel('last checked').fill('2026-10-01')
  await dialog.getByLabel('longest leader').fill('5 m')
  await dialog.getByRole('button', { name: 'Add a fish' }).click()
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByRole('alert')).toContainText('A minimum size needs a name. Nothing was saved.')
  await dialog.getByLabel('fish', { exact: true }).fill('turbot')
  await dialog.getByLabel('minimum length').fill('40 cm')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('radio', { name: /Pier rules/ }).click()
  await expect(page.getByRole('radio', { name: /Pier rules/ })).toBeChecked()
  // Shown at once, stored a moment later: leaving before that would cut it off.
  await expect(page.getByRole('radio', { name: /Pier rules/ })).toBeEnabled()
  await visit(page, `${app.url}/traces/${id}`)
  const reminder = page.locator('[data-finding=leader-over-rule]')
  await beside(page, 'Findings')
  await expect(reminder).toContainText('in “Pier rules”, last checked 2026-10-01')
  await visit(page, compare)
  await expect.poll(countOf).toBe(before + 1)
  await visit(page, `${app.url}/settings`)
  await page.getByRole('radio', { name: 'none in force' }).click()
  await expect(page.getByRole('radio', { name: 'none in force' })).toBeChecked()
  await expect(page.getByRole('radio', { name: 'none in force' })).toBeEnabled()
  await page.getByRole('button', { name: 'Delete Pier rules' }).click()
  await expect(page.getByRole('radio', { name: /Pier rules/ })).toHaveCount(0)
  await visit(page, `${app.url}/traces/${id}`)
  await expect(page.getByRole('option', { name: 'leader', exact: true })).toBeVisible()
  await expect(reminder).toHaveCount(0)
  await visit(page, compare)
  await expect.poll(countOf).toBe(before)
})

test('a trace goes out as a file and comes in again; a broken file says every fault and changes nothing; the drawing stands alone', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'There and back')}`)
  const save = async (item: string) => {
    await page.getByRole('button', { name: 'Export' }).click()
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: item }).click()])
    return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') }
  }
  const json = await save('Trace as a file')
  expect(json.name).toBe('There-and-back.json')
  const svg = await save('Drawing and profile')
  expect(svg.name).toBe('There-and-back.svg')
  expect(svg.text).not.toMatch(/var\(|class=|aria-|NaN|undefined/)
  const shown = await page.context().newPage()
  await shown.goto(`data:image/svg+xml;base64,${Buffer.from(svg.text).toString('base64')}`)
  await expect(shown.locator('svg').first()).toBeVisible()
  await shown.close()

  await visit(page, `${app.url}/traces`)
  await page.getByRole('button', { name: 'Import' }).click()
  const file = (text: string) => ({ name: 'trace.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await page.getByLabel('trace file').setInputFiles(file('<gpx/>'))
  await expect(page.getByRole('alert')).toContainText('not JSON')
  await page
    .getByLabel('trace file')
    .setInputFiles(file(json.text.replaceAll('"snell"', '"snel"').replaceAll('"hook-a"', '"hook a"')))
  await expect(page.getByRole('alert')).toContainText('errors')
  await expect(page.getByRole('alert')).toContainText(/line \d+.*this uses a knot called “snel”; the nearest is “snell”/)
  await expect(page.getByRole('button', { name: 'Import' })).toBeHidden()
  await page.getByLabel('trace file').setInputFiles(file(json.text))
  await page.getByRole('button', { name: 'Import' }).click()
  await expect(page.getByRole('heading', { name: 'There and back' })).toBeVisible()
  expect((await save('Trace as a file')).text).toBe(json.text)

  // A file of another crew: its outfit and mark are none of ours, and are added.
  const verdicts = () => page.locator('[data-moment]').evaluateAll((all) => all.map((each) => each.textContent))
  const before = await verdicts()
  const theirs = JSON.parse(json.text)
  theirs.outfit.name = 'their rod'
  theirs.mark.name = 'their mark'
  theirs.trace.name = 'from another crew'
  await visit(page, `${app.url}/traces`)
  await page.getByRole('button', { name: 'Import' }).click()
  await page.getByLabel('trace file').setInputFiles(file(JSON.stringify(theirs)))
  await expect(page.getByLabel('outfit')).toHaveValue('add')
  await expect(page.getByLabel('mark')).toHaveValue('add')
  await page.getByRole('button', { name: 'Import' }).click()
  await expect(page.getByRole('heading', { name: 'from another crew' })).toBeVisible()
  await expect(page.getByLabel('Outfit')).toContainText('their rod')
  await expect.poll(verdicts).toEqual(before)
})

test('two traces side by side: a what-if on the drag redraws both, and a worker says what moves the verdict', async ({
  page,
  app,
}) => {
  const hound = await copyOf(page, app.url, HOUND, 'Compared hound')
  await copyOf(page, app.url, TOPE, 'Compared tope')
  await visit(page, `${app.url}/traces`)
  await page.getByLabel('Search traces').fill('compared')
  await page.getByLabel('Compare Compared hound').check()
  await page.getByLabel('Compare Compared tope').check()
  await page.getByRole('link', { name: 'Compare', exact: true }).click()
  const run = page.locator('[data-compare=run]')
  await expect(run.nth(0)).toHaveAttribute('data-verdict', 'holds')
  await expect(run.nth(1)).toHaveAttribute('data-verdict', 'fails')
  await page.getByRole('slider').focus()
  await page.keyboard.press('Home')
  await expect(page.getByText('50 %', { exact: true })).toBeVisible()
  await expect(run.nth(1)).toHaveAttribute('data-verdict', 'holds')
  await page.keyboard.press('End')
  await expect(run.nth(0)).toHaveAttribute('data-verdict', 'fails')
  await page.getByRole('button', { name: 'Reset' }).click()
  // A rush over each other: pointed at the fish a rod bends no longer.
  const rush = page.getByRole('region', { name: 'A sudden run by line out' })
  await expect(rush.getByRole('img', { name: /pointed at the fish. Compared hound: .* Compared tope: / })).toBeVisible()
  await expect(rush.getByRole('listitem')).toHaveCount(2)
  const pointed = await rush.getByRole('listitem').first().textContent()
  await rush.getByLabel('Rod held').selectOption('bent')
  await expect(rush.getByRole('listitem').first()).not.toHaveText(pointed!)
  const bars = page.getByRole('region', { name: 'Compared tope', exact: true })
  await expect(bars.getByRole('listitem').first()).toBeVisible()
  await expect(bars).toContainText('drag setting')
  await page.getByLabel('Moment').selectOption('hand')
  await expect(bars.getByRole('listitem').first()).toBeVisible()
  expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity|\[object/)

  // An earlier revision beside the saved one.
  await visit(page, `${app.url}/traces/${hound}`)
  await page.getByLabel('strength', { exact: true }).fill('60 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.getByRole('button', { name: 'History' }).click()
  await page.getByRole('button', { name: /^Revision 1/ }).click()
  await page.getByRole('link', { name: 'Compare with the saved one' }).click()
  await expect(page.getByText('leader 60 lb → 40 lb')).toBeVisible()
})

loaded(
  'a trace that cannot be drawn says so on its card; the other cards are there, and it can be deleted',
  async ({ page, app }) => {
    const oddM = 7.7771
    const { content } = await (await page.request.get(`${app.url}/api/traces/${HOUND}`)).json()
    const pieces = content.trace.pieces.map((piece: { role: string }) =>
      piece.role === 'leader' ? { ...piece, lengthM: oddM } : piece,
    )
    const data = { id: crypto.randomUUID(), content: { ...content, trace: { ...content.trace, name: 'Undrawable', pieces } } }
    expect((await page.request.post(`${app.url}/api/traces`, { data })).ok()).toBe(true)
    // No trace is known that breaks the drawing, so the drawing of one length is made to throw.
    await page.addInitScript((length) => {
      const { log10 } = Math
      Math.log10 = (x) => {
        if (x === 1 + length / 0.05) throw new Error('cannot be drawn')
        return log10(x)
      }
    }, oddM)
    await visit(page, `${app.url}/traces`)
    // Messages at the bottom of the page are list items, too.
    const cards = page.getByRole('main').getByRole('listitem')
    const card = cards.filter({ hasText: 'Undrawable' })
    await expect(card.getByText('This trace cannot be drawn.')).toBeVisible()
    await expect(cards.filter({ hasNotText: 'Undrawable' }).first().locator('svg[viewBox]').first()).toBeVisible()
    await card.getByRole('button', { name: 'Delete Undrawable' }).click()
    await expect(card).toHaveCount(0)
  },
)

test('on a phone the sinker to fish comes before the chart, and a new trace can be made without scrolling to its draft', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await visit(page, `${app.url}/water?day=2026-11-24`)
  const answer = page.getByText(/^Next change \d\d:\d\d: to \d+ g|^No later change$/)
  await expect(answer).toBeInViewport()
  const chart = page.getByRole('img', { name: /^Tide and current at/ })
  expect((await answer.boundingBox())!.y).toBeLessThan((await chart.boundingBox())!.y)
  await visit(page, `${app.url}/traces/new`)
  await expect(page.getByRole('button', { name: 'Make this trace' })).toBeInViewport()
  const draft = page.getByRole('region', { name: 'Your draft' })
  await expect(draft.getByText('Cast', { exact: true })).not.toBeInViewport()
  await page.getByRole('link', { name: 'See the draft' }).click()
  await expect(draft.getByText('Cast', { exact: true })).toBeInViewport()
})

test('a word of the trade is opened where it stands, by keyboard too, and found in the glossary by another region’s word', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/${PULLEY}`)
  const word = page.getByRole('region', { name: 'Worst finding' }).getByRole('button', { name: 'springs', exact: true })
  await word.focus()
  await page.keyboard.press('Enter')
  const meaning = page.getByRole('dialog', { name: 'springs' })
  await expect(meaning).toContainText('after new and full moon')
  await page.keyboard.press('Escape')
  await expect(meaning).toBeHidden()
  await expect(word).toBeFocused()
  await page.getByRole('button', { name: 'Help' }).click()
  await page.getByRole('link', { name: /^Glossary/ }).click()
  await page.getByRole('searchbox').fill('dropper')
  await expect(page.getByRole('term')).toHaveText(['snood'])
  await page.getByRole('searchbox').fill('zzz')
  await expect(page.getByRole('status').filter({ hasText: 'No word like this' })).toBeVisible()
})

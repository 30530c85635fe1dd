import { ceilingLb, copyOf, expect, HOUND, KELP, STOUT, TOPE, test } from './fixtures.ts'

const option = (name: string) => ({ name, exact: true })

test('the paternoster: another leader knot, the leader a step down, the ceiling follows; saved, it is there after a reload and on the build sheet', async ({
  page,
  app,
}) => {
  // A copy under its own name: other tests start from the demonstration's.
  await copyOf(page, app.url, HOUND, 'Hound trace to mend')
  await page.goto(`${app.url}/traces`)
  await page.getByRole('link', { name: 'Hound trace to mend', exact: true }).click()
  const run = page.locator('[data-moment=run]')
  await expect(page.getByRole('option', option('main line'))).toBeVisible()
  await expect(run).toContainText('albright at the leader')

  await page.getByRole('option', option('albright at the leader')).click()
  await page.getByLabel('tied to the outfit').selectOption('fg')
  await expect(run).not.toContainText('albright')
  await expect(run).toContainText('uni at the swivel')
  const before = await ceilingLb(page)

  await page.getByRole('button', { name: 'strength: one step down' }).click()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  const after = await ceilingLb(page)
  expect(after).toBeLessThan(before)
  // The weakest is still the leader's own knot, so the ceiling falls as the label does, water drag aside.
  expect(after / before).toBeCloseTo(30 / 40, 1)

  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  expect(await ceilingLb(page)).toBe(after)

  await page.getByRole('link', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Hound trace to mend' })).toBeVisible()
  await expect(page.locator('[data-cut=leader]')).toContainText('FG (woven)')
  await expect(page.getByText('mono 30 lb')).toBeVisible()
  await page.getByLabel('traces to make').fill('12')
  await expect(page.getByText(/12 × [\d.]+ m =/).first()).toBeVisible()
})

test('every keystroke that parses recomputes; one that does not says why and leaves the last good figure', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, HOUND, 'typing')}`)
  const strength = page.getByLabel('strength', { exact: true })
  await strength.fill('13.6 kg')
  await expect(page.getByText(/^leader: 27\.0 lb/)).toBeVisible()
  await strength.fill('20 kn')
  await expect(page.getByRole('alert')).toContainText('“kn” was read as a speed')
  await expect(page.getByText(/^leader: 27\.0 lb/)).toBeVisible()
  await strength.fill('-4')
  await expect(page.getByRole('alert')).toContainText('more than nothing')
  await strength.fill('99999999999999')
  await expect(page.getByRole('alert')).toContainText('more than the tool reckons with')
  await strength.fill('25')
  await strength.blur()
  await expect(strength).toHaveValue('25 lb')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(strength).toHaveValue('40 lb')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(strength).toHaveValue('25 lb')
})

test('two tabs: the stale save is refused with what changed, and taking either loses neither', async ({ page, app, context }) => {
  const id = await copyOf(page, app.url, HOUND, 'two tabs')
  const other = await context.newPage()
  await page.goto(`${app.url}/traces/${id}`)
  await other.goto(`${app.url}/traces/${id}`)
  await page.getByLabel('strength', { exact: true }).fill('50 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()

  await other.getByLabel('strength', { exact: true }).fill('60 lb')
  await other.getByRole('button', { name: 'Save' }).click()
  const dialog = other.getByRole('dialog')
  await expect(dialog).toContainText('saved elsewhere')
  await expect(dialog).toContainText('leader 50 lb → 60 lb')
  await dialog.getByRole('button', { name: 'Take theirs' }).click()
  await expect(other.getByLabel('strength', { exact: true })).toHaveValue('50 lb')
  await other.getByRole('button', { name: 'Undo' }).click()
  await expect(other.getByLabel('strength', { exact: true })).toHaveValue('60 lb')
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByText('revision 3, saved')).toBeVisible()
})

test('with the server away a save says so, the draft outlives a reload, and is saved when the server is back', async ({
  page,
  app,
  context,
}) => {
  const id = await copyOf(page, app.url, HOUND, 'away')
  await page.goto(`${app.url}/traces/${id}`)
  await page.getByLabel('strength', { exact: true }).fill('60 lb')
  await context.route('**/api/**', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('Not saved')
  // It goes on computing.
  await page.getByLabel('strength', { exact: true }).fill('80 lb')
  await expect(page.getByText(/^leader: 72\.0 lb/)).toBeVisible()
  page.once('dialog', (dialog) => dialog.accept())
  await page.reload()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('80 lb')
  await context.unroute('**/api/**')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('by keyboard alone: walk the reach, change a part, undo, save', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, KELP, 'keys')}`)
  const reach = page.getByRole('listbox', { name: /The reach/ })
  await expect(reach).toBeVisible()
  for (let i = 0; i < 40 && !(await reach.evaluate((element) => element === document.activeElement)); i += 1)
    await page.keyboard.press('Tab')
  const chosen = reach.getByRole('option', { selected: true })
  await page.keyboard.press('Home')
  await expect(chosen).toHaveAccessibleName('reel')
  for (let i = 0; i < 20 && (await chosen.getAttribute('aria-label')) !== 'sinker line'; i += 1)
    await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'sinker line' })).toBeVisible()
  const strength = page.getByLabel('strength', { exact: true })
  const typed = await strength.inputValue()
  for (let i = 0; i < 20 && !(await strength.evaluate((element) => element === document.activeElement)); i += 1)
    await page.keyboard.press('Tab')
  await page.keyboard.press('ArrowUp')
  await expect(strength).not.toHaveValue(typed)
  await page.keyboard.press('Tab')
  await page.keyboard.press('Control+z')
  await expect(strength).toHaveValue(typed)
  await page.keyboard.press('Control+Shift+z')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('a sinker line too light for the cast fails until a clip carries it', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, KELP, 'clip')}`)
  await page.getByRole('option', option('sinker')).click()
  const cast = page.locator('[data-moment=cast]')
  await expect(cast).toHaveAttribute('data-verdict', 'holds')
  await page.getByLabel('a release clip carries it').uncheck()
  await expect(cast).toHaveAttribute('data-verdict', 'fails')
  await page.getByLabel('a release clip carries it').check()
  await expect(cast).toHaveAttribute('data-verdict', 'holds')
})

test('more line out than was wound is said in words, and can be undone', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, TOPE, 'too far')}`)
  await page.getByRole('textbox', { name: 'line out' }).fill('4000 m')
  await expect(page.getByRole('alert')).toContainText(/4000 m is out, [\d.]+ m was wound/)
  await page.getByRole('textbox', { name: 'line out' }).blur()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', 'fails')
})

test('choosing a part on another branch brings up the path that it lies on', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, HOUND, 'branches')}`)
  await expect(page.getByRole('tab', { name: 'to hook a' })).toHaveAttribute('aria-selected', 'true')
  await page.getByRole('option', option('snood b')).click()
  await expect(page.getByRole('tab', { name: 'to hook b' })).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByText(/^snood b: 36\.0 lb/)).toBeVisible()
})

test('name and notes change and undo like anything else; an earlier revision is shown with its differences and brought back', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, HOUND, 'first name')}`)
  await page.getByRole('button', { name: 'Name, tags and notes' }).click()
  const name = page.getByRole('dialog').getByRole('textbox', { name: 'name' })
  await name.fill('')
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('Give it a name')
  await name.fill('second name')
  await page.getByRole('textbox', { name: 'notes' }).fill('slack water only')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('heading', { name: 'second name' })).toBeVisible()
  await page.getByLabel('strength', { exact: true }).fill('60 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()

  await page.getByRole('button', { name: 'History' }).click()
  await page.getByRole('button', { name: /^Revision 1/ }).click()
  await expect(page.getByRole('dialog')).toContainText('leader 60 lb → 40 lb')
  await page.getByRole('button', { name: 'Bring back revision 1' }).click()
  await expect(page.getByRole('heading', { name: 'first name' })).toBeVisible()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('40 lb')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('heading', { name: 'second name' })).toBeVisible()
})

test('units are a matter of display: the same trace in kilograms and feet', async ({ page, app }) => {
  const id = await copyOf(page, app.url, HOUND, 'units')
  await page.goto(`${app.url}/settings`)
  await page.getByLabel('strength').selectOption('kg')
  await page.getByLabel('length').selectOption('ft')
  await page.goto(`${app.url}/traces/${id}`)
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('18.144 kg')
  await page.getByLabel('finished length').fill('4 ft 6')
  await page.getByLabel('finished length').blur()
  await expect(page.getByLabel('finished length')).toHaveValue('4.5 ft')
})

test('by keyboard alone, from nothing: a pulley rig is drawn on the reach, judged, and saved', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/new`)
  await page.getByRole('radio', { name: 'own design' }).focus()
  await page.keyboard.press('Space')
  await page.getByLabel('name').fill('Pulley from nothing')
  await page.getByRole('button', { name: 'Make this trace' }).focus()
  await page.keyboard.press('Enter')
  const reach = page.getByRole('listbox', { name: /The reach/ })
  await expect(reach).toBeVisible()
  for (let i = 0; i < 40 && !(await reach.evaluate((element) => element === document.activeElement)); i += 1)
    await page.keyboard.press('Tab')
  const chosen = reach.getByRole('option', { selected: true })
  /** Walks the reach to a part, asks for another there, and types what it is. */
  const add = async (at: string, part: string, becomes: string) => {
    await page.keyboard.press('Home')
    for (let i = 0; i < 40 && (await chosen.getAttribute('aria-label')) !== at; i += 1) await page.keyboard.press('ArrowRight')
    await expect(chosen).toHaveAccessibleName(at)
    await page.keyboard.press('Insert')
    await expect(page.getByRole('dialog')).toBeVisible()
    await page.keyboard.type(part)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toBeHidden()
    await expect(chosen).toHaveAccessibleName(becomes)
    await expect(reach).toBeFocused()
  }
  await add('main line', 'leader', 'leader')
  await add('leader', 'pulley bead', 'pulley bead')
  await add('pulley bead', 'through the pulley', 'body')
  await add('swivel', 'sinker', 'sinker')
  await add('swivel 2', 'snood', 'snood')
  await add('snood', 'hook', 'hook')
  await add('hook', 'bait', 'bait')
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', /holds|watch|fails/)
  // The fish's pull goes through the swivel that bears on the pulley: the sinker is lifted.
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(reach.getByRole('option', { name: 'bait', exact: true })).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(reach.getByRole('option', { name: 'bait', exact: true })).toHaveCount(1)
})

test('a boom is dragged along the body with its crimps, one undo step; a step by keyboard; a part that cannot go says why', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, HOUND, 'sliding')}`)
  const boom = page.getByRole('option', { name: 'boom a', exact: true })
  await boom.click()
  const place = page.getByLabel('down the line', { exact: true })
  await expect(place).toHaveValue('0.3 m')
  const box = (await boom.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 10, y, { steps: 4 })
  await page.mouse.move(x + 20, y, { steps: 4 })
  await page.mouse.up()
  await expect(place).not.toHaveValue('0.3 m')
  const slid = Number.parseFloat(await place.inputValue())
  expect(slid).toBeGreaterThan(0.32)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(place).toHaveValue('0.3 m')
  await boom.click()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(place).toHaveValue('0.35 m')
  await place.fill('5 m')
  await expect(page.getByRole('alert')).toContainText('nothing passes its neighbours')
  await page.getByRole('option', { name: 'sinker', exact: true }).click()
  await page.getByRole('button', { name: 'To the hook' }).click()
  await expect(page.getByText(/nothing follows it/i)).toBeVisible()
})

test('replace, split and remove keep the trace whole', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, TOPE, 'redrawn')}`)
  await page.getByRole('option', { name: 'swivel', exact: true }).click()
  await page.getByRole('button', { name: 'Replace' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'three-way swivel' }).click()
  await expect(page.getByRole('option', { name: 'three way swivel', exact: true })).toBeVisible()
  await page.getByRole('option', { name: 'hook length', exact: true }).click()
  await page.getByRole('button', { name: 'Split' }).click()
  await expect(page.getByRole('option', { name: 'hook length 2', exact: true })).toBeVisible()
  await page.getByRole('option', { name: 'hook length', exact: true }).click()
  await page.getByRole('button', { name: 'Remove' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /what follows is tied to/ })
    .click()
  await expect(page.getByRole('option', { name: 'hook length', exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('all snoods in one step, tags, and a chosen fuse that is not the likeliest is said', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, HOUND, 'roles')}`)
  await page.getByRole('option', { name: 'snood a', exact: true }).click()
  await page.getByLabel('strength', { exact: true }).fill('30 lb')
  await page.getByRole('button', { name: 'All 2 snoods to mono 30 lb' }).click()
  await page.getByRole('option', { name: 'snood b', exact: true }).click()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  await expect(page.getByRole('button', { name: /^All 2 snoods/ })).toBeHidden()

  await page.locator('[data-moment=run] button').click()
  await page.getByRole('option', { name: 'main line', exact: true }).click()
  await expect(page.getByLabel('fuse: meant to go first')).toBeHidden()
  await page.getByRole('option', { name: 'snell at hook a', exact: true }).click()
  await page.getByLabel('fuse: meant to go first').check()
  await expect(page.getByText(/The fuse you chose, snell at hook a, goes first only/)).toBeVisible()

  await page.getByRole('button', { name: 'Name, tags and notes' }).click()
  await page.getByRole('textbox', { name: 'tags' }).fill('night, , sand, night')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.goto(`${app.url}/traces`)
  await page.getByLabel('Filter by tag').selectOption('sand')
  await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toHaveText(['roles'])
})

test('the moments: a longer hook length is too long for the rod; more line out brings the peak past what is allowed', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, TOPE, 'moments')}`)
  await page.locator('[data-moment=hand] button').click()
  await page.getByRole('option', { name: 'hook length', exact: true }).click()
  await page.getByLabel('finished length').fill('9 m')
  await expect(page.locator('[data-moment=hand]')).toContainText('too long for the rod: 9.00 m')
  await expect(page.getByText('The rest is hand over hand')).toBeVisible()
  await page.locator('[data-moment=run] button').click()
  await expect(page.getByRole('img', { name: /Peak load against line out/ })).toBeVisible()
  await page.getByLabel('drag set', { exact: true }).fill('0.5 lb')
  await expect(page.getByText(/stays under what the chain is allowed/)).toBeVisible()
})

for (const [id, name] of [
  [TOPE, 'tope, a leader lighter than its knots allow'],
  [STOUT, 'a weak link stronger than its trace'],
] as const)
  test(`mended to hold in every moment by remedies alone: ${name}`, async ({ page, app }) => {
    await page.goto(`${app.url}/traces/${await copyOf(page, app.url, id, name)}`)
    const moments = page.locator('[data-moment][data-verdict]')
    const below = page.locator('[data-moment]:not([data-verdict=holds])[data-verdict]')
    await expect(moments.first()).toBeVisible()
    expect(await below.count()).toBeGreaterThan(0)
    for (let step = 0; step < 8 && (await below.count()) > 0; step += 1) {
      const remedy = page.locator('[data-finding] button:enabled').filter({ hasNotText: 'Set aside' }).first()
      const label = (await remedy.textContent()) ?? ''
      await remedy.click()
      await expect(page.getByRole('button', { name: label, exact: true })).toHaveCount(0)
    }
    await expect(below).toHaveCount(0)
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByText('revision 2, saved')).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    expect(await below.count()).toBeGreaterThan(0)
  })

test('a finding is set aside with its reason, and is taken up again', async ({ page, app }) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, TOPE, 'aside')}`)
  const blood = page.locator('[data-finding=blood-unlike]')
  await blood.getByRole('button', { name: 'Set aside' }).click()
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Set aside' })).toBeDisabled()
  await page.getByRole('textbox', { name: 'reason' }).fill('tied at the mark, it has held')
  await page.keyboard.press('Enter')
  await expect(blood).toHaveCount(0)
  await page.getByRole('button', { name: /and 1 set aside/ }).click()
  await expect(page.getByText('Set aside: tied at the mark, it has held')).toBeVisible()
  await page.getByRole('button', { name: 'Take up again' }).click()
  await expect(blood).toHaveCount(1)
})

test('every verdict opens its derivation, which can be copied', async ({ page, app, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.goto(`${app.url}/traces/${HOUND}`)
  await page.getByRole('button', { name: 'How it is reckoned' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Peak load in a run, and the highest safe drag')
  await expect(dialog).toContainText('albright at the leader')
  await expect(dialog).toContainText('Capstan equation')
  await dialog.getByRole('button', { name: 'Copy as text' }).click()
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toContain('allowed fraction: 0.75, rule')
})

test('how it settles: a stream too strong blows the line out, the remedy takes the weight that holds, the side view redraws', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/traces/${await copyOf(page, app.url, KELP, 'settling')}`)
  const settle = page.locator('[data-moment=settle]')
  await expect(page.getByText('Say the depth and the stream below')).toBeVisible()
  await page.getByLabel('cast', { exact: true }).selectOption('none')
  await page.getByLabel('reckon how it settles').check()
  await settle.getByRole('button').click()
  await page.getByLabel('depth', { exact: true }).fill('20 m')
  await page.getByLabel('stream', { exact: true }).fill('0.4 kn')
  await expect(settle).toHaveAttribute('data-verdict', 'holds')
  await expect(page.getByRole('img', { name: /^Side view to scale/ })).toBeVisible()
  await page.getByLabel('stream', { exact: true }).fill('5 kn')
  await expect(settle).toHaveAttribute('data-verdict', 'fails')
  await expect(page.getByText('the line is blown out')).toBeVisible()
  await page.getByLabel('stream', { exact: true }).fill('1.8 kn')
  await expect(page.getByRole('img', { name: /^Side view to scale/ })).toBeVisible()
  await page.locator('[data-finding=sinker-too-light]').getByRole('button', { name: 'Take the weight that holds' }).click()
  await expect(settle).toHaveAttribute('data-verdict', 'holds')
  for (const method of ['uptide', 'drift', 'shore']) {
    await page.getByLabel('fished', { exact: true }).selectOption(method)
    await expect(settle).toHaveAttribute('data-verdict', /holds|watch|fails/)
  }
  expect(await page.getByRole('main').innerHTML()).not.toMatch(/NaN|undefined|Infinity/)
  await page.getByLabel('depth', { exact: true }).fill('-5')
  await expect(page.getByRole('alert')).toContainText('From 1 m to 2 km')
  await page.getByLabel('reckon how it settles').uncheck()
  await expect(page.getByText('Say the depth and the stream below')).toBeVisible()
})

test('a sleeve of the wrong bore is said, and the one that fits is one step away', async ({ page, app }) => {
  const id = await copyOf(page, app.url, TOPE, 'crimped')
  await page.goto(`${app.url}/traces/${id}`)
  await page.getByRole('option', { name: 'snell at the hook', exact: true }).click()
  await page.getByLabel('tied with').selectOption('crimpLoop')
  await page.getByLabel('sleeve’s bore').fill('2 mm')
  await page.getByRole('button', { name: /^All \d/ }).click()
  const bore = page.locator('[data-finding=crimp-bore]')
  await expect(bore).toContainText('it does not grip')
  await bore.getByRole('button', { name: 'Take the sleeve that fits' }).click()
  await expect(bore).toHaveCount(0)
})

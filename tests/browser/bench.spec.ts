import {
  beside,
  ceilingLb,
  copyOf,
  expect,
  HOUND,
  KELP,
  test as loaded,
  TOPE,
  tabTo,
  testOnOpenPage as test,
  visit,
  walkTo,
} from './fixtures.ts'

const option = (name: string) => ({ name, exact: true })

test('the paternoster: another leader knot, the leader a step down, the ceiling follows; saved, it is there after a reload and on the build sheet', async ({
  page,
  app,
}) => {
  // A copy under its own name: other tests start from the demonstration's.
  await copyOf(page, app.url, HOUND, 'Hound trace to fix')
  await visit(page, `${app.url}/traces`)
  await page.getByRole('link', { name: 'Hound trace to fix', exact: true }).click()
  const run = page.locator('[data-moment=run]')
  await expect(page.getByRole('option', option('main line'))).toBeVisible()
  await expect(run).toContainText('albright at the leader')

  await page.getByRole('option', option('albright at the leader')).click()
  await page.getByLabel('knot to the main line').selectOption('fg')
  await expect(run).not.toContainText('albright')
  await expect(run).toContainText('uni at the swivel')
  const before = await ceilingLb(page)

  await page.getByRole('button', { name: 'strength: one step down' }).click()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  await expect.poll(() => ceilingLb(page)).toBeLessThan(before)
  const after = await ceilingLb(page)
  // The weakest is still the leader's own knot, so the ceiling falls as the label does, water drag aside.
  expect(after / before).toBeCloseTo(30 / 40, 1)

  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  expect(await ceilingLb(page)).toBe(after)

  await page.getByRole('link', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Hound trace to fix' })).toBeVisible()
  await expect(page.locator('[data-cut=leader]')).toContainText('FG (woven)')
  await expect(page.getByRole('cell', { name: 'mono 30 lb', exact: true }).first()).toBeVisible()
  await page.getByLabel('traces to make').fill('12')
  await expect(page.locator('[data-cut=leader]')).toContainText(/12 × [\d.]+ m/)
})

test('every keystroke that reads recomputes; one that does not says why, and leaves the value from before the typing in force', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'typing')}`)
  const strength = page.getByLabel('strength', { exact: true })
  await strength.fill('13.6 kg')
  await expect(page.getByText(/^leader: 27 lb ±/)).toBeVisible()
  // What does not read leaves the value from before the typing in force, and so do Escape and Ctrl+Z.
  await strength.fill('20 kn')
  await expect(page.getByRole('alert')).toContainText('“kn” is a speed')
  await expect(page.getByText(/^leader: 36 lb ±/)).toBeVisible()
  await strength.fill('')
  await strength.pressSequentially('2/0')
  await expect(page.getByText(/^leader: 36 lb ±/)).toBeVisible()
  await strength.press('Escape')
  await expect(strength).toHaveValue('40 lb')
  await strength.fill('2')
  await expect(page.getByText(/^leader: 1.8 lb ±/)).toBeVisible()
  await strength.press('Control+z')
  await expect(strength).toHaveValue('40 lb')
  await expect(page.getByText(/^leader: 36 lb ±/)).toBeVisible()
  await strength.fill('-4')
  await expect(page.getByRole('alert')).toContainText('Must be more than 0')
  await strength.fill('99999999999999')
  await expect(page.getByRole('alert')).toContainText('Too large')
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
  await visit(page, `${app.url}/traces/${id}`)
  await other.goto(`${app.url}/traces/${id}`)
  // A tab without changes may load the new revision by itself.
  await other.getByLabel('strength', { exact: true }).fill('60 lb')
  await page.getByLabel('strength', { exact: true }).fill('50 lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await other.getByRole('button', { name: 'Save' }).click()
  const dialog = other.getByRole('dialog')
  await expect(dialog).toContainText('saved elsewhere')
  await expect(dialog).toContainText('leader 50 lb → 60 lb')
  await dialog.getByRole('button', { name: /^Use theirs/ }).click()
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
  await visit(page, `${app.url}/traces/${id}`)
  await page.getByLabel('strength', { exact: true }).fill('60 lb')
  await context.route('**/api/**', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert')).toContainText('Not saved')
  // It goes on computing.
  await page.getByLabel('strength', { exact: true }).fill('80 lb')
  await expect(page.getByText(/^leader: 72 lb ±/)).toBeVisible()
  page.once('dialog', (dialog) => dialog.accept())
  await page.reload()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('80 lb')
  await context.unroute('**/api/**')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('by keyboard alone: walk the reach, change a part, undo, save', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, KELP, 'keys')}`)
  const reach = page.getByRole('listbox', { name: /The reach/ })
  await expect(reach).toBeVisible()
  await tabTo(page, reach)
  await walkTo(page, 'sinker line')
  await expect(page.getByRole('heading', { name: 'sinker line' })).toBeVisible()
  const strength = page.getByLabel('strength', { exact: true })
  const typed = await strength.inputValue()
  await tabTo(page, strength)
  await page.keyboard.press('ArrowUp')
  await expect(strength).not.toHaveValue(typed)
  await page.keyboard.press('Tab')
  await page.keyboard.press('Control+z')
  await expect(strength).toHaveValue(typed)
  await page.keyboard.press('Control+Shift+z')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('a sinker line too light for the cast is to be watched until a clip carries it', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, KELP, 'clip')}`)
  await page.getByRole('option', option('sinker')).click()
  const cast = page.locator('[data-moment=cast]')
  await expect(cast).toHaveAttribute('data-verdict', 'holds')
  await page.getByLabel('a release clip holds it').uncheck()
  await expect(cast).toHaveAttribute('data-verdict', 'watch')
  await page.getByLabel('a release clip holds it').check()
  await expect(cast).toHaveAttribute('data-verdict', 'holds')
})

test('more line out than was wound is said in words, and can be undone', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, TOPE, 'too far')}`)
  await beside(page, 'Conditions')
  await page.getByRole('textbox', { name: 'line out' }).fill('4000 m')
  await expect(page.getByRole('alert')).toContainText(/4000 m is out, [\d.]+ m was wound/)
  await page.getByRole('textbox', { name: 'line out' }).blur()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', 'fails')
})

test('choosing a part on another branch brings up the path that it lies on', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'branches')}`)
  await expect(page.getByRole('tab', { name: 'to hook a' })).toHaveAttribute('aria-selected', 'true')
  await page.getByRole('option', option('snood b')).click()
  await expect(page.getByRole('tab', { name: 'to hook b' })).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByText(/^snood b: 36 lb ±/)).toBeVisible()
})

test('name and notes change and undo like anything else; an earlier revision is shown with its differences and brought back', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'first name')}`)
  await page.getByRole('button', { name: 'Name, tags and notes' }).click()
  const name = page.getByRole('dialog').getByRole('textbox', { name: 'name' })
  await name.fill('')
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('Enter a name')
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

loaded('units are a matter of display: the same trace in kilograms and feet', async ({ page, app }) => {
  const id = await copyOf(page, app.url, HOUND, 'units')
  await visit(page, `${app.url}/settings`)
  await page.getByLabel('strength').selectOption('kg')
  await page.getByLabel('length', { exact: true }).selectOption('ft')
  await visit(page, `${app.url}/traces/${id}`)
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('18.14 kg')
  await page.getByLabel('finished length').fill('4 ft 6')
  await page.getByLabel('finished length').blur()
  await expect(page.getByLabel('finished length')).toHaveValue('4.5 ft')
})

test('all snoods in one step, tags, and a chosen fuse that is not the likeliest is said', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'roles')}`)
  await page.getByRole('option', { name: 'snood a', exact: true }).click()
  await page.getByLabel('strength', { exact: true }).fill('30 lb')
  await page.getByRole('button', { name: 'All 2 snoods to mono 30 lb' }).click()
  await page.getByRole('option', { name: 'snood b', exact: true }).click()
  await expect(page.getByLabel('strength', { exact: true })).toHaveValue('30 lb')
  await expect(page.getByRole('button', { name: /^All 2 snoods/ })).toBeHidden()

  await page.locator('[data-moment=run] button').click()
  await page.getByRole('option', { name: 'main line', exact: true }).click()
  await expect(page.getByLabel('fuse: breaks first')).toBeHidden()
  await page.getByRole('option', { name: 'snell at hook a', exact: true }).click()
  await page.getByLabel('fuse: breaks first').check()
  await beside(page, 'Why')
  await expect(page.getByText(/The fuse you chose, snell at hook a, breaks first only/)).toBeVisible()

  await page.getByRole('button', { name: 'Name, tags and notes' }).click()
  await page.getByRole('textbox', { name: 'tags' }).fill('night, , sand, night')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
  await visit(page, `${app.url}/traces`)
  await page.getByLabel('Filter by tag').selectOption('sand')
  await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toHaveText(['roles'])
})

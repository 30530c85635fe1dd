import { copyOf, expect, HOUND, TOPE, tabTo, testOnOpenPage as test, visit, walkTo } from './fixtures.ts'

test('by keyboard alone, from nothing: a pulley rig is drawn on the reach, judged, and saved', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/new`)
  await page.getByRole('radio', { name: 'own design' }).focus()
  await page.keyboard.press('Space')
  await page.getByLabel('name').fill('Pulley from nothing')
  await page.getByRole('button', { name: 'Make this trace' }).focus()
  await page.keyboard.press('Enter')
  const reach = page.getByRole('listbox', { name: /The reach/ })
  await expect(reach).toBeVisible()
  await tabTo(page, reach)
  const chosen = reach.getByRole('option', { selected: true })
  /** Walks the reach to a part, asks for another there, and types what it is. */
  const add = async (at: string, part: string, becomes: string) => {
    await walkTo(page, at)
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
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'sliding')}`)
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
  await expect(page.getByRole('alert')).toContainText('it cannot pass its neighbours')
  await page.getByRole('option', { name: 'sinker', exact: true }).click()
  await page.getByRole('button', { name: 'To the hook' }).click()
  await expect(page.getByText(/it has no next part to swap with/i)).toBeVisible()
})

test('stepped to the last label, a step further is no edit; while it is stepped the strip stays where it is', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, HOUND, 'stepped')}`)
  const leader = page.getByRole('option', { name: 'leader', exact: true })
  await leader.click()
  const strength = page.getByLabel('strength', { exact: true })
  await expect(strength).toHaveValue('40 lb')
  const snood = page.getByRole('option', { name: 'snood a', exact: true })
  const before = (await snood.boundingBox())!
  for (const shown of ['50 lb', '60 lb', '80 lb', '100 lb']) {
    await strength.press('ArrowUp')
    await expect(strength).toHaveValue(shown)
    expect(await snood.boundingBox()).toEqual(before)
  }
  for (const shown of ['130 lb', '150 lb', '200 lb', '300 lb', '300 lb']) {
    await strength.press('ArrowUp')
    await expect(strength).toHaveValue(shown)
  }
  // All steps in a row are one: undone they are gone, and the step that led nowhere was none.
  await leader.click()
  await strength.press('ArrowUp')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(strength).toHaveValue('40 lb')
})

test('replace, split and remove keep the trace whole', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, TOPE, 'edited')}`)
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
    .getByRole('button', { name: /the rest is tied to/ })
    .click()
  await expect(page.getByRole('option', { name: 'hook length', exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('revision 2, saved')).toBeVisible()
})

test('a part is lifted off and put elsewhere with all it has, held fast and let go', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, TOPE, 'moved')}`)
  await page.getByRole('option', { name: 'sinker', exact: true }).click()
  await page.getByRole('textbox', { name: 'weight' }).fill('333 g')
  await page.getByRole('button', { name: 'Move to …' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'along the hook length' }).click()
  await expect(page.getByRole('textbox', { name: 'weight' })).toHaveValue('333 g')
  await expect(page.getByRole('tab', { name: 'to sinker' })).toBeVisible()
  const held = page.getByLabel('fixed in place')
  await held.check()
  await expect(held).toBeChecked()
  await held.uncheck()
  await expect(held).not.toBeChecked()
  for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('textbox', { name: 'weight' })).toHaveValue('340 g')
})

test('where a part goes is chosen: between two neighbours that are named', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, TOPE, 'between')}`)
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  await page.getByRole('button', { name: 'Add part' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'on the leader, above the sinker' }).check()
  await dialog.getByRole('textbox', { name: 'Part to search for' }).fill('bead')
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('textbox', { name: 'down the line' })).toHaveValue('1.35 m')
})

test('a part is taken from the box, measured, and kept as one of one’s own', async ({ page, app }) => {
  const hook = { formatVersion: 3, kind: 'hook', name: 'My wide circle', pattern: 'circle', size: '8/0', gapeM: 0.021 }
  const created = await page.request.post(`${app.url}/api/gear`, { data: { id: crypto.randomUUID(), content: hook } })
  expect(created.ok()).toBe(true)
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, TOPE, 'boxed')}`)
  await page.getByRole('option', { name: 'hook', exact: true }).click()
  const box = page.getByLabel('from the box')
  await box.selectOption({ label: 'My wide circle' })
  await expect(page.getByLabel('hook size')).toHaveValue('8/0')
  await expect(page.getByLabel('gape', { exact: true })).toHaveValue('21 mm')
  await page.getByLabel('wire', { exact: true }).fill('2.2 mm')
  await expect(box).toHaveValue('')
  await page.getByRole('button', { name: 'Add to the box' }).click()
  await expect(page.getByText('“8/0 circle” is in the box.')).toBeVisible()
  await expect(box.getByRole('option', { name: '8/0 circle', exact: true })).toBeAttached()
  await expect(box).not.toHaveValue('')
})

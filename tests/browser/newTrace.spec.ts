import { readFileSync } from 'node:fs'
import { beside, copyOf, expect, test as loaded, PULLEY, tabTo, testOnOpenPage as test, visit } from './fixtures.ts'

test('a trace begins with the fish and the mark, says what each choice changed, and keeps what it was made for', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/new`)
  await page.getByLabel('fish', { exact: true }).selectOption({ label: 'conger' })
  await page.getByLabel('mark', { exact: true }).selectOption({ label: 'Kettle Narrows' })
  await page.getByRole('radio', { name: 'Fulmar boat rod, 50 lb braid, top shot' }).check()
  await page.getByLabel('water', { exact: true }).selectOption({ label: 'coloured water' })
  const draft = page.getByRole('region', { name: 'Your draft' })
  await expect(draft).toContainText('for conger, Kettle Narrows, coloured water')
  // Over shingle, for a fish of rough ground: what has a weak link first, and what cannot be is said to be so.
  await expect(page.getByRole('region', { name: 'suits', exact: true }).getByRole('radio').first()).toBeChecked()
  await page.getByText(/^not suitable/).click()
  await expect(page.getByText('It is above the bottom, but conger feeds on it.').first()).toBeVisible()
  const hook = page.getByRole('region', { name: '4. Bait and hook' })
  await expect(hook.getByLabel('pattern')).toHaveValue('j')
  await expect(hook).toContainText('may throw it')
  await expect(page.getByRole('region', { name: '5. Leader' })).toContainText('Conger has cutting teeth')
  await page.getByLabel('against teeth', { exact: true }).selectOption('wire')
  await expect(draft).toContainText(/Changed: .*bite trace none → wire/)
  await hook.getByLabel('bait').selectOption({ label: 'whole pouting' })
  await expect(draft).toContainText(/Changed: bait .* → whole pouting; hook/)
  await draft.getByLabel('name').fill('Mine for rough ground')
  await draft.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByRole('heading', { name: 'Mine for rough ground' })).toBeVisible()
  await expect(page.getByText(/for conger, Kettle Narrows, coloured water/)).toBeVisible()
  await beside(page, 'Conditions')
  await expect(page.getByLabel('fish', { exact: true }).locator('option:checked')).toHaveText('conger')
  await page.getByRole('option', { name: 'leader', exact: true }).click()
  await page.getByText('why this leader?').click()
  await expect(page.getByText(/^Conger has cutting teeth: \d+ lb of mono at the hook\.$/)).toBeVisible()
  await visit(page, `${page.url()}/build`)
  await expect(page.getByRole('region', { name: 'When a fish takes' })).toContainText('lift firmly once')
})

test('the outfit follows from fish and place, each with its reasons, until one is chosen', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/new`)
  const outfits = page.getByRole('radiogroup', { name: 'outfit' })
  await page.getByLabel('fish', { exact: true }).selectOption({ label: 'tope' })
  const old = outfits.getByRole('radio', { name: 'Old beach rod, 20 lb mono' })
  await expect(old).toHaveAccessibleDescription(/^marginal .*A run of \d+ m leaves \d+ m on the spool\. A larger reel is safer\./)
  await expect(outfits.getByRole('radio').first()).toBeChecked()
  await expect(old).not.toBeChecked()
  await page.getByLabel('who fishes').selectOption({ label: 'guests, close together' })
  await expect(outfits.getByRole('radio').first()).toHaveAccessibleDescription(/mono can be undone/)
  await expect(outfits.getByRole('radio').first()).toBeChecked()
  await outfits.getByRole('radio', { name: 'Rock rod, 30 lb braid' }).check()
  await page.getByLabel('mark', { exact: true }).selectOption({ label: 'Kettle Narrows' })
  await expect(outfits.getByRole('radio', { name: 'Rock rod, 30 lb braid' })).toBeChecked()
})

test('from fish to bench by the keyboard alone', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/new`)
  const draft = page.getByRole('region', { name: 'Your draft' })
  await expect(draft.getByRole('button', { name: 'Make this trace' })).toBeVisible()
  await tabTo(page, page.getByLabel('fish', { exact: true }))
  await page.keyboard.type('smooth')
  await expect(draft).toContainText('for smooth-hound')
  await tabTo(page, page.getByLabel('mark', { exact: true }))
  await page.keyboard.type('Hesk')
  const outfits = page.getByRole('radiogroup', { name: 'outfit' })
  await tabTo(page, outfits.getByRole('radio', { checked: true }))
  await expect(outfits.getByRole('radio').first()).toBeChecked()
  await page.keyboard.press('ArrowDown')
  await expect(outfits.getByRole('radio').nth(1)).toBeChecked()
  await page.keyboard.press('ArrowUp')
  await expect(outfits.getByRole('radio').first()).toBeChecked()
  await tabTo(page, page.getByRole('region', { name: 'suits', exact: true }).getByRole('radio', { checked: true }))
  await page.keyboard.press('ArrowDown')
  const family = page.getByRole('region', { name: 'suits', exact: true }).getByRole('radio', { checked: true })
  const chosen = (await family.getAttribute('value'))!
  await tabTo(page, draft.getByRole('textbox', { name: 'name' }))
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('Typed all the way')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Typed all the way' })).toBeVisible()
  const { content } = await (await page.request.get(page.url().replace('/traces/', '/api/traces/'))).json()
  expect(content.trace.family).toBe(chosen)
  expect(content.conditions.target.name).toBe('smooth-hound')
})

test('every step may be left out, and a field that does not read keeps the last good draft and stops the making', async ({
  page,
  app,
}) => {
  await visit(page, `${app.url}/traces/new`)
  const sinker = page.getByRole('textbox', { name: 'sinker' })
  await sinker.fill('300 t')
  await page.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(page).toHaveURL(/\/traces\/new$/)
  await sinker.fill('120 g')
  await page.getByRole('button', { name: 'Make this trace' }).click()
  await expect(page.getByRole('heading', { name: 'Running ledger' })).toBeVisible()
})

test('hooks in a bait are moved by the arrow keys, stay in it, and the share that they hold follows', async ({ page, app }) => {
  await visit(page, `${app.url}/traces/${await copyOf(page, app.url, PULLEY, 'rigged')}`)
  await page.getByRole('option', { name: /bait/ }).first().click()
  await expect(page.getByText(/The hooks span 85\s% of the bait; 60/)).toBeVisible()
  const [upper, tail] = [
    page.getByRole('slider', { name: 'upper: along the bait' }),
    page.getByRole('slider', { name: 'tail: along the bait' }),
  ]
  await upper.focus()
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowLeft')
  await expect(page.getByText(/The hooks span 9\d\s% of the bait; 60/)).toBeVisible()
  for (let i = 0; i < 9; i += 1) await page.keyboard.press('Shift+ArrowRight')
  // Nearer than eye to bend they do not come.
  await expect(page.getByText(/The hooks span 85\s% of the bait; 60/)).toBeVisible()
  // At the tail's end it goes no farther.
  await tail.focus()
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('Shift+ArrowRight')
  await expect(tail).toHaveAttribute('aria-valuenow', '0')
  await page.getByLabel('rigging').selectOption({ label: 'bound along a tube on the shank' })
  await expect(page.getByText('turns the point away from the bait')).toBeVisible()
  await page.getByText('fewer large hooks or more small ones?').click()
  await expect(page.getByRole('row', { name: /^2 / })).toBeVisible()
  await page.getByLabel('length', { exact: true }).fill('9 m')
  await expect(page.getByRole('alert')).toContainText('From 1 mm to 3 m.')
  await expect(page.getByRole('slider')).toHaveCount(2)
})

loaded(
  'the card of sizes is true in its file, the screen is scaled by a bank card, and a measured hook goes into the box',
  async ({ page, app }) => {
    await visit(page, `${app.url}/gear/sizes`)
    const card = page.getByRole('img', { name: /^Hooks 6 to 8\/0/ })
    const wide = async () => (await card.boundingBox())!.width / Number((await card.getAttribute('viewBox'))!.split(' ')[2])
    const before = await wide()
    await page.getByLabel(/^Hold a bank card/).fill('5')
    expect(before).toBeCloseTo(96 / 25.4, 1)
    expect(await wide()).toBeCloseTo(5, 1)
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Card as SVG' }).click()])
    const svg = readFileSync(await file.path(), 'utf8')
    const [, width, viewed] = /width="(\d+)mm" height="\d[\d.]*mm" viewBox="0 0 (\d+)/.exec(svg)!
    expect(width).toBe(viewed)
    // 1/0 J: from the middle of the shank to that of the point a gape of 13.5 mm and a wire.
    const path = /data-size="1\/0" data-pattern="j".*?d="M0 0H[\d.]+A([\d.]+)/.exec(svg)!
    const wire = /data-size="1\/0" data-pattern="j".*?stroke-width="([\d.]+)"/.exec(svg)!
    expect(2 * Number(path[1]) - Number(wire[1])).toBeCloseTo(13.5, 2)
    await page.getByLabel(/^Lay the gap of a hook/).fill('14.5')
    await page.getByRole('button', { name: 'Add the measured size to the box' }).click()
    await expect(page.getByText('2/0 J, measured: saved to the box.')).toBeVisible()
    await page.getByLabel('it is a', { exact: true }).selectOption('bait')
    await page.getByLabel(/^Lay the length of the bait/).fill('140')
    await page.getByLabel(/^and its depth/).fill('30')
    await page.getByLabel('bait', { exact: true }).selectOption({ label: 'whole pouting' })
    await page.getByRole('button', { name: 'Add the measured size to the box' }).click()
    await expect(page.getByText('whole pouting, measured: saved to the box.')).toBeVisible()
    const { documents } = await (await page.request.get(`${app.url}/api/gear`)).json()
    const kept = (name: string) =>
      documents.find(({ content }: { content: { name: string } }) => content.name === `${name}, measured`).content
    expect(kept('2/0 J').gapeM).toBe(0.0145)
    expect(kept('whole pouting')).toMatchObject({ lengthM: 0.14, depthM: 0.03 })
    await visit(page, `${app.url}/traces/${await copyOf(page, app.url, PULLEY, 'with my own bait')}`)
    await page.getByRole('option', { name: /bait/ }).first().click()
    await page.getByLabel('from the box').selectOption({ label: 'whole pouting, measured' })
    await expect(page.getByLabel('length', { exact: true })).toHaveValue('0.14 m')
  },
)

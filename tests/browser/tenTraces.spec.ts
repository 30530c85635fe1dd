import type { Page } from '@playwright/test'
import { sampleOf } from '../depth.ts'
import { counted, expect, testOnOpenPage as test, visit } from './fixtures.ts'

/** A goal of the bench: no trace that people really tie takes more than this from nothing. */
const MAX_ACTIONS = 15

type Does = ReturnType<typeof counted>

const reachOf = (page: Page) => page.getByRole('listbox', { name: /The reach/ })
const part = (page: Page, name: string) => reachOf(page).getByRole('option', { name, exact: true })

/** From New trace to an empty bench. */
async function begin(page: Page, does: Does, url: string, name: string): Promise<void> {
  await visit(page, `${url}/traces/new`)
  await does.click(page.getByRole('radio', { name: 'own design' }))
  await does.fill(page.getByLabel('name'), name)
  await does.click(page.getByRole('button', { name: 'Make this trace' }))
  await expect(reachOf(page)).toBeVisible()
}

/** Writes parts at the chosen place: a click, the words, Enter. */
async function write(page: Page, does: Does, words: string): Promise<void> {
  await does.click(page.getByRole('button', { name: 'Add part' }))
  const field = page.getByRole('textbox', { name: 'Part to search for' })
  await does.fill(field, words)
  await expect(page.getByText('Press Enter to add them.')).toBeVisible()
  await does.press('Enter')
  await expect(page.getByRole('dialog')).toBeHidden()
}

/** Every part is on the reach, and the strength of the whole is judged. */
async function stands(page: Page, does: Does, parts: readonly string[]): Promise<void> {
  for (const name of parts) await expect(part(page, name)).toBeVisible()
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', /holds|watch|fails/)
  test.info().annotations.push({ type: 'actions', description: String(does.actions) })
  console.log(`${test.info().title}: ${does.actions} actions`)
  expect(does.actions).toBeLessThanOrEqual(MAX_ACTIONS)
}

type Written = { name: string; words: string; parts: string[] }

const WRITTEN: readonly Written[] = [
  {
    name: 'kite bait with its riders on the double',
    words:
      'double 1.5 m (clip ring; float; barrel 20 g; bead), ball-bearing swivel, leader 3 m 50 lb fluoro, circle 6/0, whole pouting',
    parts: ['double', 'clip ring', 'float', 'sinker', 'bead', 'ball bearing swivel', 'leader', 'hook', 'bait'],
  },
  {
    name: 'deep drop: whipped loop, clip, hold-down, two lights, 3.2 kg of steel to let go',
    words:
      'leader 25 m 80 lb (breakable band 8 m, light; breakable band 9 m, light; whipped loop 10 m, snap, sinker line 1.5 m 40 lb, ball 340 g), ball-bearing swivel, leader 2 m 80 lb, circle 10/0 (bomb 3.2 kg steel; whole pouting)',
    parts: [
      'light',
      'light 2',
      'whipped loop',
      'snap',
      'sinker line',
      'sinker',
      'ball bearing swivel',
      'hook',
      'sinker 2',
      'bait',
    ],
  },
  {
    name: 'doubled braid choked on a three-way, cord snood',
    words:
      'double 80 cm, three-way swivel girth hitch (snap, pyramid 680 g; cord snood 40 cm 150 lb, circle 12/0, whole pouting)',
    parts: ['double', 'three way swivel', 'snap', 'sinker', 'snood', 'hook', 'bait'],
  },
  {
    name: 'drop shot on a wire with two eyes',
    words: 'leader 1.2 m 25 lb fluoro, wire with two eyes (hook 1/0, lure 5 g; snood 35 cm 15 lb fluoro, ball 15 g)',
    parts: ['leader', 'wire with two eyes', 'hook', 'lure', 'snood', 'sinker'],
  },
  {
    name: 'weight and hook on linked rings',
    words: 'leader 1.2 m 40 lb fluoro, solid ring palomar (split ring, bullet 10 g; hook 2/0, lure 8 g)',
    parts: ['leader', 'solid ring', 'split ring', 'sinker', 'hook', 'lure'],
  },
  {
    name: 'captive sinker, a swivel between the two hooks',
    words:
      'leader 6.5 m 80 lb, swivel, body 25 cm 80 lb (pear 170 g; bead), swivel, snood 50 cm 80 lb, hook 6/0, snood 6 cm 80 lb, swivel, snood 6 cm 80 lb, hook 6/0, half fish',
    parts: ['body', 'sinker', 'bead', 'swivel 2', 'hook', 'swivel 3', 'hook 2', 'bait'],
  },
  {
    name: 'rotating trace: sleeve, tube, float, both stops',
    words:
      'leader 6.5 m 60 lb, body 1 m 60 lb (rubber stop 30 cm; swivel 35 cm, snood 30 cm (tube; float 3 g), hook 1/0, lugworm; stop knot 40 cm; sleeve 90 cm), bomb 150 g',
    parts: ['rubber stop', 'swivel', 'stop knot', 'sleeve', 'snood', 'tube', 'float', 'hook', 'bait', 'sinker'],
  },
]

for (const { name, words, parts } of sampleOf(WRITTEN, 3))
  test(`from nothing: ${name}`, async ({ page, app }) => {
    const does = counted(page)
    await begin(page, does, app.url, name)
    await write(page, does, words)
    await stands(page, does, parts)
  })

test('from nothing: a pulley with a sliding upper hook', async ({ page, app }) => {
  const does = counted(page)
  await begin(page, does, app.url, 'Pulley, upper hook slides')
  await write(page, does, 'leader 6.5 m 80 lb, pulley bead, line through the pulley')
  await does.click(part(page, 'swivel'))
  await write(page, does, 'bomb 150 g')
  await does.click(part(page, 'swivel 2'))
  await write(page, does, 'snood 1 m 60 lb (hook 4/0 60 cm), hook 4/0, half fish')
  await stands(page, does, ['pulley bead', 'body', 'swivel', 'sinker', 'swivel 2', 'snood', 'hook', 'hook 2', 'bait'])
  await part(page, 'hook 2').click()
  const held = page.getByLabel('fixed in place')
  await expect(held).not.toBeChecked()
  await held.check()
  await expect(held).toBeChecked()
  await expect(page.locator('[data-moment=run]')).toHaveAttribute('data-verdict', /holds|watch|fails/)
})

test('from nothing: trolling outfit, two biminis and a cat’s paw on the reel, FG, loop knot on a lure', async ({ page, app }) => {
  const does = counted(page)
  await visit(page, `${app.url}/gear`)
  await does.click(page.getByRole('link', { name: /^Trolling rod/ }))
  await does.fill(page.getByLabel('name', { exact: true }), 'Trolling, braid')
  await does.choose(page.getByRole('group', { name: 'main line' }).getByLabel('line', { exact: true }), 'braid')
  await does.click(page.getByRole('button', { name: 'Save' }))
  await expect(page.getByRole('heading', { name: 'Outfits', level: 1 })).toBeVisible()
  await visit(page, `${app.url}/traces/new`)
  await does.click(page.getByLabel('Trolling, braid'))
  await does.click(page.getByRole('radio', { name: 'own design' }))
  await does.click(page.getByRole('button', { name: 'Make this trace' }))
  await write(page, does, 'leader 3 m 80 lb fg, lure 60 g non-slip loop')
  await stands(page, does, ['leader', 'lure'])
  for (const joint of [
    /bimini twist at the main line/,
    /cat’s paw at the main line/,
    /^FG .*at the leader/,
    /non-slip loop at the lure/,
  ])
    await expect(reachOf(page).getByRole('option', { name: joint }).first()).toBeVisible()
})

test('from nothing: hollow braid spliced, cat’s paw, twisted leader, figure-eight join', async ({ page, app }) => {
  const does = counted(page)
  await visit(page, `${app.url}/gear`)
  await does.click(page.getByRole('link', { name: /^Kite rod/ }))
  await does.fill(page.getByLabel('name', { exact: true }), 'Hollow')
  await does.click(page.getByRole('button', { name: 'Save' }))
  await expect(page.getByRole('heading', { name: 'Outfits', level: 1 })).toBeVisible()
  await visit(page, `${app.url}/traces/new`)
  await does.click(page.getByLabel('Hollow', { exact: true }))
  await does.click(page.getByRole('radio', { name: 'own design' }))
  await does.click(page.getByRole('button', { name: 'Make this trace' }))
  await write(
    page,
    does,
    'loop splice, twisted leader 2 m 50 lb cat’s paw, leader 3 m 80 lb figure-eight join, hook 9/0, whole pouting',
  )
  await stands(page, does, ['loop', 'leader', 'leader 2', 'hook', 'bait'])
  for (const joint of [/splice at the loop/, /cat’s paw at the leader/, /figure-eight join at leader 2/])
    await expect(reachOf(page).getByRole('option', { name: joint }).first()).toBeVisible()
  await part(page, 'leader').click()
  await expect(page.getByLabel('strands')).toHaveValue('2')
})

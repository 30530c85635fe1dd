import {
  type BrowserContext,
  type BrowserContextOptions,
  test as base,
  expect,
  type Locator,
  type Page,
  type ViewportSize,
} from '@playwright/test'
import axe, { type RunOptions } from 'axe-core'
import type { BuiltApp, Start } from '../../scripts/lib/builtApp.ts'
import { IS_DEEP } from '../depth.ts'
import { startApp } from './application.ts'

export const PULLEY = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d212'
export const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
export const TOPE = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204'
export const STOUT = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d206'
export const CONGER = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d205'
export const KELP = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d207'

/** Pages of the built application; every test fails on an error in the page or a request that leaves this machine. */
export const test = base.extend<{ app: { url: string } }, { shared: { url: string }; openContext: BrowserContext }>({
  // Tests of one worker follow each other on one application; those of another have their own, database and all.
  shared: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the pattern
    async ({}, use) => {
      const app = await startApp()
      await use(app)
      await app.close()
    },
    { scope: 'worker' },
  ],
  openContext: [
    async ({ browser }, use, { project }) => {
      const context = await browser.newContext(project.use as BrowserContextOptions)
      await use(context)
      await context.close()
    },
    { scope: 'worker' },
  ],
  app: async ({ shared }, use) => use(shared),
  page: async ({ context, app, viewport }, use) => {
    const [before, ...others] = context.pages()
    for (const other of others) await other.close()
    const page = before ?? (await context.newPage())
    if (before) await clear(page, viewport!)
    else
      await page.addInitScript(() =>
        addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
          console.error(`Content Security Policy: ${violatedDirective} ${blockedURI}`),
        ),
      )
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) faults.push(message.text())
    })
    page.on('request', (request) => {
      if (!/^(data|blob):/.test(request.url()) && new URL(request.url()).hostname !== new URL(app.url).hostname)
        faults.push(`left the machine: ${request.url()}`)
    })
    await use(page)
    for (const event of ['pageerror', 'console', 'request', 'dialog'] as const) page.removeAllListeners(event)
    if (faults.length > 0) throw new Error(faults.join('\n'))
  },
})

/**
 * Tests that begin on the page where the one before ended, with its storage and what the server answered cleared: the application is
 * not loaded again. Not for a test that changes preferences, the clock or the scripts of the page, or that is about loading it.
 */
export const testOnOpenPage = test.extend({ context: async ({ openContext }, use) => use(openContext) })

/** Tests of one file on an application of their own: they do not meet what other tests store. */
export function testOnOwnApp(start?: Start) {
  let own: BuiltApp
  const testOnIt = test.extend({
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the pattern
    app: async ({}, use) => use({ url: own.url }),
  })
  testOnIt.beforeAll(async () => {
    own = await startApp(start)
  })
  testOnIt.afterAll(() => own.close())
  return testOnIt
}

/** A screen that has no element in common with another one. */
const NOWHERE = '/nowhere'

/** Resets routes, size, storage and the answers of the server. Other values in the memory of the page’s scripts stay. */
async function clear(page: Page, viewport: ViewportSize): Promise<void> {
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await page.context().unrouteAll({ behavior: 'ignoreErrors' })
  await page.context().setOffline(false)
  await page.emulateMedia({ media: null, reducedMotion: null, forcedColors: null })
  await page.setViewportSize(viewport)
  await visit(page, new URL(NOWHERE, page.url()).href)
  await page.evaluate(async () => {
    localStorage.clear()
    sessionStorage.clear()
    // The answers of the server are in a query client that only React has a reference to.
    type Client = { removeQueries: (which: { type: 'inactive' }) => void; resetQueries: () => Promise<void> }
    type Fiber = { memoizedProps: { client?: Client } | null; child: Fiber | null }
    let [, fiber] = Object.entries(document.getElementById('root')!).find(([key]) => key.startsWith('__reactContainer'))! as [
      string,
      Fiber,
    ]
    while (!fiber.memoizedProps?.client) fiber = fiber.child!
    fiber.memoizedProps.client.removeQueries({ type: 'inactive' })
    await fiber.memoizedProps.client.resetQueries()
  })
}

export { expect }

/** Everything a person does, counted: a click, a field filled, a choice made. */
export function counted(page: Page) {
  let actions = 0
  const count =
    <A extends unknown[]>(act: (...args: A) => Promise<unknown>) =>
    async (...args: A) => {
      actions += 1
      await act(...args)
    }
  return {
    get actions() {
      return actions
    },
    click: count((what: Locator) => what.click()),
    fill: count((what: Locator, text: string) => what.fill(text)),
    choose: count((what: Locator, option: string) => what.selectOption(option)),
    press: count((key: string) => page.keyboard.press(key)),
  }
}

/** A list in parts of about the same length, each with its number: they run beside each other, and none takes long. */
export const inParts = <T>(all: readonly T[], parts: number): [number, T[]][] =>
  Array.from({ length: parts }, (_, part) => [part + 1, all.filter((_, i) => i % parts === part)])

/**
 * Goes to a screen of the application. On a page that shows it already it goes as a link does: a load takes four times as long.
 * The screen may show answers that are some seconds old: a test that changes data through the API reloads the page.
 * @returns when the heading of the screen is there.
 */
export async function visit(page: Page, address: string): Promise<void> {
  const { origin, pathname, search } = new URL(address)
  if (!page.url().startsWith(`${origin}/`)) {
    await page.goto(address)
    return
  }
  // Through another screen first, so that no heading of the old screen is taken for one of the new.
  if (new URL(page.url()).pathname !== NOWHERE) await follow(page, NOWHERE)
  if (pathname !== NOWHERE) await follow(page, pathname + search)
}

async function follow(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    for (const heading of document.querySelectorAll('h1')) heading.dataset.left = ''
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, address)
  await page.locator('h1:not([data-left])').first().waitFor()
}

/** Tab by tab until something has the focus. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  const focused = () => target.evaluate((element) => element === document.activeElement)
  for (let i = 0; i < 80 && !(await focused()); i += 1) await page.keyboard.press('Tab')
  await expect(target).toBeFocused()
}

/** On the reach, from its reel along it to a part, arrow by arrow, each after the one before is seen. */
export async function walkTo(page: Page, part: string): Promise<void> {
  const chosen = page.getByRole('listbox', { name: /The reach/ }).getByRole('option', { selected: true })
  await page.keyboard.press('Home')
  await expect(chosen).toHaveAccessibleName('reel')
  for (let at = 'reel'; at !== part; at = (await chosen.getAttribute('aria-label'))!) {
    await page.keyboard.press('ArrowRight')
    await expect(chosen).not.toHaveAccessibleName(at)
  }
}

/** How long the page has worked so far, s of processor time: other work on the machine does not count, nor do its workers. */
export async function processorTime(page: Page): Promise<() => Promise<number>> {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable', { timeDomain: 'threadTicks' })
  return async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return metrics.find(({ name }) => name === 'TaskDuration')!.value
  }
}

/** A copy of a demonstration trace, so that tests do not meet in one. */
export async function copyOf(page: Page, url: string, id: string, name: string): Promise<string> {
  const { content } = await (await page.request.get(`${url}/api/traces/${id}`)).json()
  const copy = crypto.randomUUID()
  const created = await page.request.post(`${url}/api/traces`, {
    data: { id: copy, content: { ...content, trace: { ...content.trace, name } } },
  })
  if (!created.ok()) throw new Error(await created.text())
  return copy
}

/** Brings up one of the sheets beside the reach. */
export const beside = (page: Page, sheet: 'Part' | 'Conditions' | 'Why' | 'Findings') =>
  page.getByRole('tab', { name: sheet, exact: true }).click()

/** The highest safe drag that the moment Run says, lb. */
export async function ceilingLb(page: Page): Promise<number> {
  const text = await page
    .locator('[data-moment=run]')
    .getByText(/drag up to [\d.]+\slb/)
    .textContent()
  return Number(/([\d.]+)\slb/.exec(text ?? '')![1])
}

/** A rule that takes a tenth of the time and never finds more than moderate faults. */
const NEVER_SERIOUS = { region: { enabled: false } }

/**
 * Contrast takes over half of the time. It follows from the palettes, which src/client/styles.test.ts checks in every light: what is
 * drawn is checked by `npm run test:deep` alone.
 * @param within a part of the page, if the rest of it was checked before.
 */
export async function seriousFaults(page: Page, within?: string): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  // An element that is fading in has too little contrast.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map(({ finished }) => finished)))
  const options: RunOptions = {
    resultTypes: ['violations'],
    rules: { 'color-contrast': { enabled: IS_DEEP }, 'target-size': { enabled: true }, ...NEVER_SERIOUS },
  }
  const { violations } = await page.evaluate(
    ([context, options]) => (window as unknown as { axe: typeof axe }).axe.run(context, options),
    [within ?? 'html', options] as const,
  )
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  return serious.map(({ id, nodes }) => `${id} at ${nodes.map(({ target }) => target).join(' ')}`)
}

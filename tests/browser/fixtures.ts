import { test as base, expect, type Locator, type Page } from '@playwright/test'
import axe, { type RunOptions } from 'axe-core'
import { startApp } from './application.ts'

export const PULLEY = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d212'
export const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
export const TOPE = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204'
export const STOUT = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d206'
export const CONGER = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d205'
export const KELP = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d207'

/** Pages of the built application; every test fails on an error in the page or a request that leaves this machine. */
export const test = base.extend<{ app: { url: string } }, { shared: { url: string } }>({
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
  app: async ({ shared }, use) => use(shared),
  page: async ({ page, app }, use) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    await page.addInitScript(() =>
      addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
        console.error(`Content Security Policy: ${violatedDirective} ${blockedURI}`),
      ),
    )
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) faults.push(message.text())
    })
    page.on('request', (request) => {
      if (!/^(data|blob):/.test(request.url()) && new URL(request.url()).hostname !== new URL(app.url).hostname)
        faults.push(`left the machine: ${request.url()}`)
    })
    await use(page)
    if (faults.length > 0) throw new Error(faults.join('\n'))
  },
})

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

/** Every second one for each of two workers, with the number of its part. */
export const inTwo = <T>(all: readonly T[]): [number, T[]][] =>
  [0, 1].map((part) => [part + 1, all.filter((_, i) => i % 2 === part)])

/**
 * Goes to another screen without loading the page again, as a link does. That takes less than half the time of a load.
 * Resolves when the heading of the other screen is there, so both screens must not share one heading element.
 */
export async function goWithin(page: Page, address: string): Promise<void> {
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

/**
 * @param within a part of the page, if the rest of it was checked before.
 * @param isContrastKnown the same colours were checked before: over half of the time.
 */
export async function seriousFaults(page: Page, within?: string, isContrastKnown = false): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const options: RunOptions = {
    resultTypes: ['violations'],
    rules: { 'color-contrast': { enabled: !isContrastKnown }, 'target-size': { enabled: true } },
  }
  const { violations } = await page.evaluate(
    ([context, options]) => (window as unknown as { axe: typeof axe }).axe.run(context, options),
    [within ?? 'html', options] as const,
  )
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  return serious.map(({ id, nodes }) => `${id} at ${nodes.map(({ target }) => target).join(' ')}`)
}

import type { APIRequestContext, Page } from '@playwright/test'
import { expect } from './fixtures.ts'

export type Event = {
  id: string
  kind: string
  rod: string
  phone?: string
  at: string
  what: { type: string }
  told?: { first?: { chance: number }[] }
}

/** What the server has of a trip, in the order in which it arrived. */
export const eventsOf = async (request: APIRequestContext, url: string, trip: string): Promise<Event[]> =>
  (await request.get(`${url}/api/observations?trip=${trip}`)).json()

/** Plans a trip for the first mark with the first trace that is proposed; its id. */
export async function planTrip(page: Page, url: string): Promise<string> {
  await page.goto(`${url}/trips/new`)
  await page.getByRole('button', { name: 'Take it' }).first().click()
  await page.getByRole('textbox', { name: 'to pack' }).fill('headlamp')
  await page.getByRole('textbox', { name: 'to pack' }).press('Enter')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.waitForURL(/trips\/[0-9a-f-]{36}$/)
  return page.url().split('/').at(-1)!
}

/** On the water with a trip that was planned before. */
export async function startTrip(page: Page, url: string): Promise<string> {
  const trip = await planTrip(page, url)
  await page.goto(`${url}/trips/${trip}/fish`)
  await page.getByRole('button', { name: 'Start the trip' }).click()
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  return trip
}

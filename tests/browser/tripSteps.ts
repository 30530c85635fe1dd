import type { APIRequestContext, Page } from '@playwright/test'
import { planTrip } from '../fixtures/planTrip.ts'
import { expect, visit } from './fixtures.ts'

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

/** On the water with a trip that was planned before. */
export async function startTrip(page: Page, url: string): Promise<string> {
  const trip = await planTrip(url)
  await visit(page, `${url}/trips/${trip}/fish`)
  await page.getByRole('button', { name: 'Start the trip' }).click()
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  return trip
}

import type { APIRequestContext, Page } from '@playwright/test'
import { expect, HOUND } from './fixtures.ts'

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

/** A trip of today at the mark of the hound trace, around the clock; its id. */
export async function planTrip({ request }: Page, url: string): Promise<string> {
  const { content: trace, revision } = await (await request.get(`${url}/api/traces/${HOUND}`)).json()
  const id = crypto.randomUUID()
  const content = {
    formatVersion: 1,
    name: 'A day out',
    date: new Date().toISOString().slice(0, 10),
    from: '00:00',
    to: '00:00',
    marks: [{ id: trace.markId }],
    people: ['AB'],
    rods: [{ id: 'rod-1', outfitId: trace.outfitId, trace: { id: HOUND, revision } }],
    packing: [{ text: 'headlamp', isPacked: false }],
  }
  const created = await request.post(`${url}/api/trips`, { data: { id, content } })
  expect(created.status(), await created.text()).toBe(201)
  return id
}

/** On the water with a trip that was planned before. */
export async function startTrip(page: Page, url: string): Promise<string> {
  const trip = await planTrip(page, url)
  await page.goto(`${url}/trips/${trip}/fish`)
  await page.getByRole('button', { name: 'Start the trip' }).click()
  await expect(page.getByRole('button', { name: 'End the trip' })).toBeVisible()
  return trip
}

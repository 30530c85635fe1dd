import { z } from 'zod'
import { parseRequest } from '../analysis/parseRequest.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { type Gear, gearSchema } from '../documents/gear.ts'
import { type Issue, issuesOf } from '../documents/issue.ts'
import { happening } from '../documents/tripEvent.ts'
import { upgrade } from '../documents/upgrade.ts'
import type { Setup } from '../setup/setup.ts'
import type { RodEvent } from './symptoms.ts'

const MAX_EVENTS = 5_000
const MAX_GEAR = 10_000

/** Gear of any format; events of one rod; the instant that is asked about, absent: that of the last event. */
const more = z.object({
  gear: z.array(z.unknown().transform(newest).pipe(gearSchema)).max(MAX_GEAR).optional(),
  events: z.array(z.object({ at: z.iso.datetime(), what: happening })).max(MAX_EVENTS),
  now: z.iso.datetime().optional(),
})

export type ChangeRequest = { setup: Setup; gear: Gear[] | undefined; events: RodEvent[]; now: number }

/** Reads `{trace, outfit, conditions, gear?, events, now?}`. */
export function parseChangeRequest(
  value: unknown,
  catalogue: Catalogue,
): { ok: true; request: ChangeRequest } | { ok: false; issues: Issue[] } {
  const read = more.safeParse(value)
  if (!read.success) return { ok: false, issues: issuesOf(read.error) }
  const { gear, events, now } = read.data
  const { trace, outfit, conditions } = value as Record<string, unknown>
  const parsed = parseRequest({ trace, outfit, conditions }, catalogue)
  if (!parsed.ok) return parsed
  const last = Math.max(0, ...events.map(({ at }) => Date.parse(at)))
  return { ok: true, request: { setup: parsed.request.setup, gear, events, now: now === undefined ? last : Date.parse(now) } }
}

function newest(item: unknown): unknown {
  const upgraded = upgrade('gear', item)
  return 'value' in upgraded ? upgraded.value : item
}

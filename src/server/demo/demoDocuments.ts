import { CREW_SETTINGS_ID, DEFAULT_CREW_SETTINGS } from '../../core/documents/crewSettings.ts'
import type { Observation } from '../../core/documents/observation.ts'
import { readContent } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import type { NewMovement } from '../../shared/stock.ts'
import { demoId } from './demoId.ts'
import { DEMO_FISH } from './fish.ts'
import { DEMO_GEAR, DEMO_ITEMS } from './gear.ts'
import { DEMO_MARKS, demoHolds } from './marks.ts'
import { DEMO_OUTFITS } from './outfits.ts'
import { demoPulls } from './pulls.ts'
import { DEMO_RULE_SETS } from './ruleSets.ts'
import { DEMO_TIED } from './tied.ts'
import { DEMO_TRACE_IDS, demoTraces } from './traces.ts'
import { DEMO_TRIP_IDS, demoEvents, demoTrips } from './trips.ts'

export type DemoDocument = { kind: DocumentKind; id: string; content: object }

/** Every document of the demonstration data but the crew's settings, checked by the contract of its kind. */
export function demoDocuments(today = todayUtc()): DemoDocument[] {
  const named = (kind: DocumentKind, contents: readonly { name: string }[]) =>
    contents.map((content) => ({ kind, id: demoId(content.name), content }))
  return [
    ...Object.values(DEMO_OUTFITS).map(({ id, content }) => ({ kind: 'outfits' as const, id, content })),
    ...named('marks', DEMO_MARKS),
    ...demoTraces().map(({ id, content }) => ({ kind: 'traces' as const, id, content })),
    ...named('gear', DEMO_GEAR),
    ...named('fish', DEMO_FISH),
    ...named('rule-sets', DEMO_RULE_SETS),
    ...named('tied', DEMO_TIED),
    ...demoTrips(today).map(({ id, content }) => ({ kind: 'trips' as const, id, content })),
  ].map(checked)
}

/** The settings that the demonstration crew starts with: its rule set is in force. */
export function demoSettings(): DemoDocument {
  const [inForce] = DEMO_RULE_SETS
  const content = { ...DEFAULT_CREW_SETTINGS, ruleSetId: inForce && demoId(inForce.name) }
  return checked({ kind: 'settings', id: CREW_SETTINGS_ID, content })
}

/** The examples that can be removed and restored. The fish stay, since a trace begins with one. Drafts every trace. */
export const exampleDocuments = (): DemoDocument[] => demoDocuments().filter(({ kind }) => kind !== 'fish')

/** The ids of the same, without drafting a trace. */
export const EXAMPLE_IDS: readonly string[] = [
  ...Object.values(DEMO_OUTFITS).map(({ id }) => id),
  ...DEMO_TRACE_IDS,
  ...DEMO_TRIP_IDS,
  ...[...DEMO_MARKS, ...DEMO_GEAR, ...DEMO_RULE_SETS, ...DEMO_TIED].map(({ name }) => demoId(name)),
]

/** What of the demonstration gear is in the box: bought once, under ids that stay the same. */
export const demoStock = (): NewMovement[] =>
  DEMO_ITEMS.flatMap(({ gear: { name }, onHand = [] }) =>
    onHand.map(
      (quantity, i): NewMovement => ({
        id: demoId(`${name}, stock ${i + 1}`),
        itemId: demoId(name),
        spool: i + 1,
        quantity,
        reason: 'bought',
      }),
    ),
  )

/** What the scenario's crew observed; on its trips, up to some days before `today`. */
export function demoObservations(today = todayUtc()): Observation[] {
  if (observed?.today !== today) observed = { today, all: [...demoHolds(), ...demoPulls(), ...demoEvents(today)] }
  return observed.all
}

/** Drawn once a day: it takes a second. */
let observed: { today: string; all: Observation[] } | undefined

const todayUtc = (): string => new Date().toISOString().slice(0, 10)

function checked({ kind, id, content }: DemoDocument): DemoDocument {
  const read = readContent(kind, content)
  if (!read.ok) throw new Error(`The demonstration data is not valid: ${kind} ${id}: ${read.message}`)
  return { kind, id, content: read.content }
}

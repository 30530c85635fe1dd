import { CREW_SETTINGS_ID, DEFAULT_CREW_SETTINGS } from '../../../core/documents/crewSettings.ts'
import { readContent } from '../../../shared/documentKinds.ts'
import type { DocumentKind } from '../../../shared/kindNames.ts'
import { DocumentRepository } from '../../documents/repository.ts'
import { DEMO_CREW } from '../../http/crew.ts'
import { ObservationRepository } from '../../observations/repository.ts'
import type { Database } from '../database.ts'
import { demoId } from './demoId.ts'
import { DEMO_FISH } from './fish.ts'
import { DEMO_GEAR } from './gear.ts'
import { DEMO_MARKS, demoHolds } from './marks.ts'
import { DEMO_OUTFITS } from './outfits.ts'
import { demoPulls } from './pulls.ts'
import { DEMO_RULE_SETS } from './ruleSets.ts'
import { demoTraces } from './traces.ts'

/**
 * Loads the demonstration data into the demonstration crew, once. The mark is set only after all of it is in, and rows that are
 * there are left as they are: a start that was cut short is finished by the next, and a user's data is never written over.
 */
export async function loadDemo(db: Database): Promise<void> {
  await db
    .insertInto('crews')
    .values(DEMO_CREW)
    .onConflict((conflict) => conflict.doNothing())
    .execute()
  const crew = await db.selectFrom('crews').select('demoLoadedAt').where('id', '=', DEMO_CREW.id).executeTakeFirstOrThrow()
  if (crew.demoLoadedAt !== null) return

  const documents = new DocumentRepository(db)
  for (const { kind, id, content } of demoDocuments()) {
    const read = readContent(kind, content)
    if (!read.ok) throw new Error(`The demonstration data does not hold: ${kind} ${id}: ${read.message}`)
    await documents.create({ crewId: DEMO_CREW.id, kind, id }, read.content)
  }
  const observations = new ObservationRepository(db)
  await observations.add(DEMO_CREW.id, DEMO_CREW.name, [...demoHolds(), ...demoPulls()])
  await db.updateTable('crews').set({ demoLoadedAt: new Date() }).where('id', '=', DEMO_CREW.id).execute()
}

type DemoDocument = { kind: DocumentKind; id: string; content: unknown }

function demoDocuments(): DemoDocument[] {
  const named = (kind: DocumentKind, contents: readonly { name: string }[]): DemoDocument[] =>
    contents.map((content) => ({ kind, id: demoId(content.name), content }))
  const [inForce] = DEMO_RULE_SETS
  return [
    ...Object.values(DEMO_OUTFITS).map(({ id, content }) => ({ kind: 'outfits' as const, id, content })),
    ...named('marks', DEMO_MARKS),
    ...demoTraces().map(({ id, content }) => ({ kind: 'traces' as const, id, content })),
    ...named('gear', DEMO_GEAR),
    ...named('fish', DEMO_FISH),
    ...named('rule-sets', DEMO_RULE_SETS),
    {
      kind: 'settings',
      id: CREW_SETTINGS_ID,
      content: { ...DEFAULT_CREW_SETTINGS, ruleSetId: inForce && demoId(inForce.name) },
    },
  ]
}

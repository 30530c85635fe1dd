import { createHash } from 'node:crypto'
import { gearContent } from '../../../shared/gear.ts'
import { markContent } from '../../../shared/marks.ts'
import { outfitContent } from '../../../shared/outfits.ts'
import { ruleSetContent } from '../../../shared/ruleSets.ts'
import { traceContent } from '../../../shared/traces.ts'
import { DEMO_CREW } from '../../http/crew.ts'
import { DocumentRepository } from '../../versioned/repository.ts'
import type { Database } from '../database.ts'
import { DEMO_GEAR } from './gear.ts'
import { DEMO_MARKS } from './marks.ts'
import { DEMO_OUTFITS } from './outfits.ts'
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

  const outfits = new DocumentRepository(db, 'outfits')
  for (const { id, content } of Object.values(DEMO_OUTFITS)) await outfits.create(DEMO_CREW.id, id, outfitContent.parse(content))
  const traces = new DocumentRepository(db, 'traces')
  for (const { id, content } of demoTraces()) await traces.create(DEMO_CREW.id, id, traceContent.parse(content))
  const gear = new DocumentRepository(db, 'gear')
  for (const content of DEMO_GEAR) await gear.create(DEMO_CREW.id, uuidOf(content.name), gearContent.parse(content))
  const marks = new DocumentRepository(db, 'marks')
  for (const content of DEMO_MARKS) await marks.create(DEMO_CREW.id, uuidOf(content.name), markContent.parse(content))
  const ruleSets = new DocumentRepository(db, 'ruleSets')
  for (const content of DEMO_RULE_SETS) await ruleSets.create(DEMO_CREW.id, uuidOf(content.name), ruleSetContent.parse(content))
  await db.updateTable('crews').set({ demoLoadedAt: new Date() }).where('id', '=', DEMO_CREW.id).execute()
}

/** The same id for the same name on every start (a version 8 UUID: its bits are ours). */
function uuidOf(name: string): string {
  const hex = createHash('sha256').update(`wide-reach demo gear ${name}`).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

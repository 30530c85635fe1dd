import type { Database } from '../db/database.ts'
import { DocumentRepository } from '../documents/repository.ts'
import { DEMO_CREW } from '../http/crew.ts'
import { ObservationRepository } from '../observations/repository.ts'
import { StockRepository } from '../stock/repository.ts'
import { demoDocuments, demoObservations, demoSettings, demoStock } from './demoDocuments.ts'

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
  for (const { kind, id, content } of [...demoDocuments(), demoSettings()])
    await documents.create({ crewId: DEMO_CREW.id, kind, id }, content)
  await new ObservationRepository(db).add(DEMO_CREW.id, DEMO_CREW.name, demoObservations())
  await new StockRepository(db).move(DEMO_CREW.id, DEMO_CREW.name, demoStock())
  await db.updateTable('crews').set({ demoLoadedAt: new Date() }).where('id', '=', DEMO_CREW.id).execute()
}

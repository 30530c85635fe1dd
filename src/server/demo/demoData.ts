import { randomUUID } from 'node:crypto'
import { sql } from 'kysely'
import type { Observation } from '../../core/documents/observation.ts'
import { activeObservations } from '../../core/learning/activeObservations.ts'
import type { DemoState } from '../../shared/demo.ts'
import { parseObservations } from '../../shared/observations.ts'
import type { Database } from '../db/database.ts'
import type { DocumentRepository } from '../documents/repository.ts'
import type { ObservationRepository } from '../observations/repository.ts'
import type { StockRepository } from '../stock/repository.ts'
import { demoObservations, demoStock, EXAMPLE_IDS, exampleDocuments } from './demoDocuments.ts'

/**
 * The demonstration data of a crew, removed and brought back whole. A demonstration document that was changed is the crew's own, and
 * so is what the crew's own traces use: those stay. Removed documents lie in the trash; observations are retracted, and brought back
 * by retracting that.
 */
export class DemoData {
  private readonly db: Database
  private readonly documents: DocumentRepository
  private readonly observations: ObservationRepository
  private readonly stock: StockRepository

  constructor(db: Database, documents: DocumentRepository, observations: ObservationRepository, stock: StockRepository) {
    this.db = db
    this.stock = stock
    this.documents = documents
    this.observations = observations
  }

  /** Which demonstration documents are shown and not in use by others, and how many are not there. */
  async state(crewId: string): Promise<DemoState> {
    const rows = await this.db
      .selectFrom('documents')
      .select(['id', 'revision', 'binnedAt'])
      .where('crewId', '=', crewId)
      .where('id', 'in', EXAMPLE_IDS)
      .execute()
    const unchanged = rows.filter(({ revision, binnedAt }) => revision === 1 && binnedAt === null).map(({ id }) => id)
    const used = await this.usedByOwn(crewId, unchanged)
    const there = rows.filter(({ binnedAt }) => binnedAt === null).length
    return { shown: unchanged.filter((id) => !used.has(id)), missing: EXAMPLE_IDS.length - there }
  }

  async remove(crewId: string, observer: string): Promise<DemoState> {
    const { shown } = await this.state(crewId)
    if (shown.length > 0)
      await this.db
        .updateTable('documents')
        .set({ binnedAt: new Date() })
        .where('crewId', '=', crewId)
        .where('id', 'in', shown)
        .where('revision', '=', 1)
        .execute()
    const { active } = await this.demoObservations(crewId)
    await this.observations.add(crewId, observer, active.map(retractionOf))
    return this.state(crewId)
  }

  async bringBack(crewId: string, observer: string): Promise<DemoState> {
    for (const { kind, id, content } of exampleDocuments()) {
      const { document } = await this.documents.create({ crewId, kind, id }, content)
      if (document?.binnedAt) await this.documents.setTrashed({ crewId, kind, id }, null)
    }
    const { retractions } = await this.demoObservations(crewId)
    await this.observations.add(crewId, observer, [...demoObservations(), ...retractions.map(retractionOf)])
    await this.stock.move(crewId, observer, demoStock())
    return this.state(crewId)
  }

  /** The outfits and marks that traces outside the demonstration are tied to. */
  private async usedByOwn(crewId: string, demoIds: readonly string[]): Promise<Set<string>> {
    const { rows } = await sql<{ outfitId: string | null; markId: string | null }>`
      select distinct head->>'outfitId' as outfit_id, head->>'markId' as mark_id from documents
      where crew_id = ${crewId} and kind = 'traces' and binned_at is null and not (id = any(${[...demoIds]}::uuid[]))`.execute(
      this.db,
    )
    return new Set(rows.flatMap(({ outfitId, markId }) => [outfitId, markId].filter((id) => id !== null)))
  }

  /** Those of the demonstration that count now, and what keeps the others from it. */
  private async demoObservations(crewId: string): Promise<{ active: Observation[]; retractions: Observation[] }> {
    const ids = new Set(demoObservations().map(({ id }) => id))
    const active = activeObservations(parseObservations(await this.observations.list(crewId)))
    return {
      active: active.filter(({ id }) => ids.has(id)),
      retractions: active.filter((each) => each.kind === 'retraction' && ids.has(each.of)),
    }
  }
}

/** A retraction is found where what it retracts is: at the same mark. */
const retractionOf = ({ id, markId }: Observation): Observation => ({
  formatVersion: 1,
  kind: 'retraction',
  id: randomUUID(),
  at: new Date().toISOString(),
  of: id,
  ...(markId !== undefined && { markId }),
})

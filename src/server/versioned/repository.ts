import { sql, type Transaction } from 'kysely'
import type { Saved } from '../../shared/versioned.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'

/** The kinds of versioned document, and the tables of each. */
const TABLES = {
  traces: ['traces', 'traceRevisions'],
  outfits: ['outfits', 'outfitRevisions'],
  gear: ['gear', 'gearRevisions'],
  ruleSets: ['ruleSets', 'ruleSetRevisions'],
  marks: ['marks', 'markRevisions'],
} as const

export type Kind = keyof typeof TABLES

type SaveOutcome<T> = { outcome: 'saved' | 'stale'; document: Saved<T> } | { outcome: 'missing' }

/**
 * Documents of one kind: heads with their revisions. The tables of all kinds have one shape, so one kind's names stand for
 * all in the types. Every statement names the crew.
 */
export class DocumentRepository<T extends object> {
  private readonly db: Database
  private readonly head: 'traces'
  private readonly revisions: 'traceRevisions'

  constructor(db: Database, kind: Kind) {
    this.db = db
    const [head, revisions] = TABLES[kind]
    this.head = head as 'traces'
    this.revisions = revisions as 'traceRevisions'
  }

  async list(crewId: string, binned: boolean): Promise<Saved<T>[]> {
    const rows = await this.current(crewId)
      .where('head.binnedAt', binned ? 'is not' : 'is', null)
      .orderBy('revision.savedAt', 'desc')
      .execute()
    return rows.map(savedOf<T>)
  }

  async find(crewId: string, id: string): Promise<Saved<T> | undefined> {
    const row = await this.current(crewId).where('head.id', '=', id).executeTakeFirst()
    return row && savedOf<T>(row)
  }

  async findRevision(crewId: string, id: string, revision: number): Promise<Saved<T> | undefined> {
    const row = await this.db
      .selectFrom(`${this.revisions} as revision`)
      .innerJoin(`${this.head} as head`, (join) =>
        join.onRef('head.id', '=', 'revision.id').onRef('head.crewId', '=', 'revision.crewId'),
      )
      .select(['revision.id', 'revision.revision', 'revision.savedAt', 'revision.content', 'head.binnedAt'])
      .where('revision.crewId', '=', crewId)
      .where('revision.id', '=', id)
      .where('revision.revision', '=', revision)
      .executeTakeFirst()
    return row && savedOf<T>(row)
  }

  async listRevisions(crewId: string, id: string): Promise<{ revision: number; savedAt: string }[]> {
    const rows = await this.db
      .selectFrom(this.revisions)
      .select(['revision', 'savedAt'])
      .where('crewId', '=', crewId)
      .where('id', '=', id)
      .orderBy('revision', 'desc')
      .execute()
    return rows.map(({ revision, savedAt }) => ({ revision, savedAt: savedAt.toISOString() }))
  }

  /** Adds a document; one that is there already with the same content is a request sent twice, and is answered as saved. */
  async create(crewId: string, id: string, content: T): Promise<{ created: boolean; document: Saved<T> }> {
    const created = await this.db.transaction().execute(async (transaction) => {
      const head = await transaction
        .insertInto(this.head)
        .values({ id, crewId, revision: 1 })
        .onConflict((conflict) => conflict.doNothing())
        .returning('id')
        .executeTakeFirst()
      if (!head) return false
      await this.addRevision(transaction, crewId, id, 1, content)
      return true
    })
    const document = (await this.find(crewId, id))!
    return { created: created || (document.revision === 1 && (await this.isContent(crewId, id, 1, content))), document }
  }

  /**
   * Saves the next revision if `baseRevision` is the current one. A save that was acknowledged but whose answer was lost comes
   * again with the same content: it is answered as saved, not as stale.
   */
  async save(crewId: string, id: string, baseRevision: number, content: T): Promise<SaveOutcome<T>> {
    const saved = await this.db.transaction().execute(async (transaction) => {
      const head = await transaction
        .updateTable(this.head)
        .set({ revision: baseRevision + 1 })
        .where('crewId', '=', crewId)
        .where('id', '=', id)
        .where('revision', '=', baseRevision)
        .where('binnedAt', 'is', null)
        .returning('revision')
        .executeTakeFirst()
      if (head) await this.addRevision(transaction, crewId, id, head.revision, content)
      return head !== undefined
    })
    const document = await this.find(crewId, id)
    if (!document || document.binnedAt !== null) return { outcome: 'missing' }
    const repeated =
      !saved && document.revision === baseRevision + 1 && (await this.isContent(crewId, id, document.revision, content))
    return { outcome: saved || repeated ? 'saved' : 'stale', document }
  }

  /** Puts a document into the bin or takes it out; nothing is deleted. */
  async setBinned(crewId: string, id: string, binnedAt: Date | null): Promise<Saved<T> | undefined> {
    await this.db.updateTable(this.head).set({ binnedAt }).where('crewId', '=', crewId).where('id', '=', id).execute()
    return this.find(crewId, id)
  }

  private current(crewId: string) {
    return this.db
      .selectFrom(`${this.head} as head`)
      .innerJoin(`${this.revisions} as revision`, (join) =>
        join
          .onRef('revision.id', '=', 'head.id')
          .onRef('revision.crewId', '=', 'head.crewId')
          .onRef('revision.revision', '=', 'head.revision'),
      )
      .select(['head.id', 'head.revision', 'head.binnedAt', 'revision.savedAt', 'revision.content'])
      .where('head.crewId', '=', crewId)
  }

  private addRevision(transaction: Transaction<Tables>, crewId: string, id: string, revision: number, content: T) {
    return transaction
      .insertInto(this.revisions)
      .values({ id, crewId, revision, content: JSON.stringify(content) })
      .execute()
  }

  private async isContent(crewId: string, id: string, revision: number, content: T): Promise<boolean> {
    const row = await this.db
      .selectFrom(this.revisions)
      .select(sql<boolean>`content = ${JSON.stringify(content)}::jsonb`.as('same'))
      .where('crewId', '=', crewId)
      .where('id', '=', id)
      .where('revision', '=', revision)
      .executeTakeFirst()
    return row?.same ?? false
  }
}

type Row = { id: string; revision: number; binnedAt: Date | null; savedAt: Date; content: object }

function savedOf<T>({ id, revision, binnedAt, savedAt, content }: Row): Saved<T> {
  return { id, revision, savedAt: savedAt.toISOString(), binnedAt: binnedAt?.toISOString() ?? null, content: content as T }
}

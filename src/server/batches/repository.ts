import { sql, type Transaction } from 'kysely'
import { batchSchema } from '../../core/documents/batch.ts'
import { tiedSchema } from '../../core/documents/tied.ts'
import type { BatchProgress, BatchTick } from '../../shared/batches.ts'
import type { NewMovement } from '../../shared/stock.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'
import { createDocument } from '../documents/repository.ts'
import { HttpError, notFound } from '../http/httpError.ts'
import { addMovements, type StockRepository } from '../stock/repository.ts'

type BatchKey = { crewId: string; batchId: string; observer: string }
type Finish = {
  id: string
  movements: readonly Omit<NewMovement, 'reason' | 'note'>[]
  tied: readonly { id: string; content: object }[]
}

/** What is done of batches. Whoever changes one holds its row, so that two who tick or finish at once follow each other. */
export class BatchRepository {
  private readonly db: Database
  private readonly stock: StockRepository

  constructor(db: Database, stock: StockRepository) {
    this.db = db
    this.stock = stock
  }

  async progress({ crewId, batchId }: Omit<BatchKey, 'observer'>): Promise<BatchProgress> {
    const parts = await this.db
      .selectFrom('batchTicks')
      .select(['part', ({ fn }) => fn.sum<string>('change').as('done')])
      .where('crewId', '=', crewId)
      .where('batchId', '=', batchId)
      .groupBy('part')
      .execute()
    return {
      parts: Object.fromEntries(parts.map(({ part, done }) => [part, Number(done)])),
      finishes: (await activeFinishes(this.db, { crewId, batchId })).map(({ recordedAt, ...finish }) => ({
        ...finish,
        recordedAt: recordedAt.toISOString(),
      })),
    }
  }

  /** Adds ticks; what one really changed is stored, so that a part is never done less than never or more than all. */
  async tick({ crewId, batchId, observer }: BatchKey, ticks: readonly BatchTick[]): Promise<void> {
    await this.db.transaction().execute(async (transaction) => {
      await lockBatch(transaction, { crewId, batchId })
      for (const { id, part, change, of } of ticks)
        await sql`insert into batch_ticks (id, crew_id, batch_id, part, observer, change)
          select ${id}, ${crewId}, ${batchId}, ${part}, ${observer},
            least(greatest(coalesce(sum(change), 0) + ${change}::integer, 0), ${of}::integer) - coalesce(sum(change), 0)
          from batch_ticks where crew_id = ${crewId} and batch_id = ${batchId} and part = ${part}
          on conflict (crew_id, id) do nothing`.execute(transaction)
    })
  }

  /** Takes the stock and adds the tied traces, both or neither. */
  async finish({ crewId, batchId, observer }: BatchKey, { id, movements, tied }: Finish): Promise<void> {
    const uses = movements.map((movement) => ({ ...movement, reason: 'used' as const, finishId: id }))
    await this.stock.guarded(crewId, uses, async (transaction) => {
      const count = await lockBatch(transaction, { crewId, batchId })
      const finishes = await activeFinishes(transaction, { crewId, batchId })
      if (finishes.some((each) => each.id === id)) return
      const done = finishes.reduce((sum, each) => sum + each.tied.length, 0)
      if (done + tied.length > count)
        throw new HttpError(409, 'too-many', `${done} of ${count} traces of this batch are finished already.`)
      await addMovements(transaction, crewId, observer, uses)
      for (const { id: tiedId, content } of tied) {
        const { created } = await createDocument(transaction, { crewId, kind: 'tied', id: tiedId }, content)
        if (!created) throw new HttpError(409, 'exists', `There is already a tied trace ${tiedId}.`)
      }
      await transaction
        .insertInto('batchFinishes')
        .values({ id, crewId, batchId, tied: tied.map((each) => each.id), undoes: null, observer })
        .execute()
    })
  }

  /** Gives back the stock of a finish and moves its tied traces to the trash, if all of them are still ready. */
  async undoFinish({ crewId, batchId, observer }: BatchKey, id: string, undoes: string): Promise<void> {
    await this.stock.guarded(crewId, [], async (transaction) => {
      await lockBatch(transaction, { crewId, batchId })
      const finish = (await activeFinishes(transaction, { crewId, batchId })).find((each) => each.id === undoes)
      if (!finish) {
        if (await isUndoneBy(transaction, crewId, undoes, id)) return
        throw new HttpError(409, 'undone', 'This was undone already.')
      }
      await checkReady(transaction, crewId, finish.tied)
      await transaction
        .updateTable('documents')
        .set({ binnedAt: new Date() })
        .where('crewId', '=', crewId)
        .where('kind', '=', 'tied')
        .where('id', 'in', finish.tied)
        .execute()
      // Movements that were undone one by one stay as they are.
      await sql`insert into stock_movements (id, crew_id, item_id, spool, quantity, reason, undoes, observer)
        select gen_random_uuid(), crew_id, item_id, spool, -quantity, 'undone', id, ${observer}
        from stock_movements movement
        where crew_id = ${crewId} and finish_id = ${undoes} and not exists (
          select from stock_movements other where other.crew_id = movement.crew_id and other.undoes = movement.id)
        order by item_id, spool`.execute(transaction)
      await transaction.insertInto('batchFinishes').values({ id, crewId, batchId, tied: [], undoes, observer }).execute()
    })
  }
}

type Executor = Database | Transaction<Tables>

/** Holds the batch until the transaction ends. @returns the number of traces in it. */
async function lockBatch(
  transaction: Transaction<Tables>,
  { crewId, batchId }: { crewId: string; batchId: string },
): Promise<number> {
  const head = await transaction
    .selectFrom('documents')
    .select('revision')
    .where('crewId', '=', crewId)
    .where('kind', '=', 'batches')
    .where('id', '=', batchId)
    .forUpdate()
    .executeTakeFirst()
  if (!head) throw notFound('batch')
  const { content } = await transaction
    .selectFrom('documentRevisions')
    .select('content')
    .where('crewId', '=', crewId)
    .where('kind', '=', 'batches')
    .where('id', '=', batchId)
    .where('revision', '=', head.revision)
    .executeTakeFirstOrThrow()
  return batchSchema.parse(content).count
}

const activeFinishes = (db: Executor, { crewId, batchId }: { crewId: string; batchId: string }) =>
  db
    .selectFrom('batchFinishes as finish')
    .select(['id', 'tied', 'observer', 'recordedAt'])
    .where('crewId', '=', crewId)
    .where('batchId', '=', batchId)
    .where('undoes', 'is', null)
    .where(({ not, exists, selectFrom }) =>
      not(
        exists(
          selectFrom('batchFinishes as other')
            .select('other.id')
            .whereRef('other.crewId', '=', 'finish.crewId')
            .whereRef('other.undoes', '=', 'finish.id'),
        ),
      ),
    )
    .orderBy('recordedAt')
    .execute()

async function isUndoneBy(transaction: Transaction<Tables>, crewId: string, undoes: string, id: string): Promise<boolean> {
  const row = await transaction
    .selectFrom('batchFinishes')
    .select('id')
    .where('crewId', '=', crewId)
    .where('undoes', '=', undoes)
    .executeTakeFirst()
  return row?.id === id
}

/** What was fished or lost is not given back. */
async function checkReady(transaction: Transaction<Tables>, crewId: string, tied: readonly string[]): Promise<void> {
  const { rows } = await sql<{ content: unknown }>`select content
    from documents join document_revisions revision using (crew_id, kind, id, revision)
    where crew_id = ${crewId} and kind = 'tied' and id = any(${[...tied]}::uuid[])
    for update of documents`.execute(transaction)
  const others = rows.filter(({ content }) => tiedSchema.safeParse(content).data?.state !== 'ready').length
  if (others > 0)
    throw new HttpError(
      409,
      'in-use',
      `${others} of these traces ${others === 1 ? 'is' : 'are'} no longer ready. Nothing was undone.`,
    )
}

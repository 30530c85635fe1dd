import { sql, type Transaction } from 'kysely'
import { nameOf } from '../../shared/kindNames.ts'
import { MAX_HISTORY, type NewMovement, type RecordedMovement, type StockCount, type StockLevel } from '../../shared/stock.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'
import { HttpError } from '../http/httpError.ts'

type Place = { itemId: string; spool: number }
type Movement = Omit<NewMovement, 'reason'> & { reason: RecordedMovement['reason']; undoes?: string; finishId?: string }

/** The ledger of the box. The database keeps each level, and refuses a movement that would bring one below zero. */
export class StockRepository {
  private readonly db: Database

  constructor(db: Database) {
    this.db = db
  }

  async levels(crewId: string): Promise<StockLevel[]> {
    const rows = await this.db
      .selectFrom('stockLevels')
      .select(['itemId', 'spool', 'quantity'])
      .where('crewId', '=', crewId)
      .orderBy('itemId')
      .orderBy('spool')
      .execute()
    return rows.map((row) => ({ ...row, quantity: Number(row.quantity) }))
  }

  /** The latest movements of an item, with the batch that used it. */
  async history(crewId: string, itemId: string): Promise<RecordedMovement[]> {
    const rows = await this.db
      .selectFrom('stockMovements as movement')
      .leftJoin('batchFinishes as finish', (join) =>
        join.onRef('finish.crewId', '=', 'movement.crewId').onRef('finish.id', '=', 'movement.finishId'),
      )
      .select(['movement.id', 'itemId', 'spool', 'quantity', 'reason', 'movement.undoes', 'note', 'movement.observer'])
      .select(['movement.recordedAt', 'finish.batchId'])
      .where('movement.crewId', '=', crewId)
      .where('itemId', '=', itemId)
      .orderBy('movement.recordedAt', 'desc')
      .limit(MAX_HISTORY)
      .execute()
    return rows.map((row) => ({
      ...row,
      quantity: Number(row.quantity),
      reason: row.reason as RecordedMovement['reason'],
      recordedAt: row.recordedAt.toISOString(),
    }))
  }

  /** Adds movements, all or none; one that is there already is a request sent twice. */
  async move(crewId: string, observer: string, movements: readonly Movement[]): Promise<void> {
    await this.checkItems(crewId, movements)
    await this.guarded(crewId, movements, (transaction) => addMovements(transaction, crewId, observer, movements))
  }

  /**
   * Corrects levels to what was counted, all or none. A level that is not what the count was compared with has moved meanwhile, and
   * the count is refused with the level of now.
   */
  async count(crewId: string, observer: string, counts: readonly StockCount[]): Promise<void> {
    await this.checkItems(crewId, counts)
    await this.db.transaction().execute(async (transaction) => {
      const inOrder = counts.toSorted(byPlace)
      // A row of zero is made where there is none, so that two first counts wait for each other.
      const made = await transaction
        .insertInto('stockLevels')
        .values(inOrder.map(({ itemId, spool }) => ({ crewId, itemId, spool, quantity: 0 })))
        .onConflict((conflict) => conflict.doNothing())
        .returning(['itemId', 'spool'])
        .execute()
      const isNew = new Set(made.map(keyOf))
      const levels = new Map((await lockLevels(transaction, crewId, inOrder)).map((level) => [keyOf(level), level.quantity]))
      const repeated = new Set(
        (
          await transaction
            .selectFrom('stockMovements')
            .select('id')
            .where('crewId', '=', crewId)
            .where(
              'id',
              'in',
              counts.map(({ id }) => id),
            )
            .execute()
        ).map(({ id }) => id),
      )
      const fresh = inOrder.filter(({ id }) => !repeated.has(id))
      const moved = fresh.filter((each) => (isNew.has(keyOf(each)) ? null : levels.get(keyOf(each))) !== each.seen)
      if (moved.length > 0)
        throw new HttpError(409, 'moved', 'The stock changed while you counted. Look at the differences again.', {
          extra: {
            short: moved.map(({ itemId, spool }) => ({ itemId, spool, left: levels.get(keyOf({ itemId, spool })) ?? 0 })),
          },
        })
      const corrections = fresh.map(({ id, itemId, spool, counted }) => ({
        id,
        itemId,
        spool,
        quantity: Number((counted - (levels.get(keyOf({ itemId, spool })) ?? 0)).toFixed(3)),
        reason: 'counted' as const,
      }))
      await addMovements(transaction, crewId, observer, corrections)
    })
  }

  /** Takes a movement back by its opposite. */
  async undo(crewId: string, observer: string, id: string, undoes: string): Promise<void> {
    const movement = await this.db
      .selectFrom('stockMovements')
      .select(['itemId', 'spool', 'quantity', 'reason'])
      .where('crewId', '=', crewId)
      .where('id', '=', undoes)
      .executeTakeFirst()
    if (!movement) throw new HttpError(404, 'not-found', 'This movement of stock does not exist.')
    const { itemId, spool, quantity } = movement
    const opposite: Movement = { id, itemId, spool, quantity: -Number(quantity), reason: 'undone', undoes }
    await this.guarded(crewId, [opposite], (transaction) => addMovements(transaction, crewId, observer, [opposite]))
  }

  /** Runs a change of stock in a transaction; what the database refuses for want of stock, or as undone before, is said in words. */
  async guarded<T>(
    crewId: string,
    movements: readonly Movement[],
    change: (transaction: Transaction<Tables>) => Promise<T>,
  ): Promise<T> {
    try {
      return await this.db.transaction().execute(change)
    } catch (error) {
      const { constraint } = error as { constraint?: string }
      if (constraint === 'stock_not_negative') throw await this.shortage(crewId, movements)
      if (constraint === 'stock_undone_once') throw new HttpError(409, 'undone', 'This was undone already.')
      throw error
    }
  }

  private async checkItems(crewId: string, places: readonly Place[]): Promise<void> {
    const ids = [...new Set(places.map(({ itemId }) => itemId))]
    const { count } = await this.db
      .selectFrom('documents')
      .select(({ fn }) => fn.countAll<string>().as('count'))
      .where('crewId', '=', crewId)
      .where('kind', '=', 'gear')
      .where('id', 'in', ids)
      .executeTakeFirstOrThrow()
    if (Number(count) < ids.length) throw new HttpError(400, 'unknown-item', 'An item of this request is not in the box.')
  }

  /** What is too little for the movements, with the name of the first. */
  private async shortage(crewId: string, movements: readonly Movement[]): Promise<HttpError> {
    const levels = new Map((await this.levels(crewId)).map((level) => [keyOf(level), level.quantity]))
    const wanted = new Map<string, Movement>()
    for (const each of movements) {
      const before = wanted.get(keyOf(each))
      wanted.set(keyOf(each), { ...each, quantity: each.quantity + (before?.quantity ?? 0) })
    }
    const short = [...wanted.values()]
      .map(({ itemId, spool, quantity }) => ({ itemId, spool, left: levels.get(keyOf({ itemId, spool })) ?? 0, quantity }))
      .filter(({ left, quantity }) => left + quantity < 0)
      .map(({ itemId, spool, left }) => ({ itemId, spool, left }))
    const [first] = short
    const name = first && (await this.nameOfItem(crewId, first.itemId))
    const message = first ? `Only ${first.left} left of “${name}”. Nothing was taken.` : 'Not enough left. Nothing was taken.'
    return new HttpError(409, 'not-enough', message, { extra: { short } })
  }

  private async nameOfItem(crewId: string, itemId: string): Promise<string> {
    const { rows } = await sql<{ content: unknown }>`select content
      from documents join document_revisions revision using (crew_id, kind, id, revision)
      where crew_id = ${crewId} and kind = 'gear' and id = ${itemId}`.execute(this.db)
    return nameOf(rows[0]?.content) ?? itemId
  }
}

/** Adds movements as part of a transaction, always in one order, so that two that move the same never wait for each other in a ring. */
export async function addMovements(
  transaction: Transaction<Tables>,
  crewId: string,
  observer: string,
  movements: readonly Movement[],
): Promise<void> {
  if (movements.length === 0) return
  await transaction
    .insertInto('stockMovements')
    .values(
      movements.toSorted(byPlace).map(({ undoes = null, finishId = null, note = null, ...movement }) => ({
        ...movement,
        crewId,
        observer,
        undoes,
        finishId,
        note,
      })),
    )
    .onConflict((conflict) => conflict.columns(['crewId', 'id']).doNothing())
    .execute()
}

async function lockLevels(transaction: Transaction<Tables>, crewId: string, places: readonly Place[]): Promise<StockLevel[]> {
  const rows = await transaction
    .selectFrom('stockLevels')
    .select(['itemId', 'spool', 'quantity'])
    .where('crewId', '=', crewId)
    .where(
      'itemId',
      'in',
      places.map(({ itemId }) => itemId),
    )
    .orderBy('itemId')
    .orderBy('spool')
    .forUpdate()
    .execute()
  return rows.map((row) => ({ ...row, quantity: Number(row.quantity) }))
}

const keyOf = ({ itemId, spool }: Place) => `${itemId} ${spool}`
const byPlace = (a: Place, b: Place) => a.itemId.localeCompare(b.itemId) || a.spool - b.spool

import { type Kysely, type Migration, sql } from 'kysely'

/**
 * Stock of gear as a ledger of movements, which are only ever added, with the level of each spool or box of pieces beside it; the
 * ticks of batches, and which tied traces were finished together. A trigger keeps the levels, and the database refuses a movement
 * that would bring one below zero.
 */
export const stock: Migration = {
  up: async (db: Kysely<unknown>) => {
    await db.schema
      .createTable('stock_levels')
      .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
      .addColumn('item_id', 'uuid', (column) => column.notNull())
      .addColumn('spool', 'integer', (column) => column.notNull())
      .addColumn('quantity', sql`numeric(12, 3)`, (column) => column.notNull())
      .addPrimaryKeyConstraint('stock_levels_key', ['crew_id', 'item_id', 'spool'])
      .addCheckConstraint('stock_not_negative', sql`quantity >= 0`)
      .execute()
    await db.schema
      .createTable('stock_movements')
      .addColumn('id', 'uuid', (column) => column.notNull())
      .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
      .addColumn('item_id', 'uuid', (column) => column.notNull())
      .addColumn('spool', 'integer', (column) => column.notNull())
      .addColumn('quantity', sql`numeric(12, 3)`, (column) => column.notNull())
      .addColumn('reason', 'text', (column) => column.notNull())
      .addColumn('undoes', 'uuid')
      .addColumn('finish_id', 'uuid')
      .addColumn('note', 'text')
      .addColumn('observer', 'text', (column) => column.notNull())
      .addColumn('recorded_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
      .addPrimaryKeyConstraint('stock_movements_key', ['crew_id', 'id'])
      .addUniqueConstraint('stock_undone_once', ['crew_id', 'undoes'])
      .execute()
    await db.schema
      .createIndex('stock_movements_of_item')
      .on('stock_movements')
      .columns(['crew_id', 'item_id', 'recorded_at'])
      .execute()
    // Restoring a backup adds the movements of two histories; it works the levels out afterwards.
    await sql`create function keep_stock_level() returns trigger language plpgsql as $$ begin
      if current_setting('wide_reach.restoring', true) = 'on' then return null; end if;
      update stock_levels set quantity = quantity + new.quantity
        where crew_id = new.crew_id and item_id = new.item_id and spool = new.spool;
      if not found then
        insert into stock_levels (crew_id, item_id, spool, quantity) values (new.crew_id, new.item_id, new.spool, new.quantity)
        on conflict (crew_id, item_id, spool) do update set quantity = stock_levels.quantity + excluded.quantity;
      end if;
      return null;
    end $$`.execute(db)
    await sql`create trigger keep_stock_level after insert on stock_movements
      for each row execute function keep_stock_level()`.execute(db)
    await db.schema
      .createTable('batch_ticks')
      .addColumn('id', 'uuid', (column) => column.notNull())
      .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
      .addColumn('batch_id', 'uuid', (column) => column.notNull())
      .addColumn('part', 'text', (column) => column.notNull())
      .addColumn('change', 'integer', (column) => column.notNull())
      .addColumn('observer', 'text', (column) => column.notNull())
      .addColumn('recorded_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
      .addPrimaryKeyConstraint('batch_ticks_key', ['crew_id', 'id'])
      .execute()
    await db.schema.createIndex('batch_ticks_of_batch').on('batch_ticks').columns(['crew_id', 'batch_id']).execute()
    await db.schema
      .createTable('batch_finishes')
      .addColumn('id', 'uuid', (column) => column.notNull())
      .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
      .addColumn('batch_id', 'uuid', (column) => column.notNull())
      .addColumn('tied', sql`uuid[]`, (column) => column.notNull())
      .addColumn('undoes', 'uuid')
      .addColumn('observer', 'text', (column) => column.notNull())
      .addColumn('recorded_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
      .addPrimaryKeyConstraint('batch_finishes_key', ['crew_id', 'id'])
      .addUniqueConstraint('batch_finish_undone_once', ['crew_id', 'undoes'])
      .execute()
    await db.schema.createIndex('batch_finishes_of_batch').on('batch_finishes').columns(['crew_id', 'batch_id']).execute()
    for (const table of ['stock_movements', 'batch_ticks', 'batch_finishes'])
      await sql`create trigger only_added before update or delete on ${sql.table(table)} for each row execute function only_added()`.execute(
        db,
      )
  },
}

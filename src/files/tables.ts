import type { Fish } from '../core/documents/fish.ts'
import type { Gear } from '../core/documents/gear.ts'
import { readFishCsv, writeFishCsv } from './fishCsv.ts'
import { readGearCsv, writeGearCsv } from './gearCsv.ts'
import type { ReadFile } from './readCsv.ts'

/** Kinds that go in and out as a table, with what one row is of. */
export type TableItems = { gear: Gear; fish: Fish }
export type TableKind = keyof TableItems

type Table<Item> = {
  read: (text: string) => ReadFile<Item[]>
  write: (items: readonly Item[]) => string
  /** What tells two apart: one of the same that is there is changed. */
  keyOf: (item: Item) => string
}

const TABLES: { [K in TableKind]: Table<TableItems[K]> } = {
  gear: { read: readGearCsv, write: writeGearCsv, keyOf: ({ kind, name }) => `${kind} ${name.toLowerCase()}` },
  fish: { read: readFishCsv, write: writeFishCsv, keyOf: ({ name }) => name.toLowerCase() },
}

/** One that is there, with the revision it stands at. */
export type Owned<Item> = { id: string; revision: number; content: Item }
/** What a table would do: one that is there is changed, any other is new. */
export type TableChange<Item> = { item: Item; was?: Owned<Item> }

/** Reads a table and says what it would change; what is the same to the last figure that a table has is left out. */
export function readTableChanges<K extends TableKind>(
  kind: K,
  text: string,
  owned: readonly Owned<TableItems[K]>[],
): ReadFile<TableChange<TableItems[K]>[]> {
  const { read, write, keyOf } = TABLES[kind] as Table<TableItems[K]>
  const table = read(text)
  if (!table.ok) return table
  const known = new Map(owned.map((saved) => [keyOf(saved.content), saved]))
  const changes = table.value.flatMap((item): TableChange<TableItems[K]>[] => {
    const was = known.get(keyOf(item))
    if (!was) return [{ item }]
    return write([was.content]) === write([item]) ? [] : [{ item, was }]
  })
  return { ok: true, value: changes }
}

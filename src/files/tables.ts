import type { Fish } from '../core/documents/fish.ts'
import type { Gear } from '../core/documents/gear.ts'
import { readFishCsv, writeFishCsv } from './fishCsv.ts'
import { readGearCsv, writeGearCsv } from './gearCsv.ts'
import type { ReadFile } from './readCsv.ts'

/** The kinds that can be imported and exported as a table, with the type of a row. */
export type TableItems = { gear: Gear; fish: Fish }
export type TableKind = keyof TableItems

type Table<Item> = {
  read: (text: string) => ReadFile<Item[]>
  write: (items: readonly Item[]) => string
  /** Identifies an item: an import changes the existing item with the same key. */
  keyOf: (item: Item) => string
}

const TABLES: { [K in TableKind]: Table<TableItems[K]> } = {
  gear: { read: readGearCsv, write: writeGearCsv, keyOf: ({ kind, name }) => `${kind} ${name.toLowerCase()}` },
  fish: { read: readFishCsv, write: writeFishCsv, keyOf: ({ name }) => name.toLowerCase() },
}

/** An existing item with its current revision. */
export type Owned<Item> = { id: string; revision: number; content: Item }
/** A change that an import would make: `was` is the existing item, absent if the item is new. */
export type TableChange<Item> = { item: Item; was?: Owned<Item> }

/** Reads a table and lists what importing it would change. Items that a table would write identically are left out. */
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

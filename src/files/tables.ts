import type { Fish } from '../core/documents/fish.ts'
import { type Gear, withBoxFieldsOf } from '../core/documents/gear.ts'
import { readFishCsv, writeFishCsv } from './fishCsv.ts'
import { readGearCsv, writeGearCsv } from './gearCsv.ts'
import type { ReadFile } from './readCsv.ts'

/** The kinds that can be imported and exported as a table, with the type of a row. */
export type TableItems = { gear: Gear; fish: Fish }
export type TableKind = keyof TableItems

/** A row of a table: an item, and of gear what is on hand, where that is said. */
type Row<Item> = { item: Item; onHand?: number[] }
type Table<Item> = {
  read: (text: string) => ReadFile<Row<Item>[]>
  /** The item as a table writes it: two that are written alike are the same. */
  write: (item: Item) => string
  /** Identifies an item: an import changes the existing item with the same key. */
  keyOf: (item: Item) => string
  /** What an import makes of an existing item: what the table does not say of it stays. */
  onto?: (item: Item, was: Item) => Item
}

const TABLES: { [K in TableKind]: Table<TableItems[K]> } = {
  gear: {
    read: readGearCsv,
    write: (item) => writeGearCsv([{ item }]),
    keyOf: ({ kind, name }) => `${kind} ${name.toLowerCase()}`,
    onto: withBoxFieldsOf,
  },
  fish: {
    read: (text) => asRows(readFishCsv(text)),
    write: (fish) => writeFishCsv([fish]),
    keyOf: ({ name }) => name.toLowerCase(),
  },
}

const asRows = <Item>(read: ReadFile<Item[]>): ReadFile<Row<Item>[]> =>
  read.ok ? { ok: true, value: read.value.map((item) => ({ item })) } : read

/** An existing item with its current revision, and of gear what is on hand of it: pieces, or metres spool by spool. */
export type Owned<Item> = { id: string; revision: number; content: Item; onHand?: number[] | undefined }
/**
 * A change that an import would make: `was` is the existing item, absent if the item is new; `onHand` is there where the table says
 * another stock than the box.
 */
export type TableChange<Item> = { item: Item; was?: Owned<Item>; isSame?: true; onHand?: number[] }

/** Reads a table and lists what importing it would change. Items that a table would write identically are left out. */
export function readTableChanges<K extends TableKind>(
  kind: K,
  text: string,
  owned: readonly Owned<TableItems[K]>[],
): ReadFile<TableChange<TableItems[K]>[]> {
  const { read, write, keyOf, onto = (item) => item } = TABLES[kind] as Table<TableItems[K]>
  const table = read(text)
  if (!table.ok) return table
  const known = new Map(owned.map((saved) => [keyOf(saved.content), saved]))
  const changes = table.value.flatMap(({ item, onHand }): TableChange<TableItems[K]>[] => {
    const was = known.get(keyOf(item))
    const counted = onHand && onHand.join() !== was?.onHand?.join() ? { onHand } : {}
    if (!was) return [{ item, ...counted }]
    const merged = onto(item, was.content)
    const isSame = write(was.content) === write(merged)
    return isSame && !('onHand' in counted) ? [] : [{ item: merged, was, ...(isSame ? { isSame } : {}), ...counted }]
  })
  return { ok: true, value: changes }
}

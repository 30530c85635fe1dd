import { useQueryClient } from '@tanstack/react-query'
import type { ReadFile } from '../../files/readCsv.ts'
import type { ContentOf } from '../../shared/documentKinds.ts'
import { createDocument, type SavedDocument, saveDocument } from '../api/documents.ts'
import { newId } from '../api/newId.ts'
import { ImportFile } from '../ui/ImportFile.tsx'

/** Kinds that go in and out as a table. */
type TableKind = 'gear' | 'fish'

/** How a kind is read from a table and written as one; fetched when a file is chosen. */
type Format<K extends TableKind> = {
  read: (text: string) => ReadFile<ContentOf<K>[]>
  write: (items: ContentOf<K>[]) => string
}

type Props<K extends TableKind> = {
  kind: K
  owned: readonly SavedDocument<K>[]
  format: () => Promise<Format<K>>
  /** What tells two apart: one of the same that is there is changed. */
  keyOf: (item: ContentOf<K>) => string
  nameOf: (item: ContentOf<K>) => string
  /** What is said where all of it is there. */
  nothingNew: string
}

/** What a table would do: one that is there is changed, any other is new. */
type Change<K extends TableKind> = { item: ContentOf<K>; id: string; was?: SavedDocument<K> }

function changesOf<K extends TableKind>(
  items: readonly ContentOf<K>[],
  { owned, keyOf }: Pick<Props<K>, 'owned' | 'keyOf'>,
  write: Format<K>['write'],
): Change<K>[] {
  const known = new Map(owned.map((saved) => [keyOf(saved.content), saved]))
  return items.flatMap((item): Change<K>[] => {
    const was = known.get(keyOf(item))
    if (!was) return [{ item, id: newId() }]
    // As it would be written out: what is the same to the last figure that a table has is the same.
    return write([was.content]) === write([item]) ? [] : [{ item, id: was.id, was }]
  })
}

/** Takes in a table: what it would change is shown first, and nothing that is there goes. */
export function ImportTable<K extends TableKind>({ kind, owned, format, keyOf, nameOf, nothingNew }: Props<K>) {
  const client = useQueryClient()
  const read = async (text: string): Promise<ReadFile<Change<K>[]>> => {
    const { read: readTable, write } = await format()
    const table = readTable(text)
    return table.ok ? { ok: true, value: changesOf(table.value, { owned, keyOf }, write) } : table
  }
  const takeIn = async (changes: readonly Change<K>[]) => {
    for (const { item, id, was } of changes) {
      const result = was ? await saveDocument(kind, id, was.revision, item) : await createDocument(kind, item, id)
      if ('stale' in result) throw new Error(`“${nameOf(item)}” was changed elsewhere since: choose the file once more.`)
    }
  }
  return (
    <ImportFile
      title="Take in a table"
      about="A CSV file with a line for each, such as one exported here. Nothing changes until you say so, and nothing goes."
      file={{ label: 'CSV file', accept: '.csv,text/csv' }}
      read={read}
      shown={(changes) => (
        <>
          {changes.length === 0 && <p>{nothingNew}</p>}
          <Named title="new" names={changes.filter(({ was }) => !was).map(({ item }) => nameOf(item))} />
          <Named title="changed" names={changes.filter(({ was }) => was).map(({ item }) => nameOf(item))} />
        </>
      )}
      take={takeIn}
      takenWords={(count) => `${count === 1 ? 'One line' : `${count} lines`} taken in.`}
      onSettled={() => client.invalidateQueries({ queryKey: [kind] })}
    />
  )
}

const MOST_NAMED = 12

function Named({ title, names }: { title: string; names: readonly string[] }) {
  if (names.length === 0) return null
  return (
    <p>
      <strong>
        {names.length} {title}:
      </strong>{' '}
      {names.slice(0, MOST_NAMED).join(', ')}
      {names.length > MOST_NAMED && ' …'}
    </p>
  )
}

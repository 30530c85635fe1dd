import { useQueryClient } from '@tanstack/react-query'
import type { TableChange, TableItems, TableKind } from '../../files/tables.ts'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { FileFormats } from '../../workers/readFile.protocol.ts'
import { createDocuments, refreshKind, type SavedDocument, saveDocument } from '../api/documents.ts'
import { useStableIds } from '../api/useStableIds.ts'
import type { ReadOf } from '../ui/readChosen.ts'
import { ImportFile } from './ImportFile.tsx'

type Props<K extends TableKind> = {
  kind: K
  owned: readonly (SavedDocument<K> & { onHand?: number[] | undefined })[]
  /** What is said where all of it is there. */
  nothingNew: string
  /** What else the rows of a table say, once their items are stored. */
  also?: (rows: { id: string; change: TableChange<TableItems[K]> }[]) => Promise<unknown>
}

/** Takes in a table: what it would change is shown first, and nothing that is there goes. */
export function ImportTable<K extends TableKind>({ kind, owned, nothingNew, also }: Props<K>) {
  const client = useQueryClient()
  const idFor = useStableIds()
  const importRows = async (rows: ReadOf<K>) => {
    const changes = (rows as TableChange<TableItems[K]>[]).map((change) => ({ id: change.was?.id ?? idFor(change.item), change }))
    const contentOf = (item: TableItems[K]) => item as unknown as ContentOf<K>
    const added = changes.filter(({ change }) => !change.was)
    await createDocuments(
      kind,
      added.map(({ id, change }) => ({ id, content: contentOf(change.item) })),
    )
    for (const { item, was, isSame } of changes.map(({ change }) => change)) {
      if (!was || isSame) continue
      const result = await saveDocument(kind, was.id, was.revision, contentOf(item))
      if ('stale' in result) throw new Error(`“${item.name}” was changed elsewhere. Choose the file again.`)
    }
    await also?.(changes)
  }
  return (
    <ImportFile<K>
      title="Import a table"
      about="A CSV file with one row each, such as one exported here. You confirm before anything changes."
      file={{ label: 'CSV file', accept: '.csv,text/csv' }}
      format={kind}
      readWith={{ owned } as FileFormats[K]['with']}
      shown={(rows) => {
        const changes = rows as TableChange<TableItems[K]>[]
        return (
          <>
            {changes.length === 0 && <p>{nothingNew}</p>}
            <Named title="new" names={changes.filter(({ was }) => !was).map(({ item }) => item.name)} />
            <Named title="changed" names={changes.filter(({ was, isSame }) => was && !isSame).map(({ item }) => item.name)} />
            <Named title="with another stock" names={changes.filter(({ onHand }) => onHand).map(({ item }) => item.name)} />
          </>
        )
      }}
      take={importRows}
      takenWords={(count) => `${count === 1 ? '1 row' : `${count} rows`} imported.`}
      onSettled={() => refreshKind(client, kind)}
    />
  )
}

const MAX_NAMED = 12

function Named({ title, names }: { title: string; names: readonly string[] }) {
  if (names.length === 0) return null
  return (
    <p>
      <strong>
        {names.length} {title}:
      </strong>{' '}
      {names.slice(0, MAX_NAMED).join(', ')}
      {names.length > MAX_NAMED && ' …'}
    </p>
  )
}

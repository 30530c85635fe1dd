import { useQueryClient } from '@tanstack/react-query'
import type { TableChange, TableItems, TableKind } from '../../files/tables.ts'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { FileFormats } from '../../workers/readFile.protocol.ts'
import { createDocument, type SavedDocument, saveDocument } from '../api/documents.ts'
import { useStableIds } from '../api/useStableIds.ts'
import type { ReadOf } from '../ui/readChosen.ts'
import { ImportFile } from './ImportFile.tsx'

type Props<K extends TableKind> = {
  kind: K
  owned: readonly SavedDocument<K>[]
  /** What is said where all of it is there. */
  nothingNew: string
}

/** Takes in a table: what it would change is shown first, and nothing that is there goes. */
export function ImportTable<K extends TableKind>({ kind, owned, nothingNew }: Props<K>) {
  const client = useQueryClient()
  const idFor = useStableIds()
  const importRows = async (rows: ReadOf<K>) => {
    for (const { item, was } of rows as TableChange<TableItems[K]>[]) {
      const content = item as unknown as ContentOf<K>
      const result = was
        ? await saveDocument(kind, was.id, was.revision, content)
        : await createDocument(kind, content, idFor(item))
      if ('stale' in result) throw new Error(`“${item.name}” was changed elsewhere. Choose the file again.`)
    }
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
            <Named title="changed" names={changes.filter(({ was }) => was).map(({ item }) => item.name)} />
          </>
        )
      }}
      take={importRows}
      takenWords={(count) => `${count === 1 ? '1 row' : `${count} lines`} imported.`}
      onSettled={() => client.invalidateQueries({ queryKey: [kind] })}
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

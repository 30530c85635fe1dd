import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { ReadFile } from '../../files/readCsv.ts'
import type { ContentOf } from '../../shared/documentKinds.ts'
import { createDocument, type SavedDocument, saveDocument } from '../api/documents.ts'
import { newId } from '../api/newId.ts'
import { Button } from '../ui/controls.tsx'
import { FileFaults } from '../ui/FileFaults.tsx'
import { FileField } from '../ui/FileField.tsx'
import { Panel } from '../ui/Panel.tsx'
import { placesOf, readChosen } from '../ui/readChosen.ts'

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
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<Change<K>[]>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setRead(undefined)
    const { read, write } = await format()
    const chosen = await readChosen(file, async (text) => read(text))
    setRead(chosen.ok ? { ok: true, value: changesOf(chosen.value, { owned, keyOf }, write) } : chosen)
  }
  const take = useMutation({
    mutationFn: async (changes: readonly Change<K>[]) => {
      for (const { item, id, was } of changes) {
        const result = was ? await saveDocument(kind, id, was.revision, item) : await createDocument(kind, item, id)
        if ('stale' in result) throw new Error(`“${nameOf(item)}” was changed elsewhere since: choose the file once more.`)
      }
    },
    onSuccess: (_, changes) => {
      setOpen(false)
      setRead(undefined)
      toast(`${changes.length === 1 ? 'One line' : `${changes.length} lines`} taken in.`)
    },
    onSettled: () => client.invalidateQueries({ queryKey: [kind] }),
  })
  const fresh = read?.ok ? read.value.filter(({ was }) => !was) : []
  const changed = read?.ok ? read.value.filter(({ was }) => was) : []
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
        take.reset()
      }}
      title="Take in a table"
      about="A CSV file with a line for each, such as one exported here. Nothing changes until you say so, and nothing goes."
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" aria-hidden="true" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <FileField label="CSV file" accept=".csv,text/csv" onChoose={choose} />
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {read?.ok && (
          <>
            {read.value.length === 0 && <p>{nothingNew}</p>}
            <Named title="new" names={fresh.map(({ item }) => nameOf(item))} />
            <Named title="changed" names={changed.map(({ item }) => nameOf(item))} />
            {take.error && (
              <p role="alert" className="text-fails">
                {take.error.message}
              </p>
            )}
            <Button
              tone="strong"
              className="justify-self-end"
              disabled={take.isPending || read.value.length === 0}
              onClick={() => take.mutate(read.value)}
            >
              Take {read.value.length === 1 ? 'it' : 'them'} in
            </Button>
          </>
        )}
      </div>
    </Panel>
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

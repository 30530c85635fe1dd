import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { Gear } from '../../../core/documents/gear.ts'
import type { ReadFile } from '../../../files/readCsv.ts'
import { createDocument, type SavedDocument, saveDocument } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { Button } from '../../ui/controls.tsx'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { placesOf, readChosen } from '../../ui/readChosen.ts'

/** What a table would do: an item of a kind and name that is there is changed, any other is new. */
type Change = { item: Gear; id: string; was?: SavedDocument<'gear'> }

const keyOf = ({ kind, name }: Gear) => `${kind} ${name.toLowerCase()}`

function changesOf(items: readonly Gear[], owned: readonly SavedDocument<'gear'>[], write: (items: Gear[]) => string): Change[] {
  const known = new Map(owned.map((saved) => [keyOf(saved.content), saved]))
  return items.flatMap((item): Change[] => {
    const was = known.get(keyOf(item))
    if (!was) return [{ item, id: newId() }]
    // As it would be written out: what is the same to the last figure that a table has is the same.
    return write([was.content]) === write([item]) ? [] : [{ item, id: was.id, was }]
  })
}

/** Takes in a table of gear: what it would change is shown first, and nothing that is there goes. */
export function ImportBox({ owned }: { owned: readonly SavedDocument<'gear'>[] }) {
  const client = useQueryClient()
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<Change[]>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setRead(undefined)
    const { readGearCsv, writeGearCsv } = await import('../../../files/gearCsv.ts')
    const chosen = await readChosen(file, async (text) => readGearCsv(text))
    setRead(chosen.ok ? { ok: true, value: changesOf(chosen.value, owned, writeGearCsv) } : chosen)
  }
  const take = useMutation({
    mutationFn: async (changes: readonly Change[]) => {
      for (const { item, id, was } of changes) {
        const result = was ? await saveDocument('gear', id, was.revision, item) : await createDocument('gear', item, id)
        if ('stale' in result) throw new Error(`“${item.name}” was changed elsewhere since: choose the file once more.`)
      }
    },
    onSuccess: (_, changes) => {
      setOpen(false)
      setRead(undefined)
      toast(`${changes.length === 1 ? 'One thing' : `${changes.length} things`} taken in.`)
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['gear'] }),
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
      about="A CSV file with a line for each thing, such as one exported here. Nothing changes until you say so, and nothing goes."
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
            {read.value.length === 0 && <p>All of it is in the box already.</p>}
            <Named title="new" names={fresh.map(({ item }) => item.name)} />
            <Named title="changed" names={changed.map(({ item }) => item.name)} />
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

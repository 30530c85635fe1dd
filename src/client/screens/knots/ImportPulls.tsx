import { useMutation } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { Pull } from '../../../core/documents/observation.ts'
import type { ReadFile } from '../../../files/readCsv.ts'
import { addObservations } from '../../api/water.ts'
import { Button } from '../../ui/controls.tsx'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { placesOf, readChosen } from '../../ui/readChosen.ts'

/** Takes in a table of pulls: every wrong line is named, and a table taken in twice counts once. */
export function ImportPulls({ onTaken }: { onTaken: () => void }) {
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<Pull[]>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setRead(undefined)
    const { readPullCsv } = await import('../../../files/pullCsv.ts')
    setRead(await readChosen(file, async (text) => readPullCsv(text)))
  }
  const take = useMutation({
    mutationFn: (pulls: readonly Pull[]) => addObservations(pulls),
    onSuccess: (_, pulls) => {
      setOpen(false)
      setRead(undefined)
      toast(`${pulls.length === 1 ? 'One pull' : `${pulls.length} pulls`} taken in.`)
    },
    onSettled: onTaken,
  })
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
        take.reset()
      }}
      title="Take in pulls"
      about="A CSV file with a line for each pull: when, knot, material, line, load, parted (knot, line, hook or slipped). Taken in twice, it counts once."
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" aria-hidden="true" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <FileField label="CSV file" accept=".csv,text/csv" onChoose={choose} />
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {take.error && (
          <p role="alert" className="text-fails">
            {take.error.message}
          </p>
        )}
        {read?.ok && (
          <>
            <p>
              <strong>{read.value.length}</strong> {read.value.length === 1 ? 'pull' : 'pulls'} in this table.
            </p>
            <Button tone="strong" className="justify-self-end" disabled={take.isPending} onClick={() => take.mutate(read.value)}>
              Take them in
            </Button>
          </>
        )}
      </div>
    </Panel>
  )
}

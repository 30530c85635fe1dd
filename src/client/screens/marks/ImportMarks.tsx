import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { Waypoint } from '../../../files/gpx.ts'
import type { ReadFile } from '../../../files/readCsv.ts'
import { createDocument, marksQuery } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { portsQuery } from '../../api/water.ts'
import { Button } from '../../ui/controls.tsx'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { placesOf, readChosen } from '../../ui/readChosen.ts'
import { newMark } from './newMark.ts'

/** A place with the id it is stored under: taken in again after a failure, what is stored already is not stored twice. */
type Named = Waypoint & { id: string }

async function readPlaces(text: string): Promise<ReadFile<Named[]>> {
  const read = (await import('../../../files/gpx.ts')).readGpx(text)
  return read.ok ? { ok: true, value: read.value.map((place) => ({ ...place, id: newId() })) } : read
}

/** Takes in the places of a GPX file: shown first, and stored only when it is said so. */
export function ImportMarks() {
  const client = useQueryClient()
  const ports = useQuery(portsQuery)
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<Named[]>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setRead(undefined)
    setRead(await readChosen(file, readPlaces))
  }
  const take = useMutation({
    mutationFn: async (points: readonly Named[]) => {
      const [port] = ports.data ?? []
      if (!port) throw new Error('No port is known that a mark could have its tide from.')
      const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone
      for (const { id, mark, ...place } of points) await createDocument('marks', mark ?? newMark(port.id, timeZone, place), id)
    },
    onSuccess: (_, points) => {
      setOpen(false)
      setRead(undefined)
      toast(`${points.length === 1 ? 'One mark' : `${points.length} marks`} taken in.`)
    },
    onSettled: () => client.invalidateQueries({ queryKey: marksQuery.queryKey }),
  })
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
        take.reset()
      }}
      title="Take in marks"
      about="A GPX file with places, from a plotter or from here. Nothing changes until you say so."
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" aria-hidden="true" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <FileField label="GPX file" accept=".gpx,application/gpx+xml,.xml" onChoose={choose} />
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {read?.ok && (
          <>
            <p>
              {read.value.length === 1 ? 'One place' : `${read.value.length} places`}:{' '}
              {read.value
                .slice(0, 6)
                .map(({ name }) => name)
                .join(', ')}
              {read.value.length > 6 && ' …'}
            </p>
            {read.value.some(({ mark }) => !mark) && (
              <p className="text-sm text-quiet">
                What the file does not say begins as 10 m deep on sand, at anchor, on the tide of {ports.data?.[0]?.name}: look at
                each.
              </p>
            )}
            {take.error && (
              <p role="alert" className="text-fails">
                {take.error.message}
              </p>
            )}
            <Button
              tone="strong"
              className="justify-self-end"
              disabled={take.isPending || !ports.data?.length}
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

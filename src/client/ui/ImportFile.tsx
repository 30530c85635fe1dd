import { useMutation } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { toast } from 'sonner'
import type { ReadFile } from '../../files/readCsv.ts'
import { Button } from './controls.tsx'
import { FileFaults } from './FileFaults.tsx'
import { FileField } from './FileField.tsx'
import { Panel } from './Panel.tsx'
import { placesOf, readChosen } from './readChosen.ts'

type Props<Row> = {
  title: string
  about: string
  file: { label: string; accept: string }
  read: (text: string) => Promise<ReadFile<Row[]>>
  /** What of a file is shown before it is taken in. */
  shown: (rows: readonly Row[]) => ReactNode
  take: (rows: readonly Row[]) => Promise<unknown>
  /** What is said once it is. */
  takenWords: (count: number) => string
  onSettled: () => unknown
  /** Off while nothing can be taken in. */
  ready?: boolean
}

/** Takes in a file: read and shown first, every fault with its place, and stored only when it is said so. */
export function ImportFile<Row>({
  title,
  about,
  file,
  read: readText,
  shown,
  take: takeIn,
  takenWords,
  onSettled,
  ready = true,
}: Props<Row>) {
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<Row[]>>()
  const take = useMutation({
    mutationFn: takeIn,
    onSuccess: (_, rows) => {
      setOpen(false)
      setRead(undefined)
      toast(takenWords(rows.length))
    },
    onSettled,
  })
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
        take.reset()
      }}
      title={title}
      about={about}
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" aria-hidden="true" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <FileField {...file} onChoose={async (chosen) => setRead(chosen && (await readChosen(chosen, readText)))} />
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {read?.ok && (
          <>
            {shown(read.value)}
            {take.error && (
              <p role="alert" className="text-fails">
                {take.error.message}
              </p>
            )}
            <Button
              tone="strong"
              className="justify-self-end"
              disabled={take.isPending || read.value.length === 0 || !ready}
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

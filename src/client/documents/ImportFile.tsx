import { useMutation } from '@tanstack/react-query'
import { Upload } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import type { ReadFile } from '../../files/readCsv.ts'
import type { FileFormats } from '../../workers/readFile.protocol.ts'
import { toast } from '../regional/toast.ts'
import { Button } from '../ui/controls.tsx'
import { FileFaults } from '../ui/FileFaults.tsx'
import { FileField } from '../ui/FileField.tsx'
import { Panel } from '../ui/Panel.tsx'
import { placesOf, type ReadOf, type RowFormat, readChosen } from '../ui/readChosen.ts'
import { Fault } from '../ui/states.tsx'

type Props<F extends RowFormat> = {
  title: string
  about: string
  file: { label: string; accept: string }
  format: F
  /** What the reader needs besides the file. */
  readWith: FileFormats[F]['with']
  /** What of a file is shown before it is taken in. */
  shown: (rows: ReadOf<F>) => ReactNode
  take: (rows: ReadOf<F>) => Promise<unknown>
  /** What is said once it is. */
  takenWords: (count: number) => string
  onSettled: () => unknown
  /** Off while nothing can be taken in. */
  ready?: boolean
}

/** Takes in a file: read and shown first, every fault with its place, and stored only when it is said so. */
export function ImportFile<F extends RowFormat>({
  title,
  about,
  file,
  format,
  readWith,
  shown,
  take: importRows,
  takenWords,
  onSettled,
  ready = true,
}: Props<F>) {
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<ReadOf<F>>>()
  const [isReading, setReading] = useState(false)
  const choose = async (chosen: File | undefined) => {
    setRead(undefined)
    if (!chosen) return
    setReading(true)
    setRead(await readChosen(format, chosen, readWith))
    setReading(false)
  }
  const take = useMutation({
    mutationFn: importRows,
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
        <FileField {...file} onChoose={choose} />
        {isReading && <p role="status">Reading the file …</p>}
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {read?.ok && (
          <>
            {shown(read.value)}
            {take.error && <Fault>{take.error.message}</Fault>}
            <Button
              tone="strong"
              className="justify-self-end"
              disabled={take.isPending || read.value.length === 0 || !ready}
              onClick={() => take.mutate(read.value)}
            >
              Import {read.value.length === 1 ? 'it' : 'them'}
            </Button>
          </>
        )}
      </div>
    </Panel>
  )
}

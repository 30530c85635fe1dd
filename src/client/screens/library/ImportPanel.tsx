import { Upload } from 'lucide-react'
import { useState } from 'react'
import type { ReadFile } from '../../../files/readCsv.ts'
import type { TraceFile } from '../../../files/traceFile.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Button } from '../../ui/controls.tsx'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { placesOf, readChosen } from '../../ui/readChosen.ts'
import { ConfirmImport } from './ConfirmImport.tsx'
import { PasteTrace } from './PasteTrace.tsx'

/** Takes in a trace file: every fault is shown with its line, and nothing changes until it is confirmed. */
export default function ImportPanel({ outfits }: { outfits: SavedOutfit[] }) {
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ReadFile<TraceFile>>()
  const catalogue = useCatalogue()
  const choose = async (file: File | undefined) => {
    setRead(undefined)
    if (file) setRead(await readChosen('trace', file, { catalogue }))
  }
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
      }}
      title="Import a trace"
      about="A trace file exported here, or a trace as text. You confirm before anything changes."
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <PasteTrace outfits={outfits} />
        <FileField label="trace file" accept=".json,application/json" onChoose={choose} />
        {read && !read.ok && <FileFaults faults={placesOf(read)} />}
        {read?.ok && <ConfirmImport file={read.value} outfits={outfits} />}
      </div>
    </Panel>
  )
}

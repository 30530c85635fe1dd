import { Upload } from 'lucide-react'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { defaultConditions } from '../../../core/documents/conditions.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { fitIssues } from '../../../core/joints/fitIssues.ts'
import type { ParsedTrace } from '../../../core/soundness/parseTrace.ts'
import { runReadFile } from '../../../workers/runReadFile.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { useCreate } from '../../documents/useCreation.ts'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Panel } from '../../ui/Panel.tsx'

/** Larger than any trace of 200 parts can be; a wrong file is refused before it is read. */
const MOST_BYTES = 1_000_000

const failed = (error: Error): ParsedTrace => ({ ok: false, issues: [{ path: [], message: error.message }] })

/** Takes in a trace file: every fault is shown with its path, and nothing changes until it is confirmed. */
export default function ImportPanel({ outfits }: { outfits: SavedOutfit[] }) {
  const [open, setOpen] = useState(false)
  const [read, setRead] = useState<ParsedTrace>()
  const catalogue = useCatalogue()
  const choose = async (file: File | undefined) => {
    if (!file) return setRead(undefined)
    if (file.size > MOST_BYTES)
      return setRead({ ok: false, issues: [{ path: [], message: 'is over 1 MB, too large for a trace' }] })
    setRead(await runReadFile('trace', file, { catalogue }).catch(failed))
  }
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setRead(undefined)
      }}
      title="Import a trace"
      about="A trace file exported here. You confirm before anything changes."
      trigger={
        <Button tone="quiet">
          <Upload className="size-4" /> Import
        </Button>
      }
    >
      <div className="mt-3 grid gap-3">
        <FileField label="trace file" accept=".json,application/json" onChoose={choose} />
        {read && !read.ok && (
          <FileFaults faults={read.issues.map(({ path, message }) => ({ place: path.join('.') || 'the file', message }))} />
        )}
        {read?.ok && outfits[0] && <Confirm trace={read.trace} outfits={outfits} first={outfits[0]} />}
      </div>
    </Panel>
  )
}

function Confirm({ trace, outfits, first }: { trace: Trace; outfits: SavedOutfit[]; first: SavedOutfit }) {
  const navigate = useNavigate()
  const catalogue = useCatalogue()
  const fits = ({ content }: SavedOutfit) => fitIssues({ trace, outfit: content, catalogue }).length === 0
  const [chosen, setChosen] = useState(outfits.find(fits) ?? first)
  const { id: outfitId, content: outfit } = chosen
  const [misfit] = fitIssues({ trace, outfit, catalogue })
  const take = useCreate('traces', { onMade: ({ id }) => void navigate(`/traces/${id}`) })
  return (
    <>
      <p>
        <strong>{trace.name}</strong>, {trace.pieces.length} parts.
      </p>
      <MiniReach trace={trace} outfit={outfit} />
      <Field label="outfit" htmlFor="import-outfit" fault={misfit?.message}>
        <Select
          id="import-outfit"
          value={outfitId}
          onChoose={(next) => setChosen(outfits.find(({ id }) => id === next) ?? chosen)}
          choices={outfits.map(({ id, content }) => ({ value: id, text: content.name }))}
        />
      </Field>
      {take.error && (
        <p role="alert" className="text-fails">
          {take.error.message}
        </p>
      )}
      <Button
        tone="strong"
        className="justify-self-end"
        onClick={() => take.create({ trace, outfitId, conditions: defaultConditions() })}
        disabled={take.isPending || misfit !== undefined}
      >
        Import
      </Button>
    </>
  )
}

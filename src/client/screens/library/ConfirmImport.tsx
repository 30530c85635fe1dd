import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import stableJson from 'safe-stable-stringify'
import { defaultConditions } from '../../../core/documents/conditions.ts'
import { fitIssues } from '../../../core/joints/fitIssues.ts'
import type { TraceFile } from '../../../files/traceFile.ts'
import type { ContentOf } from '../../../shared/documentKinds.ts'
import { createDocument, fishQuery, marksQuery, type SavedDocument, type SavedOutfit } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { useCreation } from '../../documents/useCreation.ts'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'

const ADD = 'add'
const NONE = ''
type Kind = 'outfits' | 'marks' | 'fish'
/** What comes with the trace of one kind: the file’s own, if it has one, and which of the crew’s it is. */
type Brought<K extends Kind> = { kind: K; own: readonly SavedDocument<K>[]; content: ContentOf<K> | undefined }

/** The one of the crew that is the same in every field; else the file’s is added, or, without one, the first or none is taken. */
function usual<K extends Kind>({ kind, own, content }: Brought<K>): string {
  if (content === undefined) return kind === 'outfits' ? (own[0]?.id ?? NONE) : NONE
  const text = stableJson(content)
  return own.find((each) => stableJson(each.content) === text)?.id ?? ADD
}

/** What a trace file brings: matched to what the crew has, or added to it. */
export function ConfirmImport({ file, outfits }: { file: TraceFile; outfits: readonly SavedOutfit[] }) {
  const marks = useQuery(marksQuery)
  const fish = useQuery(fishQuery)
  if (marks.data && fish.data) return <Confirm file={file} outfits={outfits} marks={marks.data} fish={fish.data} />
  const failed = [marks, fish].find(({ error }) => error !== null)
  if (failed?.error) return <Failed what="Your marks or fish" error={failed.error} onRetry={() => void failed.refetch()} />
  return <Loading what="your marks and fish" />
}

type Props = {
  file: TraceFile
  outfits: readonly SavedOutfit[]
  marks: readonly SavedDocument<'marks'>[]
  fish: readonly SavedDocument<'fish'>[]
}

function Confirm({ file, outfits, marks, fish }: Props) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const catalogue = useCatalogue()
  const { trace, conditions = defaultConditions() } = file
  const brought = {
    outfits: { kind: 'outfits', own: outfits, content: file.outfit } satisfies Brought<'outfits'>,
    marks: { kind: 'marks', own: marks, content: file.mark } satisfies Brought<'marks'>,
    fish: { kind: 'fish', own: fish, content: file.fish } satisfies Brought<'fish'>,
  }
  const fits = ({ content }: SavedOutfit) => fitIssues({ trace, outfit: content, catalogue }).length === 0
  const [chosen, setChosen] = useState(() => ({
    outfits: file.outfit ? usual(brought.outfits) : (outfits.find(fits)?.id ?? usual(brought.outfits)),
    marks: usual(brought.marks),
    fish: usual(brought.fish),
  }))
  const choose = (kind: Kind) => (id: string) => setChosen((old) => ({ ...old, [kind]: id }))
  // Made once, so that a repeated request adds nothing twice.
  const [newIds] = useState(() => ({ outfits: newId(), marks: newId(), fish: newId() }))
  const outfit = chosen.outfits === ADD ? file.outfit : outfits.find(({ id }) => id === chosen.outfits)?.content
  const [misfit] = outfit ? fitIssues({ trace, outfit, catalogue }) : [{ message: 'Choose an outfit.' }]

  async function idOf<K extends Kind>({ kind, content }: Brought<K>): Promise<string | undefined> {
    if (chosen[kind] !== ADD || content === undefined) return chosen[kind] || undefined
    await createDocument<K>(kind, content, newIds[kind])
    return newIds[kind]
  }
  const take = useCreation({
    make: async (_: typeof chosen, id) => {
      const [outfitId, markId, fishId] = [await idOf(brought.outfits), await idOf(brought.marks), await idOf(brought.fish)]
      if (outfitId === undefined) throw new Error('Choose an outfit.')
      const more = { ...(markId === undefined ? {} : { markId }), ...(fishId === undefined ? {} : { fishId }) }
      return createDocument('traces', { trace, outfitId, conditions, ...more }, id)
    },
    onMade: ({ id }) => {
      for (const kind of ['outfits', 'marks', 'fish', 'traces']) void client.invalidateQueries({ queryKey: [kind] })
      void navigate(`/traces/${id}`)
    },
  })
  return (
    <>
      <p>
        <strong translate="no">{trace.name}</strong>, {trace.pieces.length} parts.
      </p>
      {outfit && <MiniReach trace={trace} outfit={outfit} />}
      <Choice
        label="outfit"
        brought={brought.outfits}
        value={chosen.outfits}
        onChoose={choose('outfits')}
        fault={misfit?.message}
      />
      <Choice label="mark" brought={brought.marks} value={chosen.marks} onChoose={choose('marks')} />
      <Choice label="fish" brought={brought.fish} value={chosen.fish} onChoose={choose('fish')} />
      {!file.conditions && <p className="text-quiet">The file has no conditions. The usual ones are taken.</p>}
      {take.error && <Fault>{take.error.message}</Fault>}
      <Button
        tone="strong"
        className="justify-self-end"
        onClick={() => take.create(chosen)}
        disabled={take.isPending || misfit !== undefined}
      >
        Import
      </Button>
    </>
  )
}

type Named = { name: string }
type ChoiceProps = {
  label: string
  brought: { kind: Kind; own: readonly { id: string; content: Named }[]; content: Named | undefined }
  value: string
  onChoose: (id: string) => void
  fault?: string | undefined
}

/** Whether the file’s own is added, or one of the crew’s is used instead; nothing where there is nothing to choose. */
function Choice({ label, brought: { kind, own, content }, value, onChoose, fault }: ChoiceProps) {
  if (kind !== 'outfits' && content === undefined) return null
  return (
    <Field label={label} htmlFor={`import-${kind}`} fault={fault}>
      <Select
        id={`import-${kind}`}
        value={value}
        onChoose={onChoose}
        choices={[
          ...(content ? [{ value: ADD, text: `add “${content.name}” from the file` }] : []),
          ...(kind === 'outfits' ? [] : [{ value: NONE, text: 'none' }]),
          ...own.map(({ id, content: { name } }) => ({ value: id, text: `yours: ${name}` })),
        ]}
      />
    </Field>
  )
}

import { useQuery } from '@tanstack/react-query'
import { Plus, Tags } from 'lucide-react'
import { lazy, Suspense, useMemo, useState } from 'react'
import { FAMILY_IDS, familyName } from '../../../core/catalogue/familyIds.ts'
import { ageDays, remindersOf, TIED_STATES, type TiedState } from '../../../core/documents/tied.ts'
import { marksQuery, outfitsQuery } from '../../api/documents.ts'
import { type SavedTied, useOldDays } from '../../api/tied.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { today } from '../../settings/today.ts'
import { Button, namesOf, Select } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { TIED_STATE_NAMES } from '../../words/tiedWords.ts'
import { TiedPanel } from './TiedPanel.tsx'
import { type TiedRow, TiedTable } from './TiedTable.tsx'

// Draws sheets of labels; loads when they are asked for.
const LabelPanel = lazy(() => import('./LabelPanel.tsx'))

type Filter = { state: TiedState | 'toFish' | ''; mark: string; family: string; outfit: string; age: '' | 'due' }
const ANY: Filter = { state: 'toFish', mark: '', family: '', outfit: '', age: '' }

/** Every trace that was tied: where it lies, how old it is, and what became of it. */
export default function TiedScreen() {
  usePageTitle('Tied traces')
  const [edited, setEdited] = useState<SavedTied | 'new'>()
  const [labelled, setLabelled] = useState<readonly SavedTied[]>()
  return (
    <>
      <DocumentList
        kind="tied"
        title="Tied traces"
        searchText={({ name, keptIn, tiedBy, notes, differs }) => [name, keptIn, tiedBy, notes, differs].join(' ')}
        actions={() => (
          <Button tone="strong" onClick={() => setEdited('new')}>
            <Plus className="size-4" aria-hidden="true" /> Add
          </Button>
        )}
        empty={{
          title: 'No tied traces yet',
          text: 'Start a batch on the build sheet of a trace. What you finish is listed here. Or add one that is tied already.',
        }}
      >
        {(documents, isTrash, actions) => (
          <Filtered documents={documents} isTrash={isTrash} onLabels={setLabelled}>
            {(rows) => <TiedTable rows={rows} isTrash={isTrash} actions={actions} onEdit={setEdited} />}
          </Filtered>
        )}
      </DocumentList>
      {edited && <TiedPanel saved={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
      {labelled && (
        <Suspense>
          <LabelPanel tied={labelled} onClose={() => setLabelled(undefined)} />
        </Suspense>
      )}
    </>
  )
}

type FilteredProps = {
  documents: readonly SavedTied[]
  isTrash: boolean
  onLabels: (tied: readonly SavedTied[]) => void
  children: (rows: readonly TiedRow[]) => React.ReactNode
}

/** Chooses by state, mark, family, outfit and age of what the search found. */
function Filtered({ documents, isTrash, onLabels, children }: FilteredProps) {
  const [filter, setFilter] = useState<Filter>(ANY)
  const heads = useTraceHeads().data
  const marks = useQuery(marksQuery).data ?? []
  const outfits = useQuery(outfitsQuery).data ?? []
  const oldDays = useOldDays()
  const rows = useMemo(() => {
    const byId = new Map(heads?.map(({ id, content }) => [id, content]))
    const now = today()
    return documents
      .map(
        (saved): TiedRow => ({
          saved,
          head: byId.get(saved.content.traceId),
          reminders: remindersOf(saved.content, now, oldDays),
        }),
      )
      .sort(
        (a, b) =>
          ageDays(b.saved.content.tiedOn, now) - ageDays(a.saved.content.tiedOn, now) ||
          a.saved.content.name.localeCompare(b.saved.content.name, undefined, { numeric: true }),
      )
  }, [documents, heads, oldDays])
  if (isTrash) return children(rows)
  const shown = rows.filter((row) => isShown(row, filter))
  const set = (change: Partial<Filter>) => setFilter((old) => ({ ...old, ...change }))
  const families = FAMILY_IDS.filter((id) => rows.some(({ head }) => head?.family === id))
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-2">
        <Choose
          label="State"
          value={filter.state}
          onChoose={(state) => set({ state })}
          choices={[
            { value: 'toFish', text: 'ready or on a rod' },
            { value: '', text: 'any state' },
            ...TIED_STATES.map((value) => ({ value, text: TIED_STATE_NAMES[value] })),
          ]}
        />
        <Choose
          label="Mark"
          value={filter.mark}
          onChoose={(mark) => set({ mark })}
          choices={[{ value: '', text: 'any mark' }, ...namesOf(marks)]}
        />
        <Choose
          label="Family"
          value={filter.family}
          onChoose={(family) => set({ family })}
          choices={[{ value: '', text: 'any family' }, ...families.map((value) => ({ value, text: familyName(value) }))]}
        />
        <Choose
          label="Outfit"
          value={filter.outfit}
          onChoose={(outfit) => set({ outfit })}
          choices={[{ value: '', text: 'any outfit' }, ...namesOf(outfits)]}
        />
        <Choose
          label="Age"
          value={filter.age}
          onChoose={(age) => set({ age })}
          choices={[
            { value: '', text: 'any age' },
            { value: 'due', text: 'to look at' },
          ]}
        />
        <span role="status" className="mr-auto text-sm text-quiet">
          {shown.length} of {rows.length}
        </span>
        <Button disabled={shown.length === 0} onClick={() => onLabels(shown.map(({ saved }) => saved))}>
          <Tags className="size-4" aria-hidden="true" /> Labels for {shown.length}
        </Button>
      </div>
      {children(shown)}
    </>
  )
}

type ChooseProps<T extends string> = {
  label: string
  value: T
  onChoose: (value: T) => void
  choices: { value: NoInfer<T>; text: string; isName?: boolean | undefined }[]
}

const Choose = <T extends string>({ label, value, onChoose, choices }: ChooseProps<T>) => (
  <div className="w-40">
    <Select<T> aria-label={label} value={value} onChoose={onChoose} choices={choices} />
  </div>
)

function isShown({ saved: { content }, head, reminders }: TiedRow, { state, mark, family, outfit, age }: Filter): boolean {
  const isState =
    state === '' || (state === 'toFish' ? content.state === 'ready' || content.state === 'onRod' : content.state === state)
  return (
    isState &&
    (mark === '' || head?.markId === mark) &&
    (family === '' || head?.family === family) &&
    (outfit === '' || head?.outfitId === outfit) &&
    (age === '' || reminders.length > 0)
  )
}

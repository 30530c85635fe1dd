import { useQuery } from '@tanstack/react-query'
import { Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { familyName } from '../../../core/catalogue/familyIds.ts'
import { resultsOf } from '../../../core/moments/judge.ts'
import { type Verdict, worseVerdict } from '../../../core/moments/moment.ts'
import { listQuery, outfitsQuery, type SavedOutfit, type SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue.ts'
import { type Judged, judged as judgedOf } from '../../moments/judged.ts'
import { Button, buttonClass, fieldClass, Select } from '../../ui/controls.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { UnreadableList } from '../../ui/UnreadableList.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { EmptyBin } from './EmptyBin.tsx'
import { ImportPanel } from './ImportPanel.tsx'
import { TraceCard } from './TraceCard.tsx'
import { useTraceActions } from './useTraceActions.ts'

/** Every trace with its small reach and verdicts; search, filter, duplicate, bin. */
export function LibraryScreen() {
  const [bin, setBin] = useState(false)
  usePageTitle(bin ? 'Bin' : 'Traces')
  const traces = useQuery(listQuery('traces', bin))
  const outfits = useQuery(outfitsQuery)
  const error = (traces.data ? null : traces.error) ?? (outfits.data ? null : outfits.error)
  const binned = traces.data ? traces.data.documents.length + traces.data.unreadable.length : 0
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{bin ? 'Bin' : 'Traces'}</h1>
        {bin && traces.data && binned > 0 && <EmptyBin count={binned} />}
        {!bin && outfits.data && <ImportPanel outfits={outfits.data} />}
        <Button tone="quiet" onClick={() => setBin(!bin)}>
          {bin ? 'Back to the traces' : 'Bin'}
        </Button>
        <Link to="/traces/new" className={buttonClass('strong')}>
          <Plus className="size-4" /> New trace
        </Link>
      </div>
      {error ? (
        <Failed
          what="The traces"
          error={error}
          onRetry={() => {
            traces.refetch()
            outfits.refetch()
          }}
        />
      ) : !traces.data || !outfits.data ? (
        <Loading what="the traces" />
      ) : (
        <>
          <UnreadableList unreadable={traces.data.unreadable} />
          <TraceList traces={traces.data.documents} outfits={outfits.data} bin={bin} />
        </>
      )}
    </div>
  )
}

/** The latest chosen are kept: a fourth puts the first back. */
const MOST_COMPARED = 3

const FILTERS: { value: string; text: string }[] = [
  { value: 'all', text: 'any verdict' },
  { value: 'fails', text: 'something fails' },
  { value: 'watch', text: 'something to watch' },
  { value: 'holds', text: 'all hold' },
]

function TraceList({ traces, outfits, bin }: { traces: SavedTrace[]; outfits: SavedOutfit[]; bin: boolean }) {
  const [search, setSearch] = useState('')
  const [filter, setFilter] = useState('all')
  const [tag, setTag] = useState('')
  const tags = [...new Set(traces.flatMap(({ content }) => content.trace.tags ?? []))].toSorted()
  const act = useTraceActions()
  const [picked, setPicked] = useState<readonly string[]>([])
  const pick = (id: string) =>
    setPicked((old) => (old.includes(id) ? old.filter((each) => each !== id) : [...old, id].slice(-MOST_COMPARED)))
  const catalogue = useCatalogue()
  const rows = useMemo(() => {
    const byId = new Map(outfits.map((outfit) => [outfit.id, outfit]))
    return traces.map((saved) => {
      const outfit = byId.get(saved.content.outfitId)?.content
      const { trace, conditions } = saved.content
      const judged: Judged = outfit
        ? judgedOf({ trace, outfit, conditions, catalogue })
        : { ok: false, message: 'Its outfit is in the bin.' }
      return { saved, outfit, judged }
    })
  }, [traces, outfits, catalogue])
  const shown = rows.filter(({ saved, outfit, judged }) => {
    const { trace } = saved.content
    const text =
      `${trace.name} ${familyName(trace.family)} ${outfit?.name ?? ''} ${trace.notes ?? ''} ${(trace.tags ?? []).join(' ')}`.toLowerCase()
    return (
      search
        .toLowerCase()
        .split(/\s+/)
        .every((word) => text.includes(word)) &&
      (filter === 'all' || worstVerdict(judged) === filter) &&
      (tag === '' || trace.tags?.includes(tag))
    )
  })

  if (traces.length === 0)
    return bin ? (
      <Empty title="The bin is empty">A trace that is put here can be taken back.</Empty>
    ) : (
      <Empty title="No traces yet">
        <Link to="/traces/new" className="underline">
          Make the first one
        </Link>
        : choose an outfit and a family, and a sound draft is ready to change.
      </Empty>
    )
  return (
    <>
      <search className="mb-3 flex flex-wrap gap-2">
        <input
          type="search"
          className={`${fieldClass} max-w-80`}
          placeholder="Search name, family, tags, notes"
          aria-label="Search traces"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <span className="w-48">
          <Select
            aria-label="Filter by verdict"
            value={filter}
            onChange={(event) => setFilter(event.target.value)}
            choices={FILTERS}
          />
        </span>
        {tags.length > 0 && (
          <span className="w-40">
            <Select
              aria-label="Filter by tag"
              value={tag}
              onChange={(event) => setTag(event.target.value)}
              choices={[{ value: '', text: 'any tag' }, ...tags.map((value) => ({ value, text: value }))]}
            />
          </span>
        )}
      </search>
      {picked.length > 0 && (
        <p className="sticky top-2 z-10 mb-3 flex flex-wrap items-center gap-3 rounded-lg border border-tide bg-sheet px-3 py-2">
          {picked.length === 1 ? 'One trace chosen; one or two more to compare.' : `${picked.length} traces chosen.`}
          {picked.length > 1 && (
            <Link to={`/compare?with=${picked.join(',')}`} className={buttonClass('strong')}>
              Compare
            </Link>
          )}
          <Button tone="quiet" onClick={() => setPicked([])}>
            None
          </Button>
        </p>
      )}
      {shown.length === 0 && <Empty title="No trace fits that">Clear the search, or choose any verdict and any tag.</Empty>}
      <ul className="grid gap-2 xl:grid-cols-2">
        {shown.map(({ saved, outfit, judged }) => (
          <TraceCard
            key={saved.id}
            saved={saved}
            outfit={outfit}
            judged={judged}
            bin={bin}
            actions={act}
            picked={picked.includes(saved.id)}
            onPick={() => pick(saved.id)}
          />
        ))}
      </ul>
    </>
  )
}

function worstVerdict(judged: Judged): Verdict {
  if (!judged.ok) return 'fails'
  return resultsOf(judged.value).reduce<Verdict>((worst, { verdict }) => worseVerdict(worst, verdict), 'holds')
}

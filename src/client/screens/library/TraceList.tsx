import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { SavedMark, SavedOutfit, SavedTraceHead } from '../../api/documents.ts'
import { useReadiness } from '../../api/tied.ts'
import { Button, buttonClass, fieldClass, Select } from '../../ui/controls.tsx'
import { Empty } from '../../ui/states.tsx'
import { CardGrid } from './CardGrid.tsx'
import { TraceCard } from './TraceCard.tsx'
import { fitting, SORTS, type Sort, searchable, sorted } from './traceSearch.ts'
import { useTraceActions } from './useTraceActions.ts'
import { useVerdicts } from './useVerdicts.ts'

/** The latest chosen are kept: a fourth puts the first back. */
const MAX_COMPARED = 3

const ANY = 'all'
const FILTERS: { value: string; text: string }[] = [
  { value: ANY, text: 'any verdict' },
  { value: 'fails', text: 'only fails' },
  { value: 'watch', text: 'only watch' },
  { value: 'holds', text: 'only holds' },
]

type Props = {
  heads: readonly SavedTraceHead[]
  complete: boolean
  outfits: readonly SavedOutfit[]
  marks: readonly SavedMark[]
  /** Ids of the demonstration documents. */
  examples: readonly string[]
  isTrash: boolean
}

/** The traces that fit the search and the filters; `complete` says whether all are here yet. */
export function TraceList({ heads, complete, outfits, marks, examples, isTrash }: Props) {
  const [search, setSearch] = useState('')
  const [filter, setFilter] = useState(ANY)
  const [tag, setTag] = useState('')
  const [sort, setSort] = useState<Sort>('saved')
  const tags = useMemo(() => [...new Set(heads.flatMap(({ content }) => content.tags))].toSorted(), [heads])
  const act = useTraceActions()
  const readiness = useReadiness()
  const [picked, setPicked] = useState<readonly string[]>([])
  const pick = (id: string) =>
    setPicked((old) => (old.includes(id) ? old.filter((each) => each !== id) : [...old, id].slice(-MAX_COMPARED)))
  const outfitOf = useMemo(() => new Map(outfits.map(({ id, content }) => [id, content])), [outfits])
  const markOf = useMemo(() => new Map(marks.map(({ id, content }) => [id, content.name])), [marks])
  const texts = useMemo(() => searchable(heads, { outfitOf, markOf }), [heads, outfitOf, markOf])
  const found = useMemo(() => fitting(texts, search, tag), [texts, search, tag])
  const verdicts = useVerdicts(found, outfits, filter !== ANY || sort === 'verdict')
  const fits = filter === ANY ? found : found.filter((head) => verdicts.of(head) === filter)
  const shown = sorted(fits, sort, { markOf, verdictOf: verdicts.of })
  const waiting = verdicts.waiting > 0 || !complete
  return (
    <>
      <search className="flex flex-wrap items-center gap-2">
        <input
          type="search"
          className={`${fieldClass} max-w-80`}
          placeholder="Search name, family, mark, tags"
          aria-label="Search traces"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <span className="w-48">
          <Select aria-label="Filter by verdict" value={filter} onChoose={(next) => setFilter(next)} choices={FILTERS} />
        </span>
        <span className="w-44">
          <Select aria-label="Sort" value={sort} onChoose={(next) => setSort(next)} choices={SORTS} />
        </span>
        {tags.length > 0 && (
          <span className="w-40">
            <Select
              aria-label="Filter by tag"
              value={tag}
              onChoose={(next) => setTag(next)}
              choices={[{ value: '', text: 'any tag' }, ...tags.map((value) => ({ value, text: value }))]}
            />
          </span>
        )}
        <span role="status" className="text-sm text-quiet">
          {verdicts.waiting > 0
            ? `${shown.length} so far; ${verdicts.waiting} still to judge …`
            : complete
              ? counted(shown.length, heads.length)
              : `${shown.length} so far; loading more …`}
        </span>
      </search>
      {verdicts.error && (
        <p role="alert" className="mb-3 flex flex-wrap items-center gap-3 text-fails">
          Some traces could not be judged. {verdicts.error.message}
          <Button onClick={verdicts.retry}>Try again</Button>
        </p>
      )}
      {picked.length > 0 && (
        <p className="sticky top-2 z-10 mb-3 flex flex-wrap items-center gap-3 rounded-lg border border-tide bg-sheet px-3 py-2">
          {picked.length === 1 ? '1 trace selected. Select one or two more to compare.' : `${picked.length} traces selected.`}
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
      {shown.length === 0 && !waiting && !verdicts.error && (
        <Empty title="No trace found">Clear the search and the filters.</Empty>
      )}
      <CardGrid
        count={shown.length}
        keyOf={(i) => shown[i]!.id}
        card={(i, still) => {
          const head = shown[i]!
          return (
            <TraceCard
              head={head}
              outfit={outfitOf.get(head.content.outfitId ?? '')}
              mark={markOf.get(head.content.markId ?? '')}
              readiness={readiness.get(head.id)}
              isExample={examples.includes(head.id)}
              isTrash={isTrash}
              still={still}
              actions={act}
              picked={picked.includes(head.id)}
              onPick={() => pick(head.id)}
            />
          )
        }}
      />
    </>
  )
}

function counted(shown: number, all: number): string {
  if (shown < all) return `${shown} of ${all}`
  return all === 1 ? '1 trace' : `${all} traces`
}

import { useQuery } from '@tanstack/react-query'
import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { Pencil } from 'lucide-react'
import { useMemo, useRef, useState } from 'react'
import { amountOf, type BoxItem } from '../../../core/batch/candidates.ts'
import { costOf, GEAR_KINDS, type Gear, type GearKind, isLow } from '../../../core/documents/gear.ts'
import { readContent } from '../../../shared/documentKinds.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { levelsQuery } from '../../api/stock.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { useSave } from '../../documents/useSave.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, fieldClass, Select } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'
import { GEAR_KIND_NAMES, gearWords } from '../../words/gearWords.ts'
import { moneyWords } from '../../words/stockWords.ts'
import { CellText } from './CellText.tsx'
import { type FigureOf, figureOf, useFigureText } from './figureOf.ts'
import { OnHand } from './OnHand.tsx'

type Item = SavedDocument<'gear'>
type Row = {
  saved: Item
  box: BoxItem
  kind: GearKind
  name: string
  what: string
  figure: FigureOf | undefined
  si: number
  /** −1 where nobody counted: those come first. */
  onHand: number
}
const STOCK_FILTERS = { '': 'any stock', low: 'low', uncounted: 'not counted' } as const
type StockFilter = keyof typeof STOCK_FILTERS

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns: { includesString: filterFn_includesString },
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
})
const column = createColumnHelper<typeof features, Row>()
const COLUMNS = column.columns([
  column.accessor('kind', { header: 'kind', sortFn: 'alphanumeric' }),
  column.accessor('name', { header: 'name', sortFn: 'alphanumeric' }),
  column.accessor('what', { header: 'details', sortFn: 'alphanumeric' }),
  column.accessor('si', { header: 'size, weight or strength', sortFn: 'basic', enableGlobalFilter: false }),
  column.accessor('onHand', { header: 'on hand', sortFn: 'basic', enableGlobalFilter: false }),
])

const ROW_PX = 42
/** The width of each column; a phone has no room for some. */
const COLUMN_CLASSES: Readonly<Record<string, string>> = {
  kind: 'w-24 max-sm:hidden',
  name: 'sm:w-[28%]',
  what: 'max-sm:hidden',
  si: 'w-48 max-sm:hidden',
  onHand: 'w-40 max-sm:w-44',
}
/** Height of the table’s window, px: as many rows as are to be read at once. */
const WINDOW_PX = 560

type Props = { items: readonly Item[]; isTrash: boolean; actions: DocumentActions<'gear'>; onOpen: (item: Item) => void }

/** The box as a table that sorts, filters and takes an edit in place; only the rows in sight are drawn. */
export function BoxTable({ items, isTrash, actions, onOpen }: Props) {
  const catalogue = useCatalogue()
  const show = useShow()
  const [typed, setTyped] = useState('')
  const [kind, setKind] = useState<GearKind | ''>('')
  const [stock, setStock] = useState<StockFilter>('')
  const levels = useQuery(levelsQuery)
  const all = useMemo(
    () =>
      items.map((saved): Row => {
        const figure = figureOf(saved.content)
        const { name, kind: own } = saved.content
        const box = { id: saved.id, gear: saved.content, spools: levels.data?.get(saved.id) }
        const what = gearWords(catalogue, saved.content, show)
        return { saved, box, kind: own, name, what, figure, si: figure?.order ?? 0, onHand: box.spools ? amountOf(box) : -1 }
      }),
    [items, levels.data, catalogue, show],
  )
  const data = useMemo(() => all.filter((row) => (kind === '' || row.kind === kind) && isShown(row, stock)), [all, kind, stock])
  const worth = all.reduce((sum, { saved, onHand }) => sum + (costOf(saved.content, Math.max(0, onHand)) ?? 0), 0)
  const low = all.filter((row) => isShown(row, 'low')).length
  const table = useTable({
    features,
    columns: COLUMNS,
    data,
    getRowId: ({ saved }) => saved.id,
    globalFilterFn: 'includesString',
    state: { globalFilter: typed },
    initialState: { sorting: [{ id: 'kind', desc: false }] },
  })
  const { rows } = table.getRowModel()
  const scroller = useRef<HTMLDivElement>(null)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    getItemKey: (i) => rows[i]?.id ?? i,
    overscan: 6,
  })
  const drawn = virtual.getVirtualItems()
  return (
    <section aria-label="The box" className="rounded-lg border border-rule bg-sheet p-3">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <input
          className={`${fieldClass} max-w-72`}
          placeholder="search"
          aria-label="Search the box"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <div className="w-40">
          <Select
            aria-label="Kind"
            value={kind}
            onChoose={(next) => setKind(next)}
            choices={[{ value: '', text: 'all kinds' }, ...GEAR_KINDS.map((value) => ({ value, text: GEAR_KIND_NAMES[value] }))]}
          />
        </div>
        {!isTrash && (
          <div className="w-36">
            <Select
              aria-label="Stock"
              value={stock}
              onChoose={setStock}
              choices={(Object.keys(STOCK_FILTERS) as StockFilter[]).map((value) => ({ value, text: STOCK_FILTERS[value] }))}
            />
          </div>
        )}
        <p role="status" className="text-sm text-quiet">
          {rows.length === items.length ? `${items.length} in the box` : `${rows.length} of ${items.length}`}
          {!isTrash && worth > 0 && ` · worth ${moneyWords(worth, show)}`}
          {!isTrash && low > 0 && ` · ${low} low`}
        </p>
        {levels.error && !levels.data && <Fault>The stock could not be loaded. {levels.error.message}</Fault>}
      </div>
      <div ref={scroller} className="overflow-auto" style={{ maxHeight: WINDOW_PX }}>
        <table className="w-full table-fixed sm:min-w-4xl" aria-label="What is in the box" aria-rowcount={rows.length + 1}>
          <thead className="sticky top-0 z-10 bg-sheet">
            <tr>
              {table.getHeaderGroups()[0]?.headers.map((header) => {
                const sorted = header.column.getIsSorted()
                return (
                  <th
                    key={header.id}
                    scope="col"
                    className={`text-left font-normal ${COLUMN_CLASSES[header.id] ?? ''}`}
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  >
                    <button type="button" className="min-h-9 text-quiet" onClick={header.column.getToggleSortingHandler()}>
                      <table.FlexRender header={header} />
                      {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                    </button>
                  </th>
                )
              })}
              <th scope="col" className="w-32 max-sm:w-12">
                <span className="sr-only">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <Room px={drawn[0]?.start ?? 0} />
            {drawn.map(({ index, key }) => {
              const row = rows[index]
              return (
                row && <BoxRow key={key} row={row.original} index={index} isTrash={isTrash} actions={actions} onOpen={onOpen} />
              )
            })}
            <Room px={virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)} />
          </tbody>
        </table>
      </div>
    </section>
  )
}

const isShown = ({ saved, onHand }: Row, stock: StockFilter): boolean =>
  stock === '' || (stock === 'uncounted' ? onHand < 0 : onHand >= 0 && isLow(saved.content, onHand))

/** The room of rows that are out of sight. */
const Room = ({ px }: { px: number }) =>
  px > 0 ? (
    <tr>
      <td style={{ height: px }} />
    </tr>
  ) : null

type RowProps = { row: Row; index: number; isTrash: boolean; actions: DocumentActions<'gear'>; onOpen: (item: Item) => void }

function BoxRow({ row: { saved, box, kind, what, figure }, index, isTrash, actions, onOpen }: RowProps) {
  const { id, content } = saved
  const save = useRowSave(saved)
  const figureText = useFigureText(figure)
  return (
    <tr aria-rowindex={index + 2} className="border-t border-rule" style={{ height: ROW_PX }}>
      <td className="text-quiet max-sm:hidden">{GEAR_KIND_NAMES[kind]}</td>
      <td className="pr-3">
        {isTrash ? (
          content.name
        ) : (
          <CellText
            label={`name of ${content.name}`}
            shown={content.name}
            read={(text) => (text.trim() === '' ? { ok: false, message: 'Enter a name.' } : { ok: true, value: text.trim() })}
            onCommit={(name) => save((now) => ({ ...now, name }))}
          />
        )}
      </td>
      <td className="truncate pr-3 max-sm:hidden">{what}</td>
      <td className="pr-3 max-sm:hidden">
        {figure === undefined || isTrash ? (
          figureText.shown
        ) : (
          <CellText
            label={`${figure.name} of ${content.name}`}
            shown={figureText.shown}
            read={figureText.read}
            onCommit={(next) => save((now) => figureOf(now)?.set(next) ?? now)}
          />
        )}
      </td>
      <td className="pr-3">{!isTrash && <OnHand item={box} onOpen={() => onOpen(saved)} />}</td>
      <td className="whitespace-nowrap">
        {!isTrash && (
          <Button tone="quiet" aria-label={`Edit ${content.name}`} title="Edit" onClick={() => onOpen(saved)}>
            <Pencil className="size-4" aria-hidden="true" />
          </Button>
        )}
        <span className={isTrash ? '' : 'max-sm:hidden'}>
          <DocumentButtons id={id} name={content.name} saved={saved} isTrash={isTrash} actions={actions} />
        </span>
      </td>
    </tr>
  )
}

/**
 * Saves the change of one cell of a row. Resolves to the reason if it was not saved. After a conflict, a second try saves the cell
 * onto the newer version and keeps its other values.
 */
function useRowSave(saved: Item) {
  const newest = useRef(saved)
  if (saved.revision > newest.current.revision) newest.current = saved
  const { saveNow } = useSave({ kind: 'gear', saved })
  return async (change: (now: Gear) => Gear): Promise<string | undefined> => {
    const read = readContent('gear', change(newest.current.content))
    if (!read.ok) return read.message
    try {
      const result = await saveNow({ content: read.content, onto: newest.current.revision })
      newest.current = 'stale' in result ? result.stale : result.saved
      if (!('stale' in result)) return undefined
      return 'It was changed elsewhere. Press Enter to save yours over it.'
    } catch (error) {
      return error instanceof Error ? error.message : String(error)
    }
  }
}

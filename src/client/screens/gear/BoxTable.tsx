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
import { useMemo, useRef, useState } from 'react'
import { GEAR_KINDS, type Gear, type GearKind } from '../../../core/documents/gear.ts'
import { readContent } from '../../../shared/documentKinds.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { useSave } from '../../documents/useSave.ts'
import { useShow } from '../../settings/preferences.tsx'
import { fieldClass, Select } from '../../ui/controls.tsx'
import { GEAR_KIND_NAMES, gearWords } from '../../words/gearWords.ts'
import { CellText } from './CellText.tsx'
import { type FigureOf, figureOf, useFigureText } from './figureOf.ts'

type Item = SavedDocument<'gear'>
type Row = { saved: Item; kind: GearKind; name: string; what: string; figure: FigureOf | undefined; si: number }

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
])

const ROW_PX = 42
/** Height of the table’s window, px: as many rows as are to be read at once. */
const WINDOW_PX = 560

type Props = { items: readonly Item[]; isTrash: boolean; actions: DocumentActions<'gear'> }

/** The box as a table that sorts, filters and takes an edit in place; only the rows in sight are drawn. */
export function BoxTable({ items, isTrash, actions }: Props) {
  const catalogue = useCatalogue()
  const show = useShow()
  const [typed, setTyped] = useState('')
  const [kind, setKind] = useState<GearKind | ''>('')
  const data = useMemo(
    () =>
      items
        .filter(({ content }) => kind === '' || content.kind === kind)
        .map((saved): Row => {
          const figure = figureOf(saved.content)
          const { name, kind: own } = saved.content
          return { saved, kind: own, name, what: gearWords(catalogue, saved.content, show), figure, si: figure?.order ?? 0 }
        }),
    [items, kind, catalogue, show],
  )
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
        <p role="status" className="text-sm text-quiet">
          {rows.length === items.length ? `${items.length} in the box` : `${rows.length} of ${items.length}`}
        </p>
      </div>
      <div ref={scroller} className="overflow-auto" style={{ maxHeight: WINDOW_PX }}>
        <table className="w-full min-w-2xl table-fixed" aria-label="What is in the box" aria-rowcount={rows.length + 1}>
          <colgroup>
            <col className="w-24" />
            <col className="w-[34%]" />
            <col />
            <col className="w-48" />
            <col className="w-24" />
          </colgroup>
          <thead className="sticky top-0 z-10 bg-sheet">
            <tr>
              {table.getHeaderGroups()[0]?.headers.map((header) => {
                const sorted = header.column.getIsSorted()
                return (
                  <th
                    key={header.id}
                    scope="col"
                    className="text-left font-normal"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  >
                    <button type="button" className="min-h-9 text-quiet" onClick={header.column.getToggleSortingHandler()}>
                      <table.FlexRender header={header} />
                      {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                    </button>
                  </th>
                )
              })}
              <th scope="col">
                <span className="sr-only">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <Room px={drawn[0]?.start ?? 0} />
            {drawn.map(({ index, key }) => {
              const row = rows[index]
              return row && <BoxRow key={key} row={row.original} index={index} isTrash={isTrash} actions={actions} />
            })}
            <Room px={virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)} />
          </tbody>
        </table>
      </div>
    </section>
  )
}

/** The room of rows that are out of sight. */
const Room = ({ px }: { px: number }) =>
  px > 0 ? (
    <tr>
      <td colSpan={5} style={{ height: px }} />
    </tr>
  ) : null

type RowProps = { row: Row; index: number; isTrash: boolean; actions: DocumentActions<'gear'> }

function BoxRow({ row: { saved, kind, what, figure }, index, isTrash, actions }: RowProps) {
  const { id, content } = saved
  const save = useRowSave(saved)
  const figureText = useFigureText(figure)
  return (
    <tr aria-rowindex={index + 2} className="border-t border-rule" style={{ height: ROW_PX }}>
      <td className="text-quiet">{GEAR_KIND_NAMES[kind]}</td>
      <td className="pr-3">
        {isTrash ? (
          content.name
        ) : (
          <CellText
            label={`name of ${content.name}`}
            shown={content.name}
            read={(text) => (text.trim() === '' ? { ok: false, message: 'Enter a name.' } : { ok: true, value: text.trim() })}
            onCommit={(name) => save({ ...content, name })}
          />
        )}
      </td>
      <td className="truncate pr-3">{what}</td>
      <td className="pr-3">
        {figure === undefined || isTrash ? (
          figureText.shown
        ) : (
          <CellText
            label={`${figure.name} of ${content.name}`}
            shown={figureText.shown}
            read={figureText.read}
            onCommit={(next) => save(figure.set(next))}
          />
        )}
      </td>
      <td className="whitespace-nowrap">
        <DocumentButtons id={id} name={content.name} saved={saved} isTrash={isTrash} actions={actions} />
      </td>
    </tr>
  )
}

/** Saves an edited row. Resolves to the reason if it was not saved; a second try saves over a version from elsewhere. */
function useRowSave(saved: Item) {
  const onto = useRef(saved.revision)
  onto.current = Math.max(onto.current, saved.revision)
  const { saveNow } = useSave({ kind: 'gear', saved })
  return async (next: Gear): Promise<string | undefined> => {
    const read = readContent('gear', next)
    if (!read.ok) return read.message
    try {
      const result = await saveNow({ content: read.content, onto: onto.current })
      if (!('stale' in result)) return undefined
      onto.current = result.stale.revision
      return 'It was changed elsewhere. Press Enter to save yours over it.'
    } catch (error) {
      return error instanceof Error ? error.message : String(error)
    }
  }
}

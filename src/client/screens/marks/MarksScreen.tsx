import { useQuery } from '@tanstack/react-query'
import { Download, Plus } from 'lucide-react'
import { Link } from 'react-router'
import { hasTide, type Mark } from '../../../core/documents/mark.ts'
import { strongestOf } from '../../../core/plan/assumedStream.ts'
import { formatPosition } from '../../../core/units/parsePosition.ts'
import type { SavedMark } from '../../api/documents.ts'
import { portsQuery } from '../../api/tides.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { newTraceAddress } from '../../words/addresses.ts'
import { ImportMarks } from './ImportMarks.tsx'

/** Every mark: new ones by hand or from a file, and all of them as a file. */
export default function MarksScreen() {
  usePageTitle('Marks')
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <DocumentList
        kind="marks"
        title="Marks"
        searchText={({ name, notes }) => `${name} ${notes ?? ''}`}
        actions={(marks) => (
          <>
            <ImportMarks />
            <Button
              tone="quiet"
              disabled={marks.length === 0}
              onClick={() => void exportAll(marks.map(({ content }) => content))}
            >
              <Download className="size-4" aria-hidden="true" /> Export as GPX
            </Button>
            <Link to="/water/marks/new" className={buttonClass('strong')}>
              <Plus className="size-4" aria-hidden="true" /> New mark
            </Link>
          </>
        )}
        empty={{ title: 'No marks yet', text: 'A mark is a place you fish. Add one, or import them from a GPX file.' }}
      >
        {(marks, isTrash, actions) => (
          <Sheet>
            <ul className="grid">
              {marks.map((saved) => (
                <MarkRow key={saved.id} saved={saved} isTrash={isTrash} actions={actions} />
              ))}
            </ul>
          </Sheet>
        )}
      </DocumentList>
    </div>
  )
}

/** A file of places has room for marks with a position only. */
async function exportAll(marks: readonly Mark[]) {
  const { isPlaced, writeGpx } = await import('../../../files/gpx.ts')
  const placed = marks.filter(isPlaced)
  const left = marks.length - placed.length
  if (left > 0) toast(`${left === 1 ? '1 mark' : `${left} marks`} without a position cannot be in a GPX file.`)
  if (placed.length > 0) download('marks.gpx', 'application/gpx+xml', writeGpx(placed))
}

type RowProps = { saved: SavedMark; isTrash: boolean; actions: DocumentActions<'marks'> }

function MarkRow({ saved, isTrash, actions }: RowProps) {
  const show = useShow()
  const catalogue = useCatalogue()
  const ports = useQuery(portsQuery)
  const { id, content } = saved
  const tideWords = (mark: Mark) => {
    const { portId } = mark
    if (portId !== undefined) return ports.data?.find(({ id: port }) => port === portId)?.name ?? portId
    return hasTide(mark) ? 'own tide table' : 'tide unknown'
  }
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2 first:border-0">
      <div className="min-w-0 grow basis-60">
        {isTrash ? (
          <strong translate="no">{content.name}</strong>
        ) : (
          <Link to={`/water/marks/${id}`} translate="no" className="font-semibold underline decoration-dotted underline-offset-2">
            {content.name}
          </Link>
        )}
        <p className="text-sm text-quiet">
          {content.latitudeDeg === undefined || content.longitudeDeg === undefined
            ? 'no position'
            : `${formatPosition('latitude', content.latitudeDeg)}, ${formatPosition('longitude', content.longitudeDeg)}`}
        </p>
      </div>
      <p className="grow basis-60 text-sm">
        {show.entered('depth', content.depthM)} deep, {catalogue.beds[content.bed].name}, {catalogue.methods[content.method].name}
        <span className="block text-quiet">
          {tideWords(content)}; {content.streamFrom === 'table' ? 'springs up to' : 'assumed current up to'}{' '}
          {show.computed('speed', strongestOf(content.stream))}
        </span>
      </p>
      {!isTrash && (
        <>
          <Link to={`/water?mark=${id}`} className={buttonClass()}>
            Tide plan
          </Link>
          <Link to={newTraceAddress({ mark: id })} className={buttonClass('quiet')}>
            Make a trace for it
          </Link>
        </>
      )}
      <DocumentButtons id={id} name={content.name} saved={saved} isTrash={isTrash} actions={actions} />
    </li>
  )
}

import { useQuery } from '@tanstack/react-query'
import { Copy, Download, Plus, Trash2 } from 'lucide-react'
import { Link } from 'react-router'
import { copyName } from '../../../core/documents/text.ts'
import { formatPosition } from '../../../core/units/parsePosition.ts'
import type { SavedMark } from '../../api/documents.ts'
import { listQuery, marksQuery } from '../../api/documents.ts'
import { useDocumentActions } from '../../api/useDocumentActions.ts'
import { portsQuery } from '../../api/water.ts'
import { useCatalogue } from '../../catalogue.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { UnreadableList } from '../../ui/UnreadableList.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { ImportMarks } from './ImportMarks.tsx'

/** Every mark; new ones by hand or from a file, all of them out again. */
export default function MarksScreen() {
  usePageTitle('Marks')
  const marks = useQuery(marksQuery)
  const unreadable = useQuery(listQuery('marks')).data?.unreadable ?? []
  const saveAll = async () => {
    const { writeGpx } = await import('../../../files/gpx.ts')
    download('marks.gpx', 'application/gpx+xml', writeGpx((marks.data ?? []).map(({ content }) => content)))
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">Marks</h1>
        <ImportMarks />
        <Button tone="quiet" disabled={!marks.data?.length} onClick={saveAll}>
          <Download className="size-4" aria-hidden="true" /> Export as GPX
        </Button>
        <Link to="/water/marks/new" className={buttonClass('strong')}>
          <Plus className="size-4" aria-hidden="true" /> New mark
        </Link>
      </div>
      <UnreadableList unreadable={unreadable} />
      {marks.error && !marks.data ? (
        <Failed what="The marks" error={marks.error} onRetry={() => marks.refetch()} />
      ) : !marks.data ? (
        <Loading what="the marks" />
      ) : marks.data.length === 0 ? (
        <Empty title="No marks yet">A mark is a place you fish. Make one, or take them in from a GPX file.</Empty>
      ) : (
        <MarkList marks={marks.data} />
      )}
    </div>
  )
}

function MarkList({ marks }: { marks: readonly SavedMark[] }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const ports = useQuery(portsQuery)
  const { bin, duplicate } = useDocumentActions({
    kind: 'marks',
    nameOf: ({ name }) => name,
    copyOf: (mark) => ({ ...mark, name: copyName(mark.name) }),
  })
  return (
    <Sheet>
      <ul className="grid">
        {marks.map((saved) => {
          const { id, content } = saved
          return (
            <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2 first:border-0">
              <div className="min-w-0 grow basis-60">
                <Link to={`/water/marks/${id}`} className="font-semibold underline decoration-dotted underline-offset-2">
                  {content.name}
                </Link>
                <p className="text-sm text-quiet">
                  {formatPosition('latitude', content.latitudeDeg)}, {formatPosition('longitude', content.longitudeDeg)}
                </p>
              </div>
              <p className="grow basis-60 text-sm">
                {show.entered('length', content.depthM)} at datum, {catalogue.beds[content.bed].name},{' '}
                {catalogue.methods[content.method].name}
                <span className="block text-quiet">
                  {ports.data?.find(({ id: port }) => port === content.portId)?.name ?? content.portId}; springs run up to{' '}
                  {show.computed('speed', Math.max(...content.stream.map(({ springMperS }) => springMperS)))}
                </span>
              </p>
              <Link to={`/water?mark=${id}`} className={buttonClass()}>
                Its water
              </Link>
              <Button
                tone="quiet"
                aria-label={`Duplicate ${content.name}`}
                title={`Duplicate ${content.name}`}
                onClick={() => duplicate(saved)}
              >
                <Copy className="size-4" aria-hidden="true" />
              </Button>
              <Button tone="quiet" aria-label={`Bin ${content.name}`} title={`Bin ${content.name}`} onClick={() => bin(id)}>
                <Trash2 className="size-4" aria-hidden="true" />
              </Button>
            </li>
          )
        })}
      </ul>
    </Sheet>
  )
}

import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { Trip } from '../../../core/documents/trip.ts'
import { TRIP_VERSION } from '../../../core/documents/versions.ts'
import { documentQuery, marksQuery, outfitsQuery, type SavedMark, type SavedOutfit } from '../../api/documents.ts'
import type { SavedTrip } from '../../api/trips.ts'
import { DocumentFormFrame } from '../../documents/DocumentFormFrame.tsx'
import { OfflineCopyNote } from '../../documents/OfflineCopyNote.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { offlineNeedsOf, useOfflineCopy } from '../../documents/useOfflineCopy.ts'
import { LearnedAtMarks } from '../../lessons/LearnedAtMarks.tsx'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { today } from '../../settings/today.ts'
import { buttonClass } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { Packing } from './Packing.tsx'
import { Proposals } from './Proposals.tsx'
import { TripFields } from './TripFields.tsx'
import { TripGear } from './TripGear.tsx'
import { TripRods } from './TripRods.tsx'
import { TripShare } from './TripShare.tsx'
import { TripSheet } from './TripSheet.tsx'
import { useTripSheet } from './useTripSheet.ts'

const FIELD_NAMES = {
  name: 'The name',
  date: 'The day',
  from: 'The time to begin',
  to: 'The time to end',
  people: 'A name of the people',
  rods: 'The list of rods',
  packing: 'The packing list',
  baitMinutes: 'The minutes a bait stays on',
}

/** The plan of a trip, new or saved. */
export default function TripScreen() {
  const { id = '' } = useParams()
  const isNew = id === 'new'
  const trip = useQuery({ ...documentQuery('trips', id), enabled: !isNew })
  const marks = useQuery(marksQuery)
  const outfits = useQuery(outfitsQuery)
  usePageTitle(isNew ? 'New trip' : 'Trip', trip.data?.content.name)
  const error =
    (isNew || trip.data ? null : trip.error) ?? (marks.data ? null : marks.error) ?? (outfits.data ? null : outfits.error)
  if (error)
    return (
      <Failed
        isPage
        what="The trip"
        error={error}
        onRetry={() => {
          if (!isNew) void trip.refetch()
          void marks.refetch()
          void outfits.refetch()
        }}
      />
    )
  if ((!isNew && !trip.data) || !marks.data || !outfits.data) return <Loading what="the trip" />
  return <TripForm key={id} saved={trip.data} marks={marks.data} outfits={outfits.data} />
}

type Props = { saved: SavedTrip | undefined; marks: readonly SavedMark[]; outfits: readonly SavedOutfit[] }

function TripForm({ saved, marks, outfits }: Props) {
  const needs = useMemo(() => saved && offlineNeedsOf(saved, marks), [saved, marks])
  const taken = useOfflineCopy(needs)
  const navigate = useNavigate()
  const show = useShow()
  const [firstMark] = marks
  const form = useDocumentForm({
    kind: 'trips',
    saved,
    blank: blankTrip(firstMark?.id),
    fieldNames: FIELD_NAMES,
    complete: (trip) => ({ ...trip, name: trip.name.trim() || usualName(trip, marks, show) }),
    onSaved: (now) => void navigate(`/trips/${now.id}`, { replace: true }),
  })
  const { content, change } = form
  const { sheet, entries, ...proposed } = useTripSheet(content, marks, outfits)
  const name = content.name.trim() || usualName(content, marks, show)
  return (
    <DocumentFormFrame
      of={form}
      title={saved ? saved.content.name : 'New trip'}
      back={{ to: '/trips', text: 'All trips' }}
      actions={
        <>
          <TripShare name={name} sheet={sheet} entries={entries} />
          {saved && (
            <Link to={`/trips/${saved.id}/fish`} className={buttonClass('strong')}>
              Fish
            </Link>
          )}
        </>
      }
    >
      <TripSheet name={name} sheet={sheet} />
      <div className="no-print grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="grid gap-3">
          <TripFields trip={content} marks={marks} usualName={usualName(content, marks, show)} onChange={change} />
          <TripRods trip={content} outfits={outfits} onChange={(rods) => change({ rods })} />
        </div>
        <div className="grid gap-3">
          <Proposals trip={content} marks={marks} outfits={outfits} onChange={change} {...proposed} />
          <LearnedAtMarks markIds={content.marks.map(({ id }) => id)} />
          {saved && <OfflineCopyNote taken={taken} />}
          <TripGear gearIds={content.gearIds} onChange={(gearIds) => change({ gearIds })} />
          <Packing packing={content.packing} onChange={(packing) => change({ packing })} />
        </div>
      </div>
    </DocumentFormFrame>
  )
}

const usualName = (trip: Trip, marks: readonly SavedMark[], show: Show): string =>
  `${marks.find(({ id }) => id === trip.marks[0]?.id)?.content.name ?? 'Trip'}, ${show.date(trip.date)}`

const blankTrip = (markId: string | undefined): Trip => ({
  formatVersion: TRIP_VERSION,
  name: '',
  date: today(),
  from: '18:00',
  to: '23:00',
  marks: markId === undefined ? [] : [{ id: markId }],
  people: [],
  rods: [],
  packing: [],
})

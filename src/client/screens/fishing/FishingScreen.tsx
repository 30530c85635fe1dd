import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useParams } from 'react-router'
import { documentQuery, fishQuery, marksQuery, outfitsQuery } from '../../api/documents.ts'
import { useTakeAlong, wantedFor } from '../../documents/useTakeAlong.ts'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { OnTheTrip } from './OnTheTrip.tsx'

/** A trip on the water: one touch logs what happens. */
export default function FishingScreen() {
  const { id = '' } = useParams()
  const trip = useQuery(documentQuery('trips', id))
  const marks = useQuery(marksQuery)
  const outfits = useQuery(outfitsQuery)
  const fish = useQuery(fishQuery)
  usePageTitle(trip.data?.content.name ?? 'Trip')
  const wanted = useMemo(() => trip.data && marks.data && wantedFor(trip.data, marks.data), [trip.data, marks.data])
  const taken = useTakeAlong(wanted)
  const all = [trip, marks, outfits, fish]
  const failed = all.find(({ data, error }) => error && !data)
  if (failed?.error)
    return <Failed what="The trip" error={failed.error} onRetry={() => void Promise.all(all.map(({ refetch }) => refetch()))} />
  if (!trip.data || !marks.data || !outfits.data || !fish.data) return <Loading what="the trip" />
  return <OnTheTrip key={id} saved={trip.data} marks={marks.data} outfits={outfits.data} fish={fish.data} taken={taken} />
}

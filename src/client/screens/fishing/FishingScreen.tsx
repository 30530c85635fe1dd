import { useMemo } from 'react'
import { useParams } from 'react-router'
import { offlineNeedsOf, useOfflineCopy } from '../../documents/useOfflineCopy.ts'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { OnTheTrip } from './OnTheTrip.tsx'
import { useTripRecords } from './useTripRecords.ts'

/** A trip on the water: one touch logs what happens. */
export default function FishingScreen() {
  const { id = '' } = useParams()
  const { records, error, retry } = useTripRecords(id)
  usePageTitle(records?.saved.content.name ?? 'Trip')
  const [saved, marks] = [records?.saved, records?.marks]
  const needs = useMemo(() => saved && marks && offlineNeedsOf(saved, marks), [saved, marks])
  const taken = useOfflineCopy(needs)
  if (error) return <Failed isPage what="The trip" error={error} onRetry={retry} />
  if (!records) return <Loading what="the trip" />
  return <OnTheTrip key={id} {...records} taken={taken} />
}

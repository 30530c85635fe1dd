import { useQuery } from '@tanstack/react-query'
import { documentQuery, fishQuery, marksQuery, outfitsQuery } from '../../api/documents.ts'

/** A trip with what it names; what failed, or that it loads. */
export function useTripRecords(id: string) {
  const trip = useQuery(documentQuery('trips', id))
  const marks = useQuery(marksQuery)
  const outfits = useQuery(outfitsQuery)
  const fish = useQuery(fishQuery)
  const all = [trip, marks, outfits, fish]
  return {
    records:
      trip.data && marks.data && outfits.data && fish.data
        ? { saved: trip.data, marks: marks.data, outfits: outfits.data, fish: fish.data }
        : undefined,
    error: all.find(({ data, error }) => error && !data)?.error ?? null,
    retry: () => void Promise.all(all.map(({ refetch }) => refetch())),
  }
}

import { useQueryClient } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { SavedMark } from '../../api/documents.ts'
import { addObservations, OBSERVATIONS } from '../../api/observations.ts'
import type { SavedTrip, useTripLog } from '../../api/trips.ts'
import { ImportFile } from '../../documents/ImportFile.tsx'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download } from '../../ui/download.ts'

type Props = { saved: SavedTrip; marks: readonly SavedMark[]; log: ReturnType<typeof useTripLog> }

/** The log as a table, out and in; the marks as places. */
export function LogFiles({ saved: { id, content: trip }, marks, log }: Props) {
  const client = useQueryClient()
  const rodIds = useMemo(() => trip.rods.map((rod) => rod.id), [trip.rods])
  const readWith = useMemo(() => ({ target: { tripId: id, rodIds } }), [id, rodIds])
  return (
    <span className="flex flex-wrap gap-2">
      <DownloadMenu
        items={[
          {
            label: 'Log as CSV',
            onSelect: async () => {
              const { writeEventCsv } = await import('../../../files/eventCsv.ts')
              download('log.csv', 'text/csv', writeEventCsv(log.events, rodIds))
            },
          },
          {
            label: 'Marks as GPX',
            onSelect: async () => {
              const { isPlaced, writeGpx } = await import('../../../files/gpx.ts')
              const own = trip.marks.flatMap((place) => marks.find((mark) => mark.id === place.id)?.content ?? [])
              download('marks.gpx', 'application/gpx+xml', writeGpx(own.filter(isPlaced)))
            },
          },
        ]}
      />
      <ImportFile
        title="Import log"
        about="A CSV file with one event per row. Columns: utc, rod (1, 2 …), what (cast, bite, fish …), and what belongs to it. An event imported twice counts once."
        file={{ label: 'CSV file', accept: '.csv,text/csv' }}
        format="events"
        readWith={readWith}
        shown={(events) => (
          <p>
            <strong>{events.length}</strong> {events.length === 1 ? 'event' : 'events'} in this table.
          </p>
        )}
        take={addObservations}
        takenWords={(count) => `${count === 1 ? '1 event' : `${count} events`} imported.`}
        onSettled={() => client.invalidateQueries(OBSERVATIONS)}
      />
    </span>
  )
}

import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { Waypoint } from '../../../files/gpx.ts'
import type { ReadFile } from '../../../files/readCsv.ts'
import { createDocument, marksQuery } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { portsQuery } from '../../api/water.ts'
import { ImportFile } from '../../ui/ImportFile.tsx'
import { newMark } from './newMark.ts'

/** A place with the id it is stored under: taken in again after a failure, what is stored already is not stored twice. */
type Named = Waypoint & { id: string }

async function readPlaces(text: string): Promise<ReadFile<Named[]>> {
  const read = (await import('../../../files/gpx.ts')).readGpx(text)
  return read.ok ? { ok: true, value: read.value.map((place) => ({ ...place, id: newId() })) } : read
}

/** Takes in the places of a GPX file: shown first, and stored only when it is said so. */
export function ImportMarks() {
  const client = useQueryClient()
  const ports = useQuery(portsQuery)
  const takeIn = async (points: readonly Named[]) => {
    const [port] = ports.data ?? []
    if (!port) throw new Error('No port is known that a mark could have its tide from.')
    const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone
    for (const { id, mark, ...place } of points) await createDocument('marks', mark ?? newMark(port.id, timeZone, place), id)
  }
  return (
    <ImportFile
      title="Take in marks"
      about="A GPX file with places, from a plotter or from here. Nothing changes until you say so."
      file={{ label: 'GPX file', accept: '.gpx,application/gpx+xml,.xml' }}
      read={readPlaces}
      shown={(places) => (
        <>
          <p>
            {places.length === 1 ? 'One place' : `${places.length} places`}:{' '}
            {places
              .slice(0, 6)
              .map(({ name }) => name)
              .join(', ')}
            {places.length > 6 && ' …'}
          </p>
          {places.some(({ mark }) => !mark) && (
            <p className="text-sm text-quiet">
              What the file does not say begins as 10 m deep on sand, at anchor, on the tide of {ports.data?.[0]?.name}: look at
              each.
            </p>
          )}
        </>
      )}
      take={takeIn}
      takenWords={(count) => `${count === 1 ? 'One mark' : `${count} marks`} taken in.`}
      onSettled={() => client.invalidateQueries({ queryKey: marksQuery.queryKey })}
      ready={(ports.data?.length ?? 0) > 0}
    />
  )
}

import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { Waypoint } from '../../../files/gpx.ts'
import { createDocument, marksQuery } from '../../api/documents.ts'
import { portsQuery } from '../../api/tides.ts'
import { useStableIds } from '../../api/useStableIds.ts'
import { ImportFile } from '../../documents/ImportFile.tsx'
import { newMark } from './newMark.ts'

const NOTHING_ELSE = {}

/** Takes in the places of a GPX file: shown first, and stored only when it is said so. */
export function ImportMarks() {
  const client = useQueryClient()
  const ports = useQuery(portsQuery)
  const idFor = useStableIds<Waypoint>()
  const takeIn = async (points: readonly Waypoint[]) => {
    const [port] = ports.data ?? []
    if (!port) throw new Error('No port is known that a mark could have its tide from.')
    const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone
    for (const point of points) {
      const { mark, ...place } = point
      await createDocument('marks', mark ?? newMark(port.id, timeZone, place), idFor(point))
    }
  }
  return (
    <ImportFile
      title="Take in marks"
      about="A GPX file with places, from a plotter or from here. Nothing changes until you say so."
      file={{ label: 'GPX file', accept: '.gpx,application/gpx+xml,.xml' }}
      format="places"
      readWith={NOTHING_ELSE}
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

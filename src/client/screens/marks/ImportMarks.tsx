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
  const importRows = async (points: readonly Waypoint[]) => {
    const [port] = ports.data ?? []
    if (!port) throw new Error('There is no port for the tide of these marks.')
    const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone
    for (const point of points) {
      const { mark, ...place } = point
      await createDocument('marks', mark ?? newMark(port.id, timeZone, place), idFor(point))
    }
  }
  return (
    <ImportFile
      title="Import marks"
      about="A GPX file with waypoints. You confirm before anything changes."
      file={{ label: 'GPX file', accept: '.gpx,application/gpx+xml,.xml' }}
      format="places"
      readWith={NOTHING_ELSE}
      shown={(places) => (
        <>
          <p>
            {places.length === 1 ? '1 place' : `${places.length} places`}:{' '}
            {places
              .slice(0, 6)
              .map(({ name }) => name)
              .join(', ')}
            {places.length > 6 && ' …'}
          </p>
          {places.some(({ mark }) => !mark) && (
            <p className="text-sm text-quiet">
              New marks start at 10 m on sand, at anchor, with the tide of {ports.data?.[0]?.name}. Check each one.
            </p>
          )}
        </>
      )}
      take={importRows}
      takenWords={(count) => `${count === 1 ? '1 mark' : `${count} marks`} imported.`}
      onSettled={() => client.invalidateQueries({ queryKey: marksQuery.queryKey })}
      ready={(ports.data?.length ?? 0) > 0}
    />
  )
}

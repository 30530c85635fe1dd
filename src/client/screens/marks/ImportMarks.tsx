import { useQueryClient } from '@tanstack/react-query'
import type { Waypoint } from '../../../files/gpx.ts'
import { createDocument, marksQuery } from '../../api/documents.ts'
import { useStableIds } from '../../api/useStableIds.ts'
import { ImportFile } from '../../documents/ImportFile.tsx'
import { newMark } from './newMark.ts'

const NOTHING_ELSE = {}

/** Takes in the places of a GPX file: shown first, and stored only when it is said so. */
export function ImportMarks() {
  const client = useQueryClient()
  const idFor = useStableIds<Waypoint>()
  const importRows = async (points: readonly Waypoint[]) => {
    const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone
    for (const point of points) {
      const { mark, ...place } = point
      await createDocument('marks', mark ?? newMark(timeZone, place), idFor(point))
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
              New marks start at 10 m on sand, without a tide, with an assumed current. Complete each one.
            </p>
          )}
        </>
      )}
      take={importRows}
      takenWords={(count) => `${count === 1 ? '1 mark' : `${count} marks`} imported.`}
      onSettled={() => client.invalidateQueries({ queryKey: marksQuery.queryKey })}
    />
  )
}

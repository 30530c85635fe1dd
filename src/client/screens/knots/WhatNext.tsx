import { useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import type { Pull } from '../../../core/documents/observation.ts'
import { isKnot } from '../../../core/knots/choose.ts'
import type { WorthTesting } from '../../../core/learning/testNext.ts'
import { percent } from '../../../core/units/percent.ts'
import { runTestNext } from '../../../workers/runTestNext.ts'
import { fetchLatestTraceRows, listQuery } from '../../api/documents.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { JobProgress } from '../../jobs/JobProgress.tsx'
import { useJob } from '../../jobs/useJob.ts'
import { Button, Sheet } from '../../ui/controls.tsx'

/** So many are said. */
const SHOWN = 6

/** What to pull next: the knots whose uncertainty moves the verdicts of the saved traces most. */
export function WhatNext({ pulls }: { pulls: readonly Pull[] }) {
  const client = useQueryClient()
  const nominal = useNominalCatalogue()
  const { result, error, isRunning, share, start, stop } = useJob({
    name: 'what-to-pull-next',
    input: pulls,
    startsBy: 'hand',
    run: async (input, signal, onProgress) => {
      const [rows, outfits] = await Promise.all([fetchLatestTraceRows(signal), client.fetchQuery(listQuery('outfits'))])
      const byId = new Map(outfits.documents.map(({ id, content }) => [id, content]))
      return runTestNext({ rows, outfits: byId, catalogue: nominal, pulls: input }, signal, onProgress)
    },
  })
  return (
    <Sheet title="What to test next">
      {isRunning ? (
        <JobProgress share={share} onStop={stop} />
      ) : result ? (
        <WorthList found={result.slice(0, SHOWN)} />
      ) : (
        <>
          <p className="mb-2 text-quiet">Knots that change the verdicts of your traces most.</p>
          {error && (
            <p role="alert" className="mb-2 text-fails">
              {error.message}
            </p>
          )}
          <Button onClick={start}>Search my traces</Button>
        </>
      )}
    </Sheet>
  )
}

function WorthList({ found }: { found: readonly WorthTesting[] }) {
  const { connections, materials } = useNominalCatalogue()
  if (found.length === 0) return <p className="text-quiet">No saved trace has a knot to test.</p>
  return (
    <ol className="grid">
      {found.map(({ connection, material, low, high, tiedIn, verdictsMoved }) => (
        <li key={`${connection} ${material}`} className="border-t border-rule py-1.5 first:border-t-0">
          {isKnot(connection) && (
            <Link to={`/knots/${connection}`} className="font-semibold underline decoration-rule">
              {connections[connection].name}
            </Link>
          )}{' '}
          in {materials[material].name}, between {percent(low)} to {percent(high)}:{' '}
          {verdictsMoved === 0
            ? `it changes no verdict in ${tiedIn === 1 ? '1 trace' : `${tiedIn} traces`}.`
            : `verdicts of ${verdictsMoved} of ${tiedIn} ${tiedIn === 1 ? 'trace' : 'traces'} depend on it.`}
        </li>
      ))}
    </ol>
  )
}

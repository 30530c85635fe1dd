import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { documentQuery, outfitsQuery } from '../../api/documents.ts'
import { ApiError } from '../../api/http.ts'
import { Failed, Loading } from '../../ui/states.tsx'
import { BenchBody } from './BenchBody.tsx'

export default function BenchScreen() {
  const { id = '' } = useParams()
  const trace = useQuery(documentQuery('traces', id))
  const outfits = useQuery(outfitsQuery)
  const error = (trace.data ? null : trace.error) ?? (outfits.data ? null : outfits.error)
  if (error)
    return (
      <Failed
        what={error instanceof ApiError && error.status === 404 ? 'This trace is not there: it' : 'The trace'}
        error={error}
        onRetry={() => {
          trace.refetch()
          outfits.refetch()
        }}
      />
    )
  if (!trace.data || !outfits.data) return <Loading what="the trace" />
  // The bench keeps its own working copy; another trace is another bench.
  return <BenchBody key={id} saved={trace.data} outfits={outfits.data} />
}

import { useQuery } from '@tanstack/react-query'
import { lazy, useEffect, useMemo } from 'react'
import { useParams } from 'react-router'
import { documentQuery, gearQuery, outfitsQuery } from '../../api/documents.ts'
import { ApiError } from '../../api/http.ts'
import { useRuleSetInForce } from '../../api/useRuleSetInForce.ts'
import { Failed, Loading } from '../../ui/states.tsx'

const importBody = () => import('./BenchBody.tsx')
const BenchBody = lazy(importBody)

/** What the bench reads, asked for while its code is on its way. */
export function BenchScreen() {
  const { id = '' } = useParams()
  useEffect(() => void importBody(), [])
  const trace = useQuery(documentQuery('traces', id))
  const outfits = useQuery(outfitsQuery)
  const gear = useQuery(gearQuery).data
  const ruleSet = useRuleSetInForce()
  const ownedSinkersKg = useMemo(
    () => (gear ?? []).flatMap(({ content }) => (content.kind === 'sinker' ? [content.massKg] : [])),
    [gear],
  )
  const error = (trace.data ? null : trace.error) ?? (outfits.data ? null : outfits.error)
  if (error)
    return (
      <Failed
        isPage
        what={error instanceof ApiError && error.status === 404 ? 'This trace cannot be opened: it' : 'The trace'}
        error={error}
        onRetry={() => {
          trace.refetch()
          outfits.refetch()
        }}
      />
    )
  if (!trace.data || !outfits.data) return <Loading what="the trace" />
  // The bench keeps its own working copy; another trace is another bench.
  return <BenchBody key={id} saved={trace.data} outfits={outfits.data} ruleSet={ruleSet} ownedSinkersKg={ownedSinkersKg} />
}

import { useNavigate } from 'react-router'
import { type DocumentActions, useDocumentActions } from '../../documents/useDocumentActions.ts'

export type TraceActions = DocumentActions<'traces'>

/** What is done with a trace of the library; a copy is opened. */
export function useTraceActions(): TraceActions {
  const navigate = useNavigate()
  return useDocumentActions('traces', ({ id }) => void navigate(`/traces/${id}`))
}

import { useNavigate } from 'react-router'
import { copyName } from '../../../core/documents/text.ts'
import { type DocumentActions, useDocumentActions } from '../../api/useDocumentActions.ts'

export type TraceActions = DocumentActions<'traces'>

/** What is done with a trace of the library; a copy is opened. */
export function useTraceActions(): TraceActions {
  const navigate = useNavigate()
  return useDocumentActions({
    kind: 'traces',
    nameOf: ({ trace }) => trace.name,
    copyOf: (content) => ({ ...content, trace: { ...content.trace, name: copyName(content.trace.name) } }),
    onCopied: ({ id }) => void navigate(`/traces/${id}`),
  })
}

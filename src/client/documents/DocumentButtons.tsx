import { Copy, Trash2, Undo2 } from 'lucide-react'
import type { DocumentKind } from '../../shared/kindNames.ts'
import type { SavedDocument } from '../api/documents.ts'
import { Button } from '../ui/controls.tsx'
import type { DocumentActions } from './useDocumentActions.ts'

type Props<K extends DocumentKind> = {
  id: string
  name: string
  /** Undefined while the content is loading. */
  saved: SavedDocument<K> | undefined
  isTrash: boolean
  actions: DocumentActions<K>
  className?: string
}

/** Duplicate and delete, or in the trash restore. */
export function DocumentButtons<K extends DocumentKind>({ id, name, saved, isTrash, actions, className = '' }: Props<K>) {
  if (isTrash)
    return (
      <Button className={className} aria-label={`Restore ${name}`} onClick={() => actions.restore(id)}>
        <Undo2 className="size-4" aria-hidden="true" /> Restore
      </Button>
    )
  return (
    <>
      <Button
        tone="quiet"
        className={className}
        disabled={!saved || actions.isCopying}
        aria-label={`Duplicate ${name}`}
        title="Duplicate"
        onClick={() => saved && actions.duplicate(saved)}
      >
        <Copy className="size-4" aria-hidden="true" />
      </Button>
      <Button
        tone="quiet"
        className={className}
        aria-label={`Delete ${name}`}
        title="Delete"
        onClick={() => actions.moveToTrash(id)}
      >
        <Trash2 className="size-4" aria-hidden="true" />
      </Button>
    </>
  )
}

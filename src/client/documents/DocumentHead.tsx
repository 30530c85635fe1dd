import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { DocumentKind } from '../../shared/kindNames.ts'
import type { SavedDocument } from '../api/documents.ts'
import { DocumentButtons } from './DocumentButtons.tsx'
import type { DocumentActions } from './useDocumentActions.ts'

type Props<K extends DocumentKind> = {
  saved: SavedDocument<K>
  name: string
  /** Where its name leads; in the trash it leads nowhere. */
  to: string
  isTrash: boolean
  actions: DocumentActions<K>
  /** What is said under the name. */
  children?: ReactNode
}

/** The head of a document’s card: its name, what is under it, and its buttons. */
export function DocumentHead<K extends DocumentKind>({ saved, name, to, isTrash, actions, children }: Props<K>) {
  return (
    <div className="flex items-start gap-2">
      <div className="mr-auto min-w-0">
        {isTrash ? (
          <strong translate="no">{name}</strong>
        ) : (
          <Link to={to} translate="no" className="font-semibold underline decoration-dotted underline-offset-2">
            {name}
          </Link>
        )}
        {children}
      </div>
      <span className="flex">
        <DocumentButtons id={saved.id} name={name} saved={saved} isTrash={isTrash} actions={actions} />
      </span>
    </div>
  )
}

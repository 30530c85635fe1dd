import { useQuery } from '@tanstack/react-query'
import { type ReactNode, useMemo, useState } from 'react'
import { isFound, plainText, searchForms } from '../../core/edit/searchForms.ts'
import { type ContentOf, DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import { type DocumentKind, nameOf } from '../../shared/kindNames.ts'
import { listQuery, type SavedDocument, trashQuery } from '../api/documents.ts'
import { fieldClass } from '../ui/controls.tsx'
import { ListFrame } from './ListFrame.tsx'
import { UnreadableList } from './UnreadableList.tsx'
import { type DocumentActions, useDocumentActions } from './useDocumentActions.ts'

/** A list of fewer is seen at a glance. */
const MIN_TO_SEARCH = 6

type Props<K extends DocumentKind> = {
  kind: K
  title: string
  isSection?: boolean
  /** Buttons beside the title: new, import, export. */
  actions: (documents: readonly SavedDocument<K>[]) => ReactNode
  empty: { title: string; text: ReactNode }
  /** The text that the search looks in; the list has no search of its own without it. */
  searchText?: (content: ContentOf<K>) => string
  onCopied?: (saved: SavedDocument<K>) => void
  /** The documents that were found, by name. */
  children: (documents: readonly SavedDocument<K>[], isTrash: boolean, actions: DocumentActions<K>) => ReactNode
}

/** Every document of a kind, or the deleted ones: search, trash, and rows that cannot be read. */
export function DocumentList<K extends DocumentKind>(props: Props<K>) {
  const { kind, title, isSection = false, actions, empty, searchText, onCopied, children } = props
  const [isTrash, setTrash] = useState(false)
  const [search, setSearch] = useState('')
  const list = useQuery(listQuery(kind))
  const trash = useQuery({ ...trashQuery(kind), enabled: isTrash })
  const shown = isTrash ? trash : list
  const rowActions = useDocumentActions(kind, onCopied)
  const sorted = useMemo(
    () => shown.data?.documents.toSorted((a, b) => (nameOf(a.content) ?? '').localeCompare(nameOf(b.content) ?? '')),
    [shown.data],
  )
  const forms = useMemo(() => searchForms(search), [search])
  const found = sorted?.filter(({ content }) => isFound(plainText(searchText?.(content) ?? ''), forms))
  const { many } = DOCUMENT_KINDS[kind]
  return (
    <ListFrame
      kind={kind}
      title={title}
      isSection={isSection}
      isTrash={isTrash}
      onTrash={setTrash}
      count={sorted?.length}
      error={shown.data ? null : shown.error}
      onRetry={() => void shown.refetch()}
      actions={actions(list.data?.documents ?? [])}
      empty={empty}
    >
      <UnreadableList unreadable={shown.data?.unreadable ?? []} />
      {searchText && (sorted?.length ?? 0) >= MIN_TO_SEARCH && (
        <search className="flex flex-wrap items-center gap-3">
          <input
            type="search"
            className={`${fieldClass} max-w-80`}
            placeholder="search"
            aria-label={`Search ${many}`}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <span role="status" className="text-sm text-quiet">
            {search.trim() !== '' ? `${found?.length} of ${sorted?.length}` : `${sorted?.length} ${many}`}
          </span>
        </search>
      )}
      {found && children(found, isTrash, rowActions)}
    </ListFrame>
  )
}

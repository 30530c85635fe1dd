import { lazy, type ReactNode, Suspense } from 'react'
import { DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { Button } from '../ui/controls.tsx'
import { Empty, Failed, Loading } from '../ui/states.tsx'

// The dialog loads after the list that it opens over.
const EmptyTrash = lazy(async () => ({ default: (await import('./EmptyTrash.tsx')).EmptyTrash }))

type Props = {
  kind: DocumentKind
  title: string
  /** Part of a page: its title is no page title. */
  isSection?: boolean
  isTrash: boolean
  onTrash: (isTrash: boolean) => void
  /** Undefined while loading. */
  count: number | undefined
  /** False while more pages are on their way. */
  isComplete?: boolean
  error: Error | null
  onRetry: () => void
  /** Buttons beside the title, outside the trash. */
  actions: ReactNode
  /** Under the title, outside the trash. */
  intro?: ReactNode
  empty: { title: string; text: ReactNode }
  children: ReactNode
}

/** The frame of every list of documents: title, trash, and the loading, failed and empty states. */
export function ListFrame(props: Props) {
  const {
    kind,
    title,
    isSection = false,
    isTrash,
    onTrash,
    count,
    isComplete = true,
    error,
    onRetry,
    actions,
    intro,
    empty,
    children,
  } = props
  const { many } = DOCUMENT_KINDS[kind]
  const Title = isSection ? 'h2' : 'h1'
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <Title className={`mr-auto ${isSection ? 'font-semibold' : 'text-xl font-bold'}`}>
          {isTrash ? `Trash: ${many}` : title}
        </Title>
        {isTrash ? (
          <Suspense>{isComplete && count !== undefined && count > 0 && <EmptyTrash kind={kind} count={count} />}</Suspense>
        ) : (
          actions
        )}
        <Button tone="quiet" onClick={() => onTrash(!isTrash)}>
          {isTrash ? `Back to ${many}` : 'Trash'}
        </Button>
      </div>
      {!isTrash && intro}
      {error && <Failed what={count === undefined ? `The ${many}` : `Some of the ${many}`} error={error} onRetry={onRetry} />}
      {count === undefined ? (
        !error && <Loading what={`the ${many}`} />
      ) : count === 0 ? (
        isTrash ? (
          <Empty title="The trash is empty">Deleted {many} come here first. You can restore them.</Empty>
        ) : (
          <Empty title={empty.title}>{empty.text}</Empty>
        )
      ) : (
        children
      )}
    </>
  )
}

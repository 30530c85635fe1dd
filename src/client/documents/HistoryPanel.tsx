import { useQuery } from '@tanstack/react-query'
import { History } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { revisionQuery, revisionsQuery } from '../api/documents.ts'
import { useShow } from '../settings/preferences.tsx'
import { Button } from '../ui/controls.tsx'
import { Panel } from '../ui/Panel.tsx'
import { Failed, Loading } from '../ui/states.tsx'
import { DifferenceList } from './DifferenceList.tsx'

type Props<K extends DocumentKind> = {
  kind: K
  id: string
  /** The content on screen, saved or not. */
  current: ContentOf<K>
  onBringBack: (content: ContentOf<K>) => void
  /** More to do with a revision. */
  more?: (revision: number) => ReactNode
}

/** Every saved revision of a document, how it differs from the content on screen, and a way back to it. */
export function HistoryPanel<K extends DocumentKind>(props: Props<K>) {
  const [open, setOpen] = useState(false)
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title="History"
      about="Every save is kept. Bring one back, then save it to make it the newest."
      trigger={
        <Button title="Saved revisions">
          <History className="size-4" aria-hidden="true" /> History
        </Button>
      }
    >
      {open && <Revisions {...props} onDone={() => setOpen(false)} />}
    </Panel>
  )
}

type Inner<K extends DocumentKind> = Props<K> & { onDone: () => void }

function Revisions<K extends DocumentKind>(props: Inner<K>) {
  const revisions = useQuery(revisionsQuery(props.kind, props.id))
  const [chosen, setChosen] = useState<number>()
  const show = useShow()
  if (revisions.error && !revisions.data)
    return <Failed what="The history" error={revisions.error} onRetry={() => revisions.refetch()} />
  if (!revisions.data) return <Loading what="the history" />
  return (
    <ol className="mt-3">
      {revisions.data.map(({ revision, savedAt }) => (
        <li key={revision} className="border-t border-rule py-1.5">
          <button
            type="button"
            className="flex min-h-9 w-full items-center justify-between text-left"
            aria-expanded={chosen === revision}
            onClick={() => setChosen(chosen === revision ? undefined : revision)}
          >
            <span className="font-semibold">Revision {revision}</span>
            <span className="text-quiet">
              {show.date(new Date(savedAt))}, {show.clock(Date.parse(savedAt))}
            </span>
          </button>
          {chosen === revision && <Revision {...props} revision={revision} />}
        </li>
      ))}
    </ol>
  )
}

function Revision<K extends DocumentKind>({
  kind,
  id,
  current,
  onBringBack,
  more,
  revision,
  onDone,
}: Inner<K> & { revision: number }) {
  const saved = useQuery(revisionQuery(kind, id, revision))
  if (saved.error && !saved.data) return <Failed what="That revision" error={saved.error} onRetry={() => saved.refetch()} />
  if (!saved.data) return <Loading what="that revision" />
  const { content } = saved.data
  return (
    <div className="pb-2">
      <p className="text-sm text-quiet">Changes from what is on screen to this revision:</p>
      <DifferenceList from={current} to={content} />
      {more?.(revision)}
      <Button
        className="mt-2"
        onClick={() => {
          onBringBack(content)
          onDone()
        }}
      >
        Bring back revision {revision}
      </Button>
    </div>
  )
}

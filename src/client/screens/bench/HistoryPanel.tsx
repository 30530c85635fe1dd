import { useQuery } from '@tanstack/react-query'
import { format } from 'date-fns'
import { History } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { revisionQuery, revisionsQuery } from '../../api/documents.ts'
import { DifferenceList } from '../../documents/DifferenceList.tsx'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { clockTime } from '../../words/clockTime.ts'
import type { Bench } from './useBench.ts'

/** Every saved revision, what it differs in from what is here, and a way back to it. */
export function HistoryPanel({ bench, id }: { bench: Bench; id: string }) {
  const [open, setOpen] = useState(false)
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title="History"
      about="Every save is kept. Bringing one back changes what is on the bench; save it to make it the newest."
      trigger={
        <Button title="Saved revisions">
          <History className="size-4" /> History
        </Button>
      }
    >
      {open && <Revisions bench={bench} id={id} onDone={() => setOpen(false)} />}
    </Panel>
  )
}

function Revisions({ bench, id, onDone }: { bench: Bench; id: string; onDone: () => void }) {
  const revisions = useQuery(revisionsQuery('traces', id))
  const [chosen, setChosen] = useState<number>()
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
              {format(new Date(savedAt), 'd MMM yyyy')}, {clockTime(savedAt)}
            </span>
          </button>
          {chosen === revision && <Revision bench={bench} id={id} revision={revision} onDone={onDone} />}
        </li>
      ))}
    </ol>
  )
}

function Revision({ bench, id, revision, onDone }: { bench: Bench; id: string; revision: number; onDone: () => void }) {
  const saved = useQuery(revisionQuery('traces', id, revision))
  if (saved.error && !saved.data) return <Failed what="That revision" error={saved.error} onRetry={() => saved.refetch()} />
  if (!saved.data) return <Loading what="that revision" />
  const { content } = saved.data
  return (
    <div className="pb-2">
      <p className="text-sm text-quiet">From what is on the bench to this one:</p>
      <DifferenceList from={bench.content} to={content} />
      <Link to={`/compare?with=${id},${id}@${revision}`} className={buttonClass('quiet')}>
        Compare with the saved one
      </Link>
      <Button
        className="mt-2"
        onClick={() => {
          bench.bringBack(content)
          onDone()
        }}
      >
        Bring back revision {revision}
      </Button>
    </div>
  )
}

import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { useBatchChange, useBatchProgress } from '../../api/batches.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { useShow } from '../../settings/preferences.tsx'
import { buttonClass } from '../../ui/controls.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'
import { FinishTraces } from './FinishTraces.tsx'
import { SheetBody } from './SheetBody.tsx'
import { SheetHeader } from './SheetHeader.tsx'
import { useBatchPlan } from './useBatchPlan.ts'
import { useChosenDay } from './useChosenDay.ts'

type Props = { batch: SavedDocument<'batches'>; content: TraceContent; outfit: Outfit; note: ReactNode }

/** The sheet of a batch: what is done of each cut and step by everyone who works on it, and the traces that are finished. */
export function BatchSheet({ batch, content, outfit, note }: Props) {
  const show = useShow()
  const { count, name, forDate, traceId, traceRevision, choices = [] } = batch.content
  const work = useBatchProgress(batch.id)
  const change = useBatchChange(batch.id)
  const finished = (work.progress?.finishes ?? []).reduce((sum, { tied }) => sum + tied.length, 0)
  const left = Math.max(0, count - finished)
  const { setup, plan, boxError, retryBox } = useBatchPlan(content, outfit, batch.content.choices, left)
  const day = useChosenDay(content.markId)
  if (work.error) return <Failed what="What is done of this batch" error={work.error} onRetry={work.retry} />
  if (!work.progress) return <Loading what="what is done of this batch" />
  return (
    <article className="mx-auto grid max-w-5xl gap-3 p-3 sm:px-6">
      <SheetHeader
        what={`Batch · revision ${traceRevision}${forDate ? ` · for ${show.date(forDate)}` : ''}`}
        name={name}
        outfit={outfit.name}
      >
        <Link to={`/traces/${traceId}/build`} className={buttonClass()}>
          Build sheet
        </Link>
        <Link to="/batches" className={buttonClass()}>
          All batches
        </Link>
      </SheetHeader>
      {batch.binnedAt !== null && <Fault>This batch is in the trash. What you tick is kept; restore it under Batches.</Fault>}
      {note}
      {boxError && <Failed what="The box" error={boxError} onRetry={retryBox} />}
      <FinishTraces batch={batch} trace={content.trace} box={{ setup, choices }} work={work} finished={finished} />
      {work.waiting > 0 && (
        <p role="status" className="rounded-lg border border-watch bg-sheet px-3 py-2">
          {work.waiting === 1 ? '1 tick waits' : `${work.waiting} ticks wait`} for the connection. They are kept in this browser.
        </p>
      )}
      {work.refused && <Fault>{work.refused}</Fault>}
      {change.error && <Fault>{change.error.message}</Fault>}
      <SheetBody
        content={content}
        setup={setup}
        count={count}
        plan={plan}
        choices={choices}
        onChoose={(next) => change.mutate((old) => ({ ...old, choices: next }))}
        day={day}
        work={work}
      />
    </article>
  )
}

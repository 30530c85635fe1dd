import { Download } from 'lucide-react'
import { lazy, type ReactNode, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { type Batch, MAX_BATCH } from '../../../core/documents/batch.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Failed } from '../../ui/states.tsx'
import { planAddress } from '../../words/addresses.ts'
import { SheetBody } from './SheetBody.tsx'
import { SheetHeader } from './SheetHeader.tsx'
import { StartBatch } from './StartBatch.tsx'
import { TraceBatches } from './TraceBatches.tsx'
import { useBatchPlan } from './useBatchPlan.ts'
import { useChosenDay } from './useChosenDay.ts'

// Draws and judges the trace again, for paper.
const CardDownload = lazy(() => import('./CardDownload.tsx'))

type Props = {
  id: string
  content: TraceContent
  outfit: Outfit
  version: string
  /** Undefined where the sheet shows unsaved work. */
  revision: number | undefined
  note: ReactNode
}

const NO_CHOICES: NonNullable<Batch['choices']> = []

/** The sheet of a design, for a number of traces. */
export function BuildSheet({ id, content, outfit, version, revision, note }: Props) {
  const [count, setCount] = useState(1)
  const [choices, setChoices] = useState(NO_CHOICES)
  const [isMaking, setMaking] = useState(false)
  const { setup, plan, boxError, retryBox } = useBatchPlan(content, outfit, choices, count)
  const day = useChosenDay(content.markId)
  return (
    <article className="mx-auto grid max-w-5xl gap-3 p-3 sm:px-6">
      <SheetHeader what={`Build sheet · ${version}`} name={content.trace.name} outfit={outfit.name}>
        <div className="w-44">
          <NumberField
            label="traces to make"
            value={count}
            whole
            least={1}
            most={MAX_BATCH}
            onChange={(value) => value && setCount(value)}
          />
        </div>
        <StartBatch traceId={id} name={content.trace.name} revision={revision} count={count} choices={choices} />
        <Link to={`/traces/${id}`} className={buttonClass()}>
          Bench
        </Link>
        <Link to={planAddress(id, day.mark?.id ?? content.markId, day.date)} className={buttonClass()}>
          Plan the day
        </Link>
        <Button disabled={isMaking} onClick={() => setMaking(true)}>
          <Download className="size-4" aria-hidden="true" /> Card
        </Button>
      </SheetHeader>
      {isMaking && (
        <Suspense>
          <CardDownload
            content={content}
            setup={setup}
            plan={plan}
            about={`for ${outfit.name}, ${version}`}
            onDone={() => setMaking(false)}
          />
        </Suspense>
      )}
      {note}
      <TraceBatches traceId={id} />
      {boxError && <Failed what="The box" error={boxError} onRetry={retryBox} />}
      <SheetBody content={content} setup={setup} count={count} plan={plan} choices={choices} onChoose={setChoices} day={day} />
    </article>
  )
}

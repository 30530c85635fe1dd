import { lazy, Suspense, useMemo } from 'react'
import { strikesOf } from '../../../core/advice/strike.ts'
import type { PlannedNeed } from '../../../core/batch/batchPlan.ts'
import { buildSteps } from '../../../core/build/steps.ts'
import { type Tool, toolsFor } from '../../../core/build/tools.ts'
import type { Batch } from '../../../core/documents/batch.ts'
import { freeLine } from '../../../core/outfits/outfitLines.ts'
import { usedOfOutfitM } from '../../../core/setup/cutLength.ts'
import { wholeReplacement } from '../../../core/setup/replacement.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { FIRST_YEAR, LAST_YEAR } from '../../../core/time/years.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { BatchWork } from '../../api/batches.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, fieldClass, Sheet } from '../../ui/controls.tsx'
import { Loading } from '../../ui/states.tsx'
import { lineSpec } from '../../words/names.ts'
import { CutTable } from './CutTable.tsx'
import { NeedList } from './NeedList.tsx'
import { StepList } from './StepList.tsx'
import type { useChosenDay } from './useChosenDay.ts'

// What judges comes after what is cut and tied.
const OnTheWater = lazy(() => import('../../moments/OnTheWater.tsx'))
const DayPlan = lazy(() => import('./DayPlan.tsx'))

const TOOL_WORDS: Record<Tool, string> = {
  cutter: 'a cutter that cuts clean',
  tape: 'a tape',
  crimpingPliers: 'crimping pliers',
  wireCutters: 'wire cutters',
  splicingNeedle: 'a splicing needle',
  bobbin: 'a bobbin',
  splitRingPliers: 'split-ring pliers',
  baitNeedle: 'a bait needle and thread',
}

type Props = {
  content: TraceContent
  setup: Setup
  count: number
  plan: readonly PlannedNeed[]
  choices: NonNullable<Batch['choices']>
  onChoose: (choices: NonNullable<Batch['choices']>) => void
  day: ReturnType<typeof useChosenDay>
  /** Of a batch: what is done of it. */
  work?: BatchWork
}

/** What to cut, to lay out and to tie, and what goes to the water with it. */
export function SheetBody({ content, setup, count, plan, choices, onChoose, day, work }: Props) {
  const { trace, outfit, catalogue } = setup
  const show = useShow()
  const steps = useMemo(() => buildSteps(setup), [setup])
  const tools = useMemo(() => toolsFor(trace), [trace])
  const whole = useMemo(() => wholeReplacement(setup), [setup])
  const strikes = useMemo(() => strikesOf(setup), [setup])
  const main = freeLine(outfit)
  const ofOutfitM = usedOfOutfitM(setup, main)
  return (
    <>
      <p className="rounded-md bg-well px-3 py-2">
        {count === 1 ? 'One trace' : `${count} traces`}: about {(whole.minutes * count).toFixed(0)} minutes at the table, and
        tackle for {show.number(whole.cost * count, 2)}.{' '}
        {ofOutfitM > 0 && <>The knot uses {show.tape(ofOutfitM)} of your main line.</>}
      </p>
      <Sheet title="Lay out" aside={work && <span className="text-sm text-quiet">for the traces that are left</span>}>
        <NeedList plan={plan} setup={setup} choices={choices} onChoose={onChoose} />
        <p className="mt-2 text-sm">
          <span className="text-quiet">Tools:</span> {tools.map((tool) => TOOL_WORDS[tool]).join(', ')}.
        </p>
      </Sheet>
      <Sheet title="Cut" aside={<span className="text-sm text-quiet">finished length + what the knots use = cut length</span>}>
        <CutTable trace={trace} plan={plan} count={count} work={work} />
      </Sheet>
      <Sheet
        title="Thread and tie, in this order"
        aside={<span className="text-sm text-quiet">{lineSpec(catalogue, main, show)} on the reel</span>}
      >
        <StepList steps={steps} rig={setup} count={count} work={work} />
      </Sheet>
      {strikes.length > 0 && (
        <Sheet title="When a fish takes">
          {strikes.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </Sheet>
      )}
      <Suspense fallback={<Loading what="the verdicts" />}>
        <OnTheWater content={content} outfit={outfit} />
      </Suspense>
      {day.mark && (
        <Sheet
          title={day.date ? `Sinkers at ${day.mark.content.name}, ${show.date(day.date)}` : `Sinkers at ${day.mark.content.name}`}
          className={day.date ? '' : 'no-print'}
        >
          <div className="no-print mb-2 w-72">
            <Field label="day" htmlFor="sheet-day">
              <input
                id="sheet-day"
                type="date"
                className={fieldClass}
                value={day.date ?? ''}
                min={`${FIRST_YEAR}-01-01`}
                max={`${LAST_YEAR}-12-31`}
                onChange={(event) => day.choose(event.target.value)}
              />
            </Field>
          </div>
          {day.date ? (
            <Suspense fallback={<Loading what="the plan of the day" />}>
              <DayPlan key={day.date} mark={day.mark} date={day.date} setup={setup} />
            </Suspense>
          ) : (
            <p className="text-sm text-quiet">Choose a day to have its sinkers on this sheet.</p>
          )}
        </Sheet>
      )}
      <Sheet title="Then">
        <p>
          Wet every knot and tighten it slowly. Leave 2–5 mm of tag. Test it by hand against a fixed point: protect your eyes,
          cover the points, keep others clear. Re-tie knots that turned white, crossed or slipped.
        </p>
      </Sheet>
    </>
  )
}

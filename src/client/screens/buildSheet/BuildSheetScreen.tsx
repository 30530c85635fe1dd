import { useQuery } from '@tanstack/react-query'
import { Printer } from 'lucide-react'
import { lazy, type ReactNode, Suspense, useEffect, useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { strikesOf } from '../../../core/advice/strike.ts'
import { cutList } from '../../../core/build/cutList.ts'
import { partsList } from '../../../core/build/partsList.ts'
import { buildSteps, linesTied } from '../../../core/build/steps.ts'
import { type Tool, toolsFor } from '../../../core/build/tools.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { freeLine } from '../../../core/outfits/outfitLines.ts'
import { usedOfOutfitM } from '../../../core/setup/cutLength.ts'
import { wholeReplacement } from '../../../core/setup/replacement.ts'
import { FIRST_YEAR, LAST_YEAR } from '../../../core/time/years.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { documentQuery, outfitsQuery, type SavedOutfit, type SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { KnotLink } from '../../fishing/KnotLink.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Field, fieldClass, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { planAddress } from '../../words/addresses.ts'
import { lineSpec, pieceSpec } from '../../words/names.ts'
import { CutTable } from './CutTable.tsx'
import { stepWords } from './stepWords.ts'
import { UnsavedNote } from './UnsavedNote.tsx'
import { useChosenDay } from './useChosenDay.ts'
import { useSheetTrace } from './useSheetTrace.ts'

// What judges comes after what is cut and tied.
const SheetSummary = lazy(() => import('./SheetSummary.tsx'))
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

/** Cut list, order of threading and steps of one trace, for a batch; made to be printed and to be read on a phone. */
export default function BuildSheetScreen() {
  const { id = '' } = useParams()
  const saved = useQuery(documentQuery('traces', id))
  usePageTitle('Build sheet', saved.data?.content.trace.name)
  const outfits = useQuery(outfitsQuery)
  // The bench releases its draft when it unmounts, which is after this screen first renders.
  const [hasLeft, setHasLeft] = useState(false)
  useEffect(() => setHasLeft(true), [])
  const error = (saved.data ? null : saved.error) ?? (outfits.data ? null : outfits.error)
  if (error)
    return (
      <Failed
        what="The build sheet"
        error={error}
        onRetry={() => {
          saved.refetch()
          outfits.refetch()
        }}
      />
    )
  if (!saved.data || !outfits.data || !hasLeft) return <Loading what="the build sheet" />
  return <SheetOfTrace key={id} saved={saved.data} outfits={outfits.data} />
}

function SheetOfTrace({ saved, outfits }: { saved: SavedTrace; outfits: SavedOutfit[] }) {
  const of = useSheetTrace(saved)
  const outfit = outfits.find(({ id }) => id === of.content.outfitId)?.content
  const note = <UnsavedNote of={of} id={saved.id} revision={saved.revision} />
  if (!outfit)
    return (
      <div className="grid gap-3 p-6">
        {note}
        <p>The outfit of this trace is in the trash. Restore it or choose another on the bench.</p>
      </div>
    )
  const version = of.unsaved && !of.isSavedShown ? 'not saved' : `revision ${saved.revision}`
  return <BuildSheet id={saved.id} content={of.content} outfit={outfit} version={version} note={note} />
}

const MOST = 200

type SheetProps = { id: string; content: TraceContent; outfit: Outfit; version: string; note: ReactNode }

function BuildSheet({ id, content, outfit, version, note }: SheetProps) {
  const { trace, conditions, markId } = content
  const show = useShow()
  const [count, setCount] = useState(1)
  const catalogue = useCatalogue()
  const rig = useMemo(() => ({ trace, outfit, catalogue }), [trace, outfit, catalogue])
  const groups = useMemo(() => cutList(rig), [rig])
  const parts = useMemo(() => partsList(trace), [trace])
  const steps = useMemo(() => buildSteps(rig), [rig])
  const tools = useMemo(() => toolsFor(trace), [trace])
  const whole = useMemo(() => wholeReplacement(rig), [rig])
  const main = freeLine(outfit)
  const plan = useChosenDay(markId)
  const setup = useMemo(() => ({ trace, outfit, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const strikes = useMemo(() => strikesOf(setup), [setup])
  const ofOutfitM = usedOfOutfitM(rig, main)
  return (
    <article className="mx-auto grid max-w-5xl gap-3 p-3 sm:px-6">
      <header className="flex flex-wrap items-end gap-3">
        <div className="mr-auto">
          <p className="text-sm text-quiet">Build sheet · {version}</p>
          <h1 className="text-xl font-bold" translate="no">
            {trace.name}
          </h1>
          <p className="text-quiet">
            for <span translate="no">{outfit.name}</span>
          </p>
        </div>
        <div className="no-print w-52">
          <NumberField
            label="traces to make"
            value={count}
            whole
            least={1}
            most={MOST}
            onChange={(value) => value && setCount(value)}
          />
        </div>
        <div className="no-print flex gap-1.5">
          <Link to={`/traces/${id}`} className={buttonClass()}>
            Bench
          </Link>
          <Link to={planAddress(id, plan.mark?.id ?? markId, plan.date)} className={buttonClass()}>
            Plan the day
          </Link>
          <Button tone="strong" onClick={() => window.print()}>
            <Printer className="size-4" /> Print
          </Button>
        </div>
      </header>
      {note}
      <p className="rounded-md bg-well px-3 py-2">
        {count === 1 ? 'One trace' : `${count} traces`}: about {(whole.minutes * count).toFixed(0)} minutes at the table and{' '}
        {show.number(whole.cost * count, 2)} units of tackle.{' '}
        {ofOutfitM > 0 && <>The knot uses {show.tape(ofOutfitM)} of your main line.</>}
      </p>
      <Sheet title="Cut" aside={<span className="text-sm text-quiet">finished length + what the knots use = cut length</span>}>
        <CutTable groups={groups} count={count} />
      </Sheet>
      <Sheet title="Lay out">
        <ul className="grid gap-x-8 sm:grid-cols-2">
          {parts.map(({ sample, count: each }) => (
            <li key={sample.id} className="flex justify-between gap-4 border-t border-rule py-1">
              <span>{pieceSpec(catalogue, sample, show)}</span>
              <span className="font-semibold">{each * count}</span>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-sm">
          <span className="text-quiet">Tools:</span> {tools.map((tool) => TOOL_WORDS[tool]).join(', ')}.
        </p>
      </Sheet>
      <Sheet
        title="Thread and tie, in this order"
        aside={<span className="text-sm text-quiet">{lineSpec(catalogue, main, show)} on the reel</span>}
      >
        <ol className="list-decimal pl-6">
          {steps.map((step) => {
            const { text, why } = stepWords(step, rig, show)
            return (
              <li key={text} className="border-t border-rule py-1.5 pl-1 marker:font-semibold">
                {text}{' '}
                {'joint' in step && (
                  <KnotLink
                    joint={step.joint}
                    lines={linesTied(step, rig)}
                    turns={step.turns}
                    name={catalogue.connections[step.joint.connection].name}
                  />
                )}
                {why && <span className="block text-sm text-quiet">{why}</span>}
              </li>
            )
          })}
        </ol>
      </Sheet>
      {strikes.length > 0 && (
        <Sheet title="When a fish takes">
          {strikes.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </Sheet>
      )}
      <Suspense fallback={<Loading what="the verdicts" />}>
        <SheetSummary content={content} outfit={outfit} />
      </Suspense>
      {plan.mark && (
        <Sheet
          title={
            plan.date ? `Sinkers at ${plan.mark.content.name}, ${show.date(plan.date)}` : `Sinkers at ${plan.mark.content.name}`
          }
          className={plan.date ? '' : 'no-print'}
        >
          <div className="no-print mb-2 w-72">
            <Field label="day" htmlFor="sheet-day">
              <input
                id="sheet-day"
                type="date"
                className={fieldClass}
                value={plan.date ?? ''}
                min={`${FIRST_YEAR}-01-01`}
                max={`${LAST_YEAR}-12-31`}
                onChange={(event) => plan.choose(event.target.value)}
              />
            </Field>
          </div>
          {plan.date ? (
            <Suspense fallback={<Loading what="the plan of the day" />}>
              <DayPlan key={plan.date} mark={plan.mark} date={plan.date} setup={setup} />
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
    </article>
  )
}

import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { efficiencyOf } from '../../../core/catalogue/catalogue.ts'
import { isKnot } from '../../../core/knots/choose.ts'
import { analysePull, type Reading } from '../../../core/learning/pullCurve.ts'
import { percent } from '../../../core/units/percent.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { newId } from '../../api/newId.ts'
import { useSpools } from '../../api/useSpools.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { toast } from '../../regional/toast.ts'
import type { LineScale } from '../../scale/lineScale.ts'
import { keepPendingPull, type PendingPull, usePendingPulls } from '../../scale/pendingPulls.ts'
import { serialOf, serialScale } from '../../scale/serialScale.ts'
import { standInScale } from '../../scale/standInScale.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { readKnotFor } from '../../words/knotAddress.ts'
import { Outcome } from './Outcome.tsx'
import { PullCurve } from './PullCurve.tsx'
import { type Hung, hungOf, SampleFields, type SampleOnScale } from './SampleFields.tsx'
import { type PullState, usePull } from './usePull.ts'

/** Samples broken on a scale: the pull as it runs, its peak held, slips distinguished from the break; kept, or discarded with a reason. */
export default function TestScreen() {
  usePageTitle('Pull test')
  const [query] = useSearchParams()
  const [sample, setSample] = useState(() => sampleFor(query))
  const [scale, setScale] = useState<LineScale>(standInScale)
  const spools = useSpools()
  const undecided = usePendingPulls()
  const { state, start, stop } = usePull()
  const busy = state.is === 'pulling'
  const { knot, line } = sample
  const nominal = useNominalCatalogue()
  const share = knot === undefined ? 1 : efficiencyOf(nominal, { connection: knot }, line.material)?.mean
  const connect = async () => {
    try {
      const port = await serialOf()?.requestPort()
      if (port) setScale(serialScale(port))
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error))
    }
  }
  const begin = () => {
    if (share === undefined) return
    // What hangs now; the fields may say something else by the time it is over.
    const hung = hungOf(nominal, { ...sample, spool: spools.find(({ id }) => id === sample.spool?.id) })
    const kind = `${knot ?? 'straight'} ${line.material}`
    start(scale, { aboutN: share * line.strengthN, kind }, (readings) => keepPendingPull(pendingPullOf(hung, readings)))
  }
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Link to="/knots/pulls" className={buttonClass('quiet')}>
          Your tests
        </Link>
        <h1 className="text-xl font-bold">Pull test</h1>
      </div>
      <p className="mb-3 max-w-prose rounded-md bg-well px-3 py-2">
        Protect your eyes, cover hook points, put a cloth over the line, keep others clear. Pull slowly until it breaks.
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[24rem_minmax(0,1fr)]">
        <Sheet title="Sample">
          <SampleFields sample={sample} spools={spools} disabled={busy} onChange={setSample} />
          <p className="mt-3 flex flex-wrap items-center gap-2 border-t border-rule pt-2 text-sm text-quiet">
            {scale.name}
            {serialOf() && (
              <Button disabled={busy} onClick={connect}>
                Connect a scale
              </Button>
            )}
          </p>
          {knot !== undefined && share === undefined && (
            <p role="alert">{nominal.connections[knot].name} cannot be tied in that material.</p>
          )}
          <Button tone="strong" className="mt-2 min-h-12 w-full" disabled={busy || share === undefined} onClick={begin}>
            {state.is === 'cut' ? 'Test again' : 'Start test'}
          </Button>
        </Sheet>
        <Sheet title="Test">
          <Running state={state} idle={undecided.length === 0} lineN={line.strengthN} onStop={stop} />
          <ul className="grid gap-4">
            {undecided.map((pull) => (
              <Outcome key={pull.observation.id} pull={pull} />
            ))}
          </ul>
        </Sheet>
      </div>
    </div>
  )
}

/** What an address asks to pull, else a usual one. */
function sampleFor(query: URLSearchParams): SampleOnScale {
  const { lines, turns } = readKnotFor(query)
  const asked = query.get('knot') ?? 'uni'
  const usual = { material: 'mono', strengthN: 30 * QUANTITIES.strength.units.lb } as const
  return { knot: isKnot(asked) ? asked : undefined, line: lines[0] ?? usual, spool: undefined, turns, wet: false }
}

function pendingPullOf(hung: Hung, readings: Reading[]): PendingPull {
  const { peakN, broke } = analysePull(readings)
  const common = { formatVersion: 1, id: newId(), at: new Date().toISOString(), loadN: peakN } as const
  return {
    readings,
    observation: hung.kind === 'pull' ? { ...common, ...hung, parted: broke ? 'knot' : 'slipped' } : { ...common, ...hung },
  }
}

type RunningProps = { state: PullState; idle: boolean; lineN: number; onStop: () => void }

function Running({ state, idle, lineN, onStop }: RunningProps) {
  const show = useShow()
  if (state.is === 'ready')
    return idle && <p className="p-6 text-center text-quiet">No test is running. Describe the sample and start.</p>
  if (state.is === 'cut')
    return (
      <p role="alert" className="mb-2 rounded-md border border-fails px-3 py-2">
        {state.message} This test was not counted.
      </p>
    )
  const { readings, seen } = state
  return (
    <div className="mb-2">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <p className="text-3xl font-bold tabular-nums">{show.computed('strength', readings.at(-1)?.loadN ?? 0)}</p>
        <p className="text-quiet">
          peak <strong className="text-ink">{show.computed('strength', seen.peakN)}</strong>, {percent(seen.peakN / lineN)} of the
          line
        </p>
        <Button className="ml-auto" onClick={onStop}>
          Stop
        </Button>
      </div>
      <PullCurve readings={readings} seen={seen} lineN={lineN} />
    </div>
  )
}

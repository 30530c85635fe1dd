import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { Link } from 'react-router'
import { toast } from 'sonner'
import { efficiencyOf, NOMINAL_CATALOGUE } from '../../../core/catalogue/catalogue.ts'
import type { LineSpec } from '../../../core/catalogue/materials.ts'
import { type Observation, PARTED, type Pull } from '../../../core/documents/observation.ts'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import { usualTurns } from '../../../core/setup/cutLength.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { addObservation, pullsQuery } from '../../api/water.ts'
import type { LineScale } from '../../scale/lineScale.ts'
import { serialOf, serialScale } from '../../scale/serialScale.ts'
import { standInScale } from '../../scale/standInScale.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, buttonClass, Field, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { percent } from '../../words/percent.ts'
import { PARTED_WORDS } from './knotWords.ts'
import { LineFields } from './LineFields.tsx'
import { PullCurve } from './PullCurve.tsx'
import { type PullState, usePull } from './usePull.ts'

const { connections } = NOMINAL_CATALOGUE
const TESTED = (Object.keys(KNOT_FACTS) as KnotId[]).toSorted((a, b) => connections[a].name.localeCompare(connections[b].name))
const REASONS = ['it was not drawn down', 'the line was nicked', 'it hung crooked', 'the wrong sample'] as const

/** Sample knots broken on a scale: the pull as it runs, its peak held, slips told from the break; kept, or discarded with a reason. */
export default function TestScreen() {
  usePageTitle('Pull a sample')
  const id = useId()
  const [knot, setKnot] = useState<KnotId>('uni')
  const [line, setLine] = useState<LineSpec>({ material: 'mono', strengthN: 30 * QUANTITIES.strength.units.lb })
  const [said, setSaid] = useState<number>()
  const [wet, setWet] = useState(true)
  const [scale, setScale] = useState<LineScale>(standInScale)
  const { state, start, clear } = usePull()
  const nominal = efficiencyOf(NOMINAL_CATALOGUE, { connection: knot }, line.material)
  const turns = said ?? usualTurns(NOMINAL_CATALOGUE, knot, [line])
  const busy = state.is === 'pulling' || state.is === 'over'
  const connect = async () => {
    try {
      const port = await serialOf()?.requestPort()
      if (port) setScale(serialScale(port))
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Link to="/knots/pulls" className={buttonClass('quiet')}>
          Your pulls
        </Link>
        <h1 className="text-xl font-bold">Pull a sample</h1>
      </div>
      <p className="mb-3 max-w-prose rounded-md bg-well px-3 py-2">
        Eyes protected, hook points covered, a cloth over the line, nobody in its line. Pull slowly and steadily until it parts.
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[24rem_minmax(0,1fr)]">
        <Sheet title="On the scale">
          <fieldset disabled={busy} className="grid gap-2">
            <Field label="knot" htmlFor={`${id}-knot`}>
              <Select
                id={`${id}-knot`}
                value={knot}
                choices={TESTED.map((value) => ({ value, text: connections[value].name }))}
                onChange={(event) => {
                  setKnot(event.target.value as KnotId)
                  setSaid(undefined)
                }}
              />
            </Field>
            <LineFields label="line" line={line} onChange={setLine} />
            {connections[knot].turns && (
              <NumberField
                label="turns"
                value={said}
                whole
                least={1}
                most={60}
                placeholder={`${usualTurns(NOMINAL_CATALOGUE, knot, [line])}, as usual`}
                onChange={setSaid}
              />
            )}
            <CheckField label="pulled wet" checked={wet} onChange={setWet} />
          </fieldset>
          <p className="mt-3 flex flex-wrap items-center gap-2 border-t border-rule pt-2 text-sm text-quiet">
            {scale.name}
            {serialOf() && (
              <Button disabled={busy} onClick={connect}>
                Take the scale on a cable
              </Button>
            )}
          </p>
          {!nominal && <p role="alert">{connections[knot].name} is not tied in that material.</p>}
          <Button
            tone="strong"
            className="mt-2 min-h-12 w-full"
            disabled={busy || !nominal}
            onClick={() => nominal && start(scale, { aboutN: nominal.mean * line.strengthN, kind: `${knot} ${line.material}` })}
          >
            {state.is === 'cut' ? 'Pull it again' : 'Begin to pull'}
          </Button>
        </Sheet>
        <Sheet title="The pull">
          <Shown state={state} lineN={line.strengthN} onStop={clear} />
          {state.is === 'over' && (
            <Verdict
              key={state.id}
              state={state}
              told={{ connection: knot, material: line.material, lineN: line.strengthN, wet, ...(turns > 0 ? { turns } : {}) }}
              onDone={clear}
            />
          )}
        </Sheet>
      </div>
    </div>
  )
}

function Shown({ state, lineN, onStop }: { state: PullState; lineN: number; onStop: () => void }) {
  const show = useShow()
  if (state.is === 'ready')
    return <p className="p-6 text-center text-quiet">Nothing is pulled. Say what hangs on the scale, and begin.</p>
  if (state.is === 'cut')
    return (
      <p role="alert" className="rounded-md border border-fails px-3 py-2">
        {state.message} Nothing of this pull was counted.
      </p>
    )
  const { readings, seen, is } = state
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6">
        <p className="text-3xl font-bold tabular-nums">{show.computed('strength', readings.at(-1)?.loadN ?? 0)}</p>
        <p className="text-quiet">
          peak <strong className="text-ink">{show.computed('strength', seen.peakN)}</strong>, {percent(seen.peakN / lineN)} of the
          line
        </p>
        {is === 'pulling' && (
          <Button className="ml-auto" onClick={onStop}>
            Stop
          </Button>
        )}
      </div>
      <PullCurve readings={readings} seen={seen} lineN={lineN} />
    </>
  )
}

type VerdictProps = {
  state: Extract<PullState, { is: 'pulling' | 'over' }>
  told: Pick<Pull, 'connection' | 'material' | 'lineN' | 'wet' | 'turns'>
  onDone: () => void
}

/** What came of it: kept as it parted, or discarded with a reason; either way it is written down once. */
function Verdict({ state: { id, seen }, told, onDone }: VerdictProps) {
  const show = useShow()
  const client = useQueryClient()
  const field = useId()
  const [parted, setParted] = useState<Pull['parted']>(seen.broke ? 'knot' : 'slipped')
  const [reason, setReason] = useState<string>(REASONS[0])
  const tell = useMutation({
    mutationFn: (more: Pick<Pull, 'discarded'>) => {
      const pull: Observation = {
        formatVersion: 1,
        kind: 'pull',
        id,
        at: new Date().toISOString(),
        ...told,
        loadN: seen.peakN,
        parted,
        ...more,
      }
      return addObservation(pull)
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: pullsQuery.queryKey })
      onDone()
    },
    onError: (error) => toast.error(`${error.message} It is still here: try again.`),
  })
  const slips = seen.slips.map(
    ({ fromN, toN }) => `from ${show.computed('strength', fromN)} to ${show.computed('strength', toN)}`,
  )
  return (
    <div className="mt-3 grid gap-2 border-t border-rule pt-2">
      <p aria-live="polite">
        <strong>
          {seen.broke ? 'It broke at' : 'It never broke; it bore'} {show.computed('strength', seen.peakN)}
        </strong>
        , {percent(seen.peakN / told.lineN)} of the line.
        {slips.length > 0 && ` It slipped ${slips.join(' and ')}, and caught again.`}
      </p>
      <Field label="where it parted" htmlFor={`${field}-parted`}>
        <Select
          id={`${field}-parted`}
          value={parted}
          choices={PARTED.map((value) => ({ value, text: PARTED_WORDS[value] }))}
          onChange={(event) => setParted(event.target.value as Pull['parted'])}
        />
      </Field>
      <Button tone="strong" disabled={tell.isPending} onClick={() => tell.mutate({})}>
        Keep it
      </Button>
      <Field label="or not, for" htmlFor={`${field}-reason`}>
        <Select
          id={`${field}-reason`}
          value={reason}
          choices={REASONS.map((value) => ({ value, text: value }))}
          onChange={(event) => setReason(event.target.value)}
        />
      </Field>
      <Button disabled={tell.isPending} onClick={() => tell.mutate({ discarded: reason })}>
        Discard it
      </Button>
    </div>
  )
}

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Trash2 } from 'lucide-react'
import { type FormEvent, useId, useState } from 'react'
import { Link } from 'react-router'
import type { LineSpec } from '../../../core/catalogue/materials.ts'
import { type Observation, PARTED, type Pull } from '../../../core/documents/observation.ts'
import { yourPulls } from '../../../core/joints/ownFigures.ts'
import type { KnotId } from '../../../core/knots/facts.ts'
import { type KnotLesson, knotLesson } from '../../../core/learning/knotLessons.ts'
import { percent } from '../../../core/units/percent.ts'
import { newId } from '../../api/newId.ts'
import { addObservation, OBSERVATIONS, pullsQuery } from '../../api/observations.ts'
import { type Spool, useSpools } from '../../api/useSpools.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { OwnFiguresField } from '../../fishing/OwnFiguresField.tsx'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, Select, Sheet } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Failed, Fault } from '../../ui/states.tsx'
import { useNoFaults } from '../../ui/useNoFaults.ts'
import { knotPath } from '../../words/knotAddress.ts'
import { CutFrom } from './CutFrom.tsx'
import { PARTED_WORDS } from './knotWords.ts'
import { PullChart } from './PullChart.tsx'

type Props = { id: KnotId; line: LineSpec; turns: number }

/** One’s own pulls of a knot in a line: written down, shown against the nominal figure, and struck out where they were wrong. */
export function OwnPulls({ id, line, turns }: Props) {
  const query = useQuery(pullsQuery)
  const client = useQueryClient()
  const spools = useSpools().filter(({ material }) => material === line.material)
  const tell = useMutation({
    mutationFn: (observation: Observation) => addObservation(observation),
    onSuccess: () => client.invalidateQueries(OBSERVATIONS),
    onError: (error) => toast.error(error.message),
  })
  const nominal = useNominalCatalogue()
  const lesson = knotLesson(nominal, query.data ?? [], id, line.material)
  const materialName = nominal.materials[line.material].name
  return (
    <Sheet
      title={`Your tests in ${materialName}`}
      aside={
        <Link
          className="text-sm text-tide underline"
          to={`/knots/test?knot=${id}&${knotPath(id, { lines: [line], turns }).split('?')[1]}`}
        >
          Test on a scale
        </Link>
      }
    >
      {query.error && !query.data ? (
        <Failed what="Your tests" error={query.error} onRetry={() => query.refetch()} />
      ) : (
        lesson && (
          <>
            <PullChart lesson={lesson} />
            <LessonWords lesson={lesson} />
            <OwnFiguresField />
            <PullForm
              key={`${line.material} ${line.strengthN}`}
              lineN={line.strengthN}
              spools={spools}
              busy={tell.isPending}
              onPull={(pulled) =>
                tell.mutate({
                  formatVersion: 1,
                  kind: 'pull',
                  id: newId(),
                  at: new Date().toISOString(),
                  connection: id,
                  material: line.material,
                  ...(turns > 0 ? { turns } : {}),
                  ...pulled,
                })
              }
            />
            <PullList
              lesson={lesson}
              busy={tell.isPending}
              onStrike={(of) =>
                tell.mutate({ formatVersion: 1, kind: 'retraction', id: newId(), at: new Date().toISOString(), of })
              }
            />
          </>
        )
      )}
    </Sheet>
  )
}

const figure = ({ mean, low, high }: KnotLesson['prior']) => `${percent(mean)} (${percent(low)} to ${percent(high)}, 90 % range)`

function LessonWords({ lesson: { prior, posterior, breaks, apart, slipped: slips } }: { lesson: KnotLesson }) {
  if (breaks.length === 0 && apart.length === 0)
    return (
      <p className="my-2 text-sm text-quiet">
        Nominal {figure(prior)}. Test a few of your own: three or four tell more than any table.
      </p>
    )
  return (
    <p className="my-2">
      Nominal {figure(prior)}
      {breaks.length > 0 && (
        <>
          ; after {yourPulls(breaks.length)} <strong>{figure(posterior)}</strong>
        </>
      )}
      .
      {slips > 0 && ` It slipped ${slips === 1 ? 'once' : `${slips} times`}: a slip counts as the load at which the knot failed.`}
    </p>
  )
}

type Pulled = Pick<Pull, 'spoolId' | 'lineN' | 'loadN' | 'wet' | 'parted'>
type FormProps = { lineN: number; spools: readonly Spool[]; busy: boolean; onPull: (pulled: Pulled) => void }

function PullForm({ lineN: labelN, spools, busy, onPull }: FormProps) {
  const id = useId()
  const [lineN, setLineN] = useState(labelN)
  const [loadN, setLoadN] = useState<number>()
  // Each save gives the load an empty field.
  const [saves, setSaves] = useState(0)
  const [parted, setParted] = useState<Pull['parted']>('knot')
  const [wet, setWet] = useState(false)
  const [spoolId, setSpoolId] = useState<string>()
  const { ref, complaint, submitIfValid } = useNoFaults<HTMLFormElement>()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    submitIfValid(() => {
      if (loadN === undefined) return
      onPull({ lineN, loadN, wet, parted, ...(spoolId === undefined ? {} : { spoolId }) })
      setLoadN(undefined)
      setSaves(saves + 1)
    })
  }
  return (
    <form ref={ref} className="mt-2 grid gap-2 border-t border-rule pt-2" noValidate onSubmit={submit}>
      <p className="text-sm text-quiet">Protect your eyes, cover the points, put a cloth over the line, keep others clear.</p>
      <QuantityField
        key={saves}
        label="it broke at"
        quantity="strength"
        valueSi={loadN}
        placeholder="highest load"
        check={within(0.1, 2 * lineN, 'This is over twice the strength of the line. Check it.')}
        onChange={setLoadN}
        onClear={() => setLoadN(undefined)}
      />
      <CutFrom
        spools={spools}
        value={spoolId}
        onChange={(spool) => {
          setSpoolId(spool?.id)
          if (spool) setLineN(spool.lesson?.strengthN ?? spool.labelN)
        }}
      />
      <QuantityField
        label="line strength"
        quantity="strength"
        valueSi={lineN}
        check={within(1, 10_000, 'From 1 N to 10 kN.')}
        onChange={setLineN}
        hint="its own test, else its label"
      />
      <Field label="where it broke" htmlFor={`${id}-parted`}>
        <Select
          id={`${id}-parted`}
          value={parted}
          choices={PARTED.map((value) => ({ value, text: PARTED_WORDS[value] }))}
          onChoose={(next) => setParted(next)}
        />
      </Field>
      <CheckField label="tested wet" checked={wet} onChange={setWet} />
      {complaint && <Fault>{complaint}</Fault>}
      <Button type="submit" disabled={busy || loadN === undefined}>
        Save
      </Button>
    </form>
  )
}

type ListProps = { lesson: KnotLesson; busy: boolean; onStrike: (id: string) => void }

function PullList({ lesson: { breaks, apart }, busy, onStrike }: ListProps) {
  const show = useShow()
  const rows = [...breaks, ...apart.map((pull) => ({ pull, share: undefined, farOff: false }))]
  if (rows.length === 0) return null
  return (
    <ul className="mt-2" aria-label="Every test">
      {rows.map(({ pull, share, farOff }) => (
        <li key={pull.id} className="flex items-center gap-2 border-t border-rule py-0.5">
          <span className="mr-auto">
            {show.entered('strength', pull.loadN)} of {show.entered('strength', pull.lineN)}, {PARTED_WORDS[pull.parted]}
            {pull.discarded !== undefined && `, discarded: ${pull.discarded}`}
            {share !== undefined && `: ${percent(share)}`}
            {farOff && <strong className="text-watch"> far from the others</strong>}
          </span>
          <Button
            tone="quiet"
            aria-label={`Remove ${show.entered('strength', pull.loadN)}`}
            title="Remove"
            disabled={busy}
            onClick={() => onStrike(pull.id)}
          >
            <Trash2 className="size-4" aria-hidden="true" />
          </Button>
        </li>
      ))}
    </ul>
  )
}

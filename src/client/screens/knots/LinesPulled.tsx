import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Trash2 } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import type { LineSpec } from '../../../core/catalogue/materials.ts'
import type { Observation, StraightPull } from '../../../core/documents/observation.ts'
import { type CutFrom as Cut, lineLesson, linesPulled, straightsOf } from '../../../core/learning/lineLessons.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { newId } from '../../api/newId.ts'
import { addObservation, OBSERVATIONS } from '../../api/observations.ts'
import { type Spool, useSpools } from '../../api/useSpools.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Fault } from '../../ui/states.tsx'
import { useNoFaults } from '../../ui/useNoFaults.ts'
import { CutFrom } from './CutFrom.tsx'
import { LineFields } from './LineFields.tsx'

/** Line tests: what each line holds against its label, every pull with a way to strike it out, and a form for the next. */
export function LinesPulled({ straights }: { straights: readonly StraightPull[] }) {
  const client = useQueryClient()
  const spools = useSpools()
  const tell = useMutation({
    mutationFn: (observation: Observation) => addObservation(observation),
    onSuccess: () => client.invalidateQueries(OBSERVATIONS),
    onError: (error) => toast.error(error.message),
  })
  const said = () => ({ formatVersion: 1, id: newId(), at: new Date().toISOString() }) as const
  return (
    <Sheet title="Line tests">
      <ul className="grid gap-2">
        {linesPulled(straights).map((line) => (
          <Line
            key={line.spoolId ?? `${line.material} ${line.labelN}`}
            line={line}
            spool={spools.find(({ id }) => id === line.spoolId)}
            straights={straights}
            busy={tell.isPending}
            onStrike={(of) => tell.mutate({ ...said(), kind: 'retraction', of })}
          />
        ))}
      </ul>
      {straights.length === 0 && (
        <p className="text-quiet">
          A line rarely breaks at its label. Test a length without a knot, its ends wound round something smooth.
        </p>
      )}
      <StraightForm
        spools={spools}
        busy={tell.isPending}
        onPull={(pulled) => tell.mutate({ ...said(), kind: 'straight', ...pulled })}
      />
    </Sheet>
  )
}

type LineProps = {
  line: Cut
  spool: Spool | undefined
  straights: readonly StraightPull[]
  busy: boolean
  onStrike: (id: string) => void
}

function Line({ line, spool, straights, busy, onStrike }: LineProps) {
  const show = useShow()
  const nominal = useNominalCatalogue()
  // A spool’s label may have been put right since.
  const lesson = lineLesson(nominal, straights, spool ? { ...line, labelN: spool.labelN } : line)
  const name = spool?.name ?? `${nominal.materials[line.material].name} ${show.entered('strength', line.labelN)}`
  return (
    <li className="border-t border-rule pt-1">
      <p>
        <strong>{name}</strong>
        {lesson && (
          <>
            : holds <strong>{show.computed('strength', lesson.strengthN)}</strong> dry{' '}
            <span className="text-quiet">
              ({show.computed('strength', lesson.lowN)} to {show.computed('strength', lesson.highN)}, 90 % range)
            </span>
          </>
        )}
      </p>
      <ul className="flex flex-wrap gap-x-4" aria-label={`Tests of ${name}`}>
        {straightsOf(straights, line).map(({ id, loadN, wet, discarded }) => (
          <li key={id} className="flex items-center gap-1">
            {show.entered('strength', loadN)}
            {wet && ' soaked'}
            {discarded !== undefined && <span className="text-quiet"> discarded: {discarded}</span>}
            <Button
              tone="quiet"
              className="px-1!"
              aria-label={`Remove ${show.entered('strength', loadN)}`}
              title="Remove"
              disabled={busy}
              onClick={() => onStrike(id)}
            >
              <Trash2 className="size-4" aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
    </li>
  )
}

type Pulled = Pick<StraightPull, 'material' | 'labelN' | 'loadN' | 'wet' | 'spoolId'>
type FormProps = { spools: readonly Spool[]; busy: boolean; onPull: (pulled: Pulled) => void }

function StraightForm({ spools, busy, onPull }: FormProps) {
  const [line, setLine] = useState<LineSpec>({ material: 'mono', strengthN: 30 * QUANTITIES.strength.units.lb })
  const [spoolId, setSpoolId] = useState<string>()
  const [loadN, setLoadN] = useState<number>()
  // Each save gives the load an empty field.
  const [saves, setSaves] = useState(0)
  const [wet, setWet] = useState(false)
  const { ref, complaint, submitIfValid } = useNoFaults<HTMLFormElement>()
  const spool = spools.find(({ id }) => id === spoolId)
  const { material, strengthN: labelN } = spool ? { material: spool.material, strengthN: spool.labelN } : line
  const submit = (event: FormEvent) => {
    event.preventDefault()
    submitIfValid(() => {
      if (loadN === undefined) return
      onPull({ material, labelN, loadN, wet, ...(spool ? { spoolId: spool.id } : {}) })
      setLoadN(undefined)
      setSaves(saves + 1)
    })
  }
  return (
    <form ref={ref} className="mt-2 grid max-w-md gap-2 border-t border-rule pt-2" noValidate onSubmit={submit}>
      <CutFrom spools={spools} value={spoolId} onChange={(chosen) => setSpoolId(chosen?.id)} />
      {!spool && <LineFields label="line" line={line} onChange={setLine} />}
      <QuantityField
        key={saves}
        label="it broke at"
        quantity="strength"
        valueSi={loadN}
        placeholder="highest load"
        check={within(0.1, 4 * labelN, 'This is over four times the label. Check it.')}
        onChange={setLoadN}
        onClear={() => setLoadN(undefined)}
      />
      <CheckField label="tested wet" checked={wet} onChange={setWet} />
      {complaint && <Fault>{complaint}</Fault>}
      <Button type="submit" className="justify-self-start" disabled={busy || loadN === undefined}>
        Save
      </Button>
    </form>
  )
}

import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { toast } from 'sonner'
import { NOMINAL_CATALOGUE } from '../../../core/catalogue/catalogue.ts'
import { PARTED, type Pull } from '../../../core/documents/observation.ts'
import { analysePull } from '../../../core/learning/pullCurve.ts'
import { addObservation, OBSERVATIONS } from '../../api/observations.ts'
import { forgetPendingPull, type PendingPull } from '../../scale/pendingPulls.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { clockTime } from '../../words/clockTime.ts'
import { percent } from '../../words/percent.ts'
import { PARTED_WORDS } from './knotWords.ts'
import { PullCurve } from './PullCurve.tsx'

const REASONS = ['not tightened', 'the line was nicked', 'pulled at an angle', 'wrong sample'] as const

/** What came of a pull: kept as it parted, or discarded with a reason; either way it is written down once. */
export function Outcome({ pull: { told, readings } }: { pull: PendingPull }) {
  const show = useShow()
  const client = useQueryClient()
  const field = useId()
  const [parted, setParted] = useState<Pull['parted']>(told.kind === 'pull' ? told.parted : 'line')
  const [reason, setReason] = useState<(typeof REASONS)[number]>(REASONS[0])
  const tell = useMutation({
    mutationFn: (more: Pick<Pull, 'discarded'>) =>
      addObservation({ ...told, ...(told.kind === 'pull' ? { parted } : {}), ...more }),
    onSuccess: () => {
      void client.invalidateQueries(OBSERVATIONS)
      forgetPendingPull(told.id)
    },
    onError: (error) => toast.error(`${error.message} It is still here. Try again.`),
  })
  const seen = analysePull(readings)
  const lineN = told.kind === 'pull' ? told.lineN : told.labelN
  const slips = seen.slips.map(
    ({ fromN, toN }) => `from ${show.computed('strength', fromN)} to ${show.computed('strength', toN)}`,
  )
  const { connections, materials } = NOMINAL_CATALOGUE
  const what = told.kind === 'pull' ? connections[told.connection].name : 'no knot'
  return (
    <li
      className="grid gap-2 not-first:border-t not-first:border-rule not-first:pt-3"
      aria-label={`${what}, ${clockTime(told.at)}`}
    >
      <p className="text-sm text-quiet">
        {what} in {materials[told.material].name} {show.entered('strength', lineN)}, {clockTime(told.at)}
      </p>
      <p aria-live="polite">
        <strong>
          {seen.broke ? 'It broke at' : 'It did not break; it held'} {show.computed('strength', told.loadN)}
        </strong>
        , {percent(told.loadN / lineN)} of {told.kind === 'pull' ? 'the line' : 'its label'}.
        {slips.length > 0 && ` It slipped ${slips.join(' and ')}, then held again.`}
      </p>
      <PullCurve readings={readings} seen={seen} lineN={lineN} />
      <div className="grid max-w-md gap-2">
        {told.kind === 'pull' && (
          <Field label="where it broke" htmlFor={`${field}-parted`}>
            <Select
              id={`${field}-parted`}
              value={parted}
              choices={PARTED.map((value) => ({ value, text: PARTED_WORDS[value] }))}
              onChoose={(next) => setParted(next)}
            />
          </Field>
        )}
        {(told.kind === 'pull' || seen.broke) && (
          <Button tone="strong" disabled={tell.isPending} onClick={() => tell.mutate({})}>
            Save
          </Button>
        )}
        <Field label="or discard because" htmlFor={`${field}-reason`}>
          <Select
            id={`${field}-reason`}
            value={reason}
            choices={REASONS.map((value) => ({ value, text: value }))}
            onChoose={(next) => setReason(next)}
          />
        </Field>
        <Button disabled={tell.isPending} onClick={() => tell.mutate({ discarded: reason })}>
          Discard
        </Button>
      </div>
    </li>
  )
}

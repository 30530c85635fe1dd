import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { PARTED, type Pull } from '../../../core/documents/observation.ts'
import { analysePull } from '../../../core/learning/pullCurve.ts'
import { percent } from '../../../core/units/percent.ts'
import { addObservation, OBSERVATIONS } from '../../api/observations.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { toast } from '../../regional/toast.ts'
import { forgetPendingPull, type PendingPull } from '../../scale/pendingPulls.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { PARTED_WORDS } from './knotWords.ts'
import { PullCurve } from './PullCurve.tsx'

const REASONS = ['not tightened', 'the line was nicked', 'pulled at an angle', 'wrong sample'] as const

/** The result of a test, to be saved or discarded with a reason. Either way it is recorded once. */
export function Outcome({ pull: { observation, readings } }: { pull: PendingPull }) {
  const show = useShow()
  const client = useQueryClient()
  const field = useId()
  const [parted, setParted] = useState<Pull['parted']>(observation.kind === 'pull' ? observation.parted : 'line')
  const [reason, setReason] = useState<(typeof REASONS)[number]>(REASONS[0])
  const tell = useMutation({
    mutationFn: (more: Pick<Pull, 'discarded'>) =>
      addObservation({ ...observation, ...(observation.kind === 'pull' ? { parted } : {}), ...more }),
    onSuccess: () => {
      void client.invalidateQueries(OBSERVATIONS)
      forgetPendingPull(observation.id)
    },
    onError: (error) => toast.error(`${error.message} It is still here. Try again.`),
  })
  const seen = analysePull(readings)
  const lineN = observation.kind === 'pull' ? observation.lineN : observation.labelN
  const slips = seen.slips.map(
    ({ fromN, toN }) => `from ${show.computed('strength', fromN)} to ${show.computed('strength', toN)}`,
  )
  const { connections, materials } = useNominalCatalogue()
  const what = observation.kind === 'pull' ? connections[observation.connection].name : 'no knot'
  return (
    <li
      className="grid gap-2 not-first:border-t not-first:border-rule not-first:pt-3"
      aria-label={`${what}, ${show.clock(Date.parse(observation.at))}`}
    >
      <p className="text-sm text-quiet">
        {what} in {materials[observation.material].name} {show.entered('strength', lineN)},{' '}
        {show.clock(Date.parse(observation.at))}
      </p>
      <p aria-live="polite">
        <strong>
          {seen.broke ? 'It broke at' : 'It did not break; it held'} {show.computed('strength', observation.loadN)}
        </strong>
        , {percent(observation.loadN / lineN)} of {observation.kind === 'pull' ? 'the line' : 'its label'}.
        {slips.length > 0 && ` It slipped ${slips.join(' and ')}, then held again.`}
      </p>
      <PullCurve readings={readings} seen={seen} lineN={lineN} />
      <div className="grid max-w-md gap-2">
        {observation.kind === 'pull' && (
          <Field label="where it broke" htmlFor={`${field}-parted`}>
            <Select
              id={`${field}-parted`}
              value={parted}
              choices={PARTED.map((value) => ({ value, text: PARTED_WORDS[value] }))}
              onChoose={(next) => setParted(next)}
            />
          </Field>
        )}
        {(observation.kind === 'pull' || seen.broke) && (
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

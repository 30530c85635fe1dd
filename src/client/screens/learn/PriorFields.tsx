import { useMutation, useQueryClient } from '@tanstack/react-query'
import { DEFAULT_PRIORS, type Priors } from '../../../core/lessons/priors.ts'
import { changeCrewSettings } from '../../api/documents.ts'
import { usePriors } from '../../lessons/usePriors.ts'
import { Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Fault } from '../../ui/states.tsx'

/** What is thought before anything was logged: seen, changed, and put back. */
export function PriorFields() {
  const client = useQueryClient()
  const priors = usePriors()
  const change = useMutation({
    mutationFn: (next: Partial<Priors>) => changeCrewSettings(client, (old) => ({ ...old, priors: { ...old.priors, ...next } })),
  })
  const field = <K extends keyof Priors, F extends keyof Priors[K] & string>(kind: K, of: F, label: string, hint: string) => (
    <NumberField
      label={label}
      hint={hint}
      value={priors[kind][of] as number}
      least={0.01}
      most={10_000}
      placeholder={String(DEFAULT_PRIORS[kind][of])}
      onChange={(value) =>
        change.mutate({ [kind]: { ...priors[kind], [of]: value ?? DEFAULT_PRIORS[kind][of] } } as Partial<Priors>)
      }
    />
  )
  return (
    <Sheet title="Assumed before your first trip">
      <details>
        <summary className="cursor-pointer">
          {priors.losses.events} losses in {priors.losses.hours} hours, {priors.fish.events} fish in {priors.fish.hours} hours
        </summary>
        <p className="mt-1 text-sm text-quiet">
          They count like hours and fish from your log. The more you log, the less they matter. A nominal value of a knot counts
          as four tests.
        </p>
        <div className="mt-2 grid gap-2 sm:grid-cols-2">
          {field('losses', 'events', 'losses', 'snags, sinkers or traces')}
          {field('losses', 'hours', 'in hours', 'of one rod')}
          {field('fish', 'events', 'fish', 'or bites')}
          {field('fish', 'hours', 'in hours', 'of one rod')}
          {field('share', 'yes', 'shares: yes', 'such as hooked deep')}
          {field('share', 'no', 'shares: no', 'such as not hooked deep')}
        </div>
      </details>
      {change.error && <Fault>{change.error.message}</Fault>}
    </Sheet>
  )
}

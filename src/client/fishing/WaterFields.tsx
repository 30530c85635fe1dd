import type { Bed, Method } from '../../core/catalogue/ids.ts'
import { isCastMethod } from '../../core/catalogue/methods.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { choicesOf, Field, Select } from '../ui/controls.tsx'
import { NumberField } from '../ui/NumberField.tsx'
import { QuantityField } from '../ui/QuantityField.tsx'

/** How a place is fished, by its field; a mark and a trace's water say it alike. */
export type Fishing = { method: Method; bed: Bed; distanceM: number; scope: number; weedFactor: number }
/** `tag` names the field, so that its steps are undone together. */
type Props = { of: Fishing; onChange: (change: Partial<Fishing>, tag?: string) => void }

/** The method; its usual scope comes with it. */
export function MethodField({ of: { method }, onChange }: Props) {
  const { methods } = useCatalogue()
  return (
    <Field label="fished" htmlFor="fishing-method">
      <Select
        id="fishing-method"
        value={method}
        onChoose={(next) => onChange({ method: next, scope: methods[next].scope })}
        choices={choicesOf(methods)}
      />
    </Field>
  )
}

export function BedField({ of: { bed }, onChange }: Props) {
  const { beds } = useCatalogue()
  return (
    <Field label="bottom" htmlFor="fishing-bed">
      <Select id="fishing-bed" value={bed} onChoose={(next) => onChange({ bed: next })} choices={choicesOf(beds)} />
    </Field>
  )
}

/** How far it is cast. */
export function DistanceField({ of: { distanceM }, onChange }: Props) {
  return (
    <QuantityField
      label="distance"
      quantity="length"
      valueSi={distanceM}
      check={(m) => (m > 0 && m <= 1000 ? undefined : 'Must be more than 0 and up to 1 km.')}
      onChange={(next) => onChange({ distanceM: next }, 'distance')}
    />
  )
}

/** Line out over the least there could be, and the weed on it. */
export function ScopeAndWeedFields({ of: { method, scope, weedFactor }, onChange }: Props) {
  return (
    <>
      <NumberField
        label={isCastMethod(method) ? 'bow' : 'scope'}
        value={scope}
        least={1.01}
        most={3}
        onChange={(next) => next !== undefined && onChange({ scope: next }, 'scope')}
        hint={isCastMethod(method) ? 'line out over the straight distance' : 'line out over depth'}
      />
      <NumberField
        label="weed"
        value={weedFactor}
        least={1}
        most={3}
        onChange={(next) => next !== undefined && onChange({ weedFactor: next }, 'weed')}
        hint="times the line diameter; 1 is clean"
      />
    </>
  )
}

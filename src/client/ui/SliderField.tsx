import { factorToSi, type Quantity } from '../../core/units/quantities.ts'
import { usePreferences, useShow } from '../settings/preferences.tsx'
import { within } from './limits.ts'
import { QuantityField } from './QuantityField.tsx'

type Props = {
  label: string
  quantity: Quantity
  valueSi: number
  /** Ends and step of what is dragged, SI; `most` of what may be typed where that is more. */
  least: number
  most: number
  step: number
  mostTyped?: number
  hint?: string
  onChange: (si: number) => void
}

/** A quantity that is typed, or dragged while its charts follow. */
export function SliderField({ label, quantity, valueSi, least, most, step, mostTyped = most, hint, onChange }: Props) {
  const show = useShow()
  const { units } = usePreferences()
  // Whole tenths of the unit shown, so that what is dragged reads round.
  const tenth = (factorToSi(quantity, units[quantity]) ?? 1) / 10
  const stepSi = Math.max(1, Math.round(step / tenth)) * tenth
  const leastSi = Math.ceil(least / stepSi - 1e-9) * stepSi
  const round = (si: number) => Number((Math.round(si / stepSi) * stepSi).toPrecision(12))
  return (
    <div>
      <QuantityField
        label={label}
        quantity={quantity}
        valueSi={valueSi}
        check={within(least, mostTyped, `From ${show.entered(quantity, least)} to ${show.entered(quantity, mostTyped)}.`)}
        onChange={onChange}
        step={(si, direction) => Math.min(mostTyped, Math.max(least, round(si + direction * stepSi)))}
        {...(hint === undefined ? {} : { hint })}
      />
      <input
        type="range"
        aria-label={`${label}, dragged`}
        aria-valuetext={show.entered(quantity, valueSi)}
        className="mt-1 block h-6 w-full accent-tide"
        min={leastSi}
        max={most}
        step={stepSi}
        value={Math.min(most, valueSi)}
        onChange={(event) => onChange(round(Number(event.target.value)))}
      />
    </div>
  )
}

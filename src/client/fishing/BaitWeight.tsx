import { useShow } from '../settings/preferences.tsx'
import { above } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'

/** A bait as it is weighed, else as heavy as one usually is. */
export function BaitWeight({
  massKg,
  usualKg,
  onChange,
}: {
  massKg: number | undefined
  usualKg: number
  onChange: (kg: number | undefined) => void
}) {
  const show = useShow()
  return (
    <QuantityField
      label="weight"
      quantity="mass"
      valueSi={massKg}
      placeholder={`usual ${show.computed('mass', usualKg)}`}
      check={above(0, 50)}
      onChange={onChange}
      onClear={() => onChange(undefined)}
    />
  )
}

import type { Trip } from '../../../core/documents/trip.ts'
import { Field, Select } from '../../ui/controls.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { compassPoint } from '../../words/waterWords.ts'

/** Strongest that is taken in, m/s: a hurricane. */
const MAX_MPERS = 60
const POINTS = Array.from({ length: 16 }, (_, i) => 22.5 * i)

type Props = { wind: Trip['wind']; onChange: (wind: Trip['wind']) => void }

/** The wind that somebody expects, in place of the forecast. */
export function WindFields({ wind, onChange }: Props) {
  return (
    <>
      <QuantityField
        label="wind"
        quantity="speed"
        valueSi={wind?.speedMperS}
        placeholder="as forecast"
        check={(mPerS) => (mPerS >= 0 && mPerS <= MAX_MPERS ? undefined : 'Must be from 0 to 60 m/s.')}
        onChange={(speedMperS) => onChange({ speedMperS, fromDeg: wind?.fromDeg ?? 270 })}
        onClear={() => onChange(undefined)}
      />
      {wind && (
        <Field label="wind from" htmlFor="trip-wind-from">
          <Select
            id="trip-wind-from"
            value={String(wind.fromDeg)}
            onChoose={(fromDeg) => onChange({ ...wind, fromDeg: Number(fromDeg) })}
            choices={POINTS.map((deg) => ({ value: String(deg), text: compassPoint(deg) }))}
          />
        </Field>
      )}
    </>
  )
}

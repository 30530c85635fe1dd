import { useQuery } from '@tanstack/react-query'
import { springWater } from '../../../core/mark/springWater.ts'
import { isCastMethod, usualWater, type Water } from '../../../core/trace/waterConditions.ts'
import { marksQuery } from '../../api/water.ts'
import { Field, Select } from '../../ui/controls.tsx'
import { BedField, DistanceField, MethodField, ScopeAndWeedFields } from '../../ui/FishingFields.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { notBelow } from './limits.ts'

type Props = { water: Water | undefined; onChange: (water: Water | undefined, tag?: string) => void }

/** Depth, stream and method, for how it settles; left out, that moment is not reckoned. */
export function WaterFields({ water, onChange }: Props) {
  const marks = useQuery(marksQuery).data ?? []
  const set = (change: Partial<Water>, tag?: string) => water && onChange({ ...water, ...change }, tag)
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">The water</legend>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={water !== undefined}
          onChange={(event) => onChange(event.target.checked ? usualWater('anchor') : undefined)}
        />
        reckon how it settles
      </label>
      {water && (
        <>
          {marks.length > 0 && (
            <Field label="as at" htmlFor="water-mark">
              <Select
                id="water-mark"
                value=""
                onChange={(event) => {
                  const mark = marks.find(({ id }) => id === event.target.value)
                  if (mark) onChange(springWater(mark.content))
                }}
                choices={[
                  { value: '', text: 'a mark at springs …' },
                  ...marks.map(({ id, content }) => ({ value: id, text: content.name })),
                ]}
              />
            </Field>
          )}
          <MethodField of={water} onChange={set} />
          <QuantityField
            label="depth"
            quantity="length"
            valueSi={water.depthM}
            check={(m) => (m >= 1 && m <= 2000 ? undefined : 'From 1 m to 2 km.')}
            onChange={(depthM) => set({ depthM }, 'depth')}
          />
          <QuantityField
            label="stream"
            quantity="speed"
            valueSi={water.streamMperS}
            check={notBelow(6)}
            onChange={(streamMperS) => set({ streamMperS }, 'stream')}
            hint="at its peak"
          />
          {water.method === 'drift' && (
            <QuantityField
              label="drift"
              quantity="speed"
              valueSi={water.driftMperS}
              check={notBelow(6)}
              onChange={(driftMperS) => set({ driftMperS }, 'drift')}
            />
          )}
          {isCastMethod(water.method) && (
            <>
              <DistanceField of={water} onChange={set} />
              <BedField of={water} onChange={set} />
            </>
          )}
          <ScopeAndWeedFields of={water} onChange={set} />
        </>
      )}
    </fieldset>
  )
}

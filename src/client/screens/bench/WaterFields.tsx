import { useQuery } from '@tanstack/react-query'
import { BEDS, type Bed } from '../../../core/gear/grip.ts'
import { springWater } from '../../../core/mark/springWater.ts'
import { isCastMethod, METHODS, type Method, usualWater, type Water } from '../../../core/trace/waterConditions.ts'
import { marksQuery } from '../../api/water.ts'
import { Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { notBelow } from './limits.ts'

type Props = { water: Water | undefined; onChange: (water: Water | undefined, tag?: string) => void }

/** Depth, stream and method, for how it settles; left out, that moment is not reckoned. */
export function WaterFields({ water, onChange }: Props) {
  const marks = useQuery(marksQuery).data ?? []
  const set = (change: Partial<Water>, tag?: string) => water && onChange({ ...water, ...change }, tag)
  const cast = water !== undefined && isCastMethod(water.method)
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
          <Field label="fished" htmlFor="water-method">
            <Select
              id="water-method"
              value={water.method}
              onChange={(event) => {
                const method = event.target.value as Method
                set({ method, scope: METHODS[method].scope })
              }}
              choices={Object.entries(METHODS).map(([value, { name }]) => ({ value, text: name }))}
            />
          </Field>
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
          {cast && (
            <>
              <QuantityField
                label="distance"
                quantity="length"
                valueSi={water.distanceM}
                check={(m) => (m > 0 && m <= 1000 ? undefined : 'More than nothing, up to a kilometre.')}
                onChange={(distanceM) => set({ distanceM }, 'distance')}
              />
              <Field label="bed" htmlFor="water-bed">
                <Select
                  id="water-bed"
                  value={water.bed}
                  onChange={(event) => set({ bed: event.target.value as Bed })}
                  choices={Object.entries(BEDS).map(([value, { name }]) => ({ value, text: name }))}
                />
              </Field>
            </>
          )}
          <NumberField
            label="scope"
            value={water.scope}
            least={1.01}
            most={3}
            onChange={(scope) => scope !== undefined && set({ scope }, 'scope')}
            hint={cast ? 'line out over the straight distance' : 'line out over depth'}
          />
          <NumberField
            label="weed"
            value={water.weedFactor}
            least={1}
            most={3}
            onChange={(weedFactor) => weedFactor !== undefined && set({ weedFactor }, 'weed')}
            hint="times the line’s thickness; 1 is clean"
          />
        </>
      )}
    </fieldset>
  )
}

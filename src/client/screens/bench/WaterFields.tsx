import { useQuery } from '@tanstack/react-query'
import { FISHING_MODES } from '../../../core/catalogue/familyIds.ts'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import { calmDrift, defaultWater, type Water } from '../../../core/documents/water.ts'
import { fishingModeOf } from '../../../core/setup/fishingMode.ts'
import { springWater } from '../../../core/setup/springWater.ts'
import { marksQuery } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { BedField, DistanceField, MethodField, ScopeAndWeedFields } from '../../fishing/WaterFields.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Field, namesOf, Select } from '../../ui/controls.tsx'
import { notBelow } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { FISHING_MODE_WORDS } from '../../words/waterWords.ts'
import type { Bench } from './useBench.ts'

/** How the end fishes, and depth, stream and method, of a mark or as given here; left out, it is not judged how it settles. */
export function WaterFields({ bench }: { bench: Bench }) {
  const catalogue = useCatalogue()
  const marks = useQuery(marksQuery).data ?? []
  const { markId, conditions } = bench.content
  const { water } = conditions
  const mark = marks.find(({ id }) => id === markId)
  const there = mark && springWater(mark.content)
  const onChange = (next: Water | undefined, tag?: string) => bench.editConditions({ water: next }, tag)
  const set = (change: Partial<Water>, tag?: string) => water && onChange({ ...water, ...change }, tag)
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">Water</legend>
      <Field label="the end should" htmlFor="water-fishes">
        <Select
          id="water-fishes"
          value={fishingModeOf(bench.content.trace) ?? ''}
          onChoose={(next) => bench.editTrace((old) => ({ ...old, fishes: FISHING_MODES.find((mode) => mode === next) }))}
          choices={[
            ...(fishingModeOf(bench.content.trace) ? [] : [{ value: '' as const, text: 'choose' }]),
            ...FISHING_MODES.map((value) => ({ value, text: FISHING_MODE_WORDS[value] })),
          ]}
        />
      </Field>
      {marks.length > 0 && (
        <Field
          label="mark"
          htmlFor="water-mark"
          hint={mark && mark.content.streamFrom !== 'table' ? 'its current is assumed' : 'sets depth and the strongest current'}
        >
          <Select
            id="water-mark"
            value={marks.some(({ id }) => id === markId) ? markId : ''}
            onChoose={(next) => bench.chooseMark(marks.find(({ id }) => id === next))}
            choices={[{ value: '', text: 'no mark' }, ...namesOf(marks)]}
          />
        </Field>
      )}
      <CheckField
        label="include depth and current"
        checked={water !== undefined}
        onChange={(checked) => onChange(checked ? (there ?? defaultWater(catalogue, 'anchor')) : undefined)}
      />
      {water && (
        <>
          <MethodField
            of={water}
            onChange={(change, tag) => set({ ...change, ...calmDrift(change.method ?? water.method, water.streamMperS) }, tag)}
          />
          <QuantityField
            label="depth"
            quantity="depth"
            valueSi={water.depthM}
            check={(m) => (m >= 1 && m <= 2000 ? undefined : 'From 1 m to 2 km.')}
            onChange={(depthM) => set({ depthM }, 'depth')}
          />
          <QuantityField
            label={water.neapMperS === undefined ? 'current' : 'current, springs'}
            quantity="speed"
            valueSi={water.streamMperS}
            check={notBelow(6)}
            onChange={(streamMperS) => set({ streamMperS }, 'stream')}
            hint="strongest"
          />
          {water.neapMperS !== undefined && (
            <QuantityField
              label="current, neaps"
              quantity="speed"
              valueSi={water.neapMperS}
              check={notBelow(6)}
              onChange={(neapMperS) => set({ neapMperS }, 'neaps')}
              hint="strongest"
            />
          )}
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

import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import type { SwimsAt } from '../../../../core/documents/moving.ts'
import { marksQuery } from '../../../api/documents.ts'
import { useShow } from '../../../settings/preferences.tsx'
import { Field, Select } from '../../../ui/controls.tsx'
import { notBelow } from '../../../ui/limits.ts'
import { QuantityField } from '../../../ui/QuantityField.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'
import type { Bench } from '../useBench.ts'

/** Values on the left, what they do on the right; on a narrow screen one under the other. */
export function Beside({ fields, children }: { fields: ReactNode; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-2 md:grid-cols-[20rem_minmax(0,1fr)]">
      <section aria-label="Values" className="grid gap-2 rounded-lg border border-rule bg-sheet p-3">
        {fields}
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2 max-md:order-first">{children}</div>
    </div>
  )
}

/** Where it is meant to swim: under the surface, or over the bed. */
export function SwimsAtField({
  label,
  id,
  value,
  onChange,
}: {
  label: string
  id: string
  value: SwimsAt
  onChange: (next: SwimsAt) => void
}) {
  return (
    <>
      <QuantityField
        label={label}
        quantity="depth"
        valueSi={value.m}
        check={notBelow(500)}
        onChange={(m) => onChange({ ...value, m })}
        step={(m, direction) => Math.max(0, Math.round(2 * m + direction) / 2)}
      />
      <Field label="counted" htmlFor={id}>
        <Select
          id={id}
          value={value.from}
          onChoose={(next) => onChange({ ...value, from: next })}
          choices={[
            { value: 'surface', text: 'under the surface' },
            { value: 'bed', text: 'above the bottom' },
          ]}
        />
      </Field>
    </>
  )
}

/** The water’s depth, typed, or a mark’s on its chart. */
export function WaterDepthField({
  bench,
  label,
  valueSi,
  onChange,
}: {
  bench: Bench
  label: string
  valueSi: number
  onChange: (waterM: number) => void
}) {
  const show = useShow()
  const marks = useQuery(marksQuery).data ?? []
  const { markId } = bench.content
  return (
    <>
      {marks.length > 0 && (
        <Field label="mark" htmlFor="moving-mark" hint="sets the charted depth, the least at low water">
          <Select
            id="moving-mark"
            value={marks.some(({ id }) => id === markId) ? markId : ''}
            onChoose={(next) => bench.chooseMark(marks.find(({ id }) => id === next))}
            choices={[
              { value: '', text: 'no mark' },
              ...marks.map(({ id, content }) => ({ value: id, text: `${content.name}, ${show.depth(content.depthM)}` })),
            ]}
          />
        </Field>
      )}
      <SliderField
        label={label}
        quantity="depth"
        valueSi={valueSi}
        least={0.5}
        most={60}
        mostTyped={2000}
        step={0.5}
        onChange={onChange}
      />
    </>
  )
}

import { useId } from 'react'
import { MATERIAL_IDS, type Material } from '../../../core/catalogue/ids.ts'
import type { LineSpec } from '../../../core/catalogue/materials.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Field, Select } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'

type Props = { label: string; line: LineSpec; materials?: readonly Material[]; onChange: (line: LineSpec) => void }

/** A line that a knot is tied in: what it is made of, and its strength. */
export function LineFields({ label, line, materials = MATERIAL_IDS, onChange }: Props) {
  const catalogue = useCatalogue()
  const id = useId()
  return (
    <>
      <Field label={label} htmlFor={id}>
        <Select
          id={id}
          value={line.material}
          choices={materials.map((value) => ({ value, text: catalogue.materials[value].name }))}
          onChoose={(next) => onChange({ material: next, strengthN: line.strengthN })}
        />
      </Field>
      <QuantityField
        label={`strength of ${label}`}
        quantity="strength"
        valueSi={line.strengthN}
        check={within(1, 10_000, 'From 1 N to 10 kN.')}
        onChange={(strengthN) => onChange({ material: line.material, strengthN })}
      />
    </>
  )
}

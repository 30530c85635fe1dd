import { useId } from 'react'
import type { Gear } from '../../../core/documents/gear.ts'
import { Field, fieldClass } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'

const MAX_COUNT = 100_000
const MAX_COST = 1_000_000

type Props = { item: Gear; onChange: (item: Gear) => void }

/** What is to be kept of a thing, what a pack costs, where it lies and since when. */
export function StockFields({ item, onChange }: Props) {
  const id = useId()
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">Stock</legend>
      {item.kind === 'line' ? (
        <QuantityField
          label="keep at least"
          quantity="length"
          valueSi={item.minimumM}
          placeholder="no minimum"
          check={above(0, 5_000)}
          onChange={(minimumM) => onChange({ ...item, minimumM })}
          onClear={() => onChange({ ...item, minimumM: undefined })}
        />
      ) : (
        <>
          <NumberField
            label="keep at least"
            value={item.minimumCount}
            whole
            least={1}
            most={MAX_COUNT}
            placeholder="no minimum"
            onChange={(minimumCount) => onChange({ ...item, minimumCount })}
          />
          <NumberField
            label="in a pack"
            value={item.packCount}
            whole
            least={1}
            most={MAX_COUNT}
            placeholder="sold singly"
            onChange={(packCount) => onChange({ ...item, packCount })}
          />
        </>
      )}
      <NumberField
        label={item.kind === 'line' ? 'a spool costs' : 'a pack costs'}
        value={item.packCost}
        least={0}
        most={MAX_COST}
        placeholder="unknown"
        onChange={(packCost) => onChange({ ...item, packCost })}
      />
      <Field label="kept in" htmlFor={`${id}-place`}>
        <input
          id={`${id}-place`}
          className={fieldClass}
          value={item.keptIn ?? ''}
          maxLength={80}
          placeholder="a box, a drawer"
          onChange={({ target }) => onChange({ ...item, keptIn: target.value.trimStart() || undefined })}
        />
      </Field>
      <Field label={item.kind === 'line' ? 'opened' : 'bought'} htmlFor={`${id}-bought`}>
        <input
          id={`${id}-bought`}
          type="date"
          className={fieldClass}
          value={item.boughtOn ?? ''}
          onChange={({ target }) => onChange({ ...item, boughtOn: target.value || undefined })}
        />
      </Field>
    </fieldset>
  )
}

import type { BaitType, HookPattern } from '../../../core/catalogue/ids.ts'
import type { Family, Parameter, Wishes } from '../../../core/families/family.ts'
import { useCatalogue } from '../../catalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'

type Props = { family: Family; wishes: Wishes; onChange: (change: Partial<Wishes>) => void }

/** What can be said of a family before its draft is made: its bait, its hook, and its own parameters. */
export function WishFields({ family, wishes, onChange }: Props) {
  const catalogue = useCatalogue()
  return (
    <>
      {family.bait && (
        <Field label="bait" htmlFor="new-bait">
          <Select
            id="new-bait"
            value={wishes.bait}
            onChange={(event) => onChange({ bait: event.target.value as BaitType })}
            choices={Object.entries(catalogue.baits).map(([value, { name }]) => ({ value, text: name }))}
          />
        </Field>
      )}
      {family.hook && (
        <>
          <Field label="hook size" htmlFor="new-size" hint="a plain number is small: 2 is not 2/0">
            <Select
              id="new-size"
              value={wishes.hookSize}
              onChange={(event) => onChange({ hookSize: event.target.value })}
              choices={catalogue.hooks.sizes.map((size) => ({
                value: size,
                text: size.includes('/') ? size : `${size} (small)`,
              }))}
            />
          </Field>
          <Field label="pattern" htmlFor="new-pattern">
            <Select
              id="new-pattern"
              value={wishes.hookPattern}
              onChange={(event) => onChange({ hookPattern: event.target.value as HookPattern })}
              choices={Object.entries(catalogue.hooks.patterns).map(([value, { name }]) => ({ value, text: name }))}
            />
          </Field>
        </>
      )}
      {family.parameters.map((parameter) => (
        <ParameterField
          key={parameter.key}
          parameter={parameter}
          value={wishes.amounts[parameter.key] ?? parameter.usual}
          onChange={(value) => onChange({ amounts: { ...wishes.amounts, [parameter.key]: value } })}
        />
      ))}
    </>
  )
}

function ParameterField({
  parameter: { label, kind, least, most },
  value,
  onChange,
}: {
  parameter: Parameter
  value: number
  onChange: (value: number) => void
}) {
  const show = useShow()
  if (kind === 'count')
    return (
      <NumberField
        label={label}
        value={value}
        whole
        least={least}
        most={most}
        onChange={(count) => count !== undefined && onChange(count)}
      />
    )
  return (
    <QuantityField
      label={label}
      quantity={kind}
      valueSi={value}
      check={(si) =>
        si >= least * (1 - 1e-9) && si <= most * (1 + 1e-9)
          ? undefined
          : `From ${show.entered(kind, least)} to ${show.entered(kind, most)}.`
      }
      onChange={onChange}
    />
  )
}

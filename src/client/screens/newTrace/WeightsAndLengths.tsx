import type { Parameter, Wishes } from '../../../core/families/family.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { castName } from '../../words/castWords.ts'
import type { NewTrace } from './useNewTrace.ts'

/** The family’s own parameters, the sinker among them, and the cast; with water, the sinker is what holds in it. */
export function WeightsAndLengths({ made, wishes }: { made: NewTrace; wishes: Wishes | undefined }) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { family, casts, conditions, choices, choose, say } = made
  const { water } = conditions
  return (
    <>
      {family?.parameters.map((parameter) => (
        <ParameterField
          key={parameter.key}
          parameter={parameter}
          value={wishes?.amounts[parameter.key] ?? parameter.usual}
          onChange={(value) => say({ amounts: { ...choices.said.amounts, [parameter.key]: value } })}
        />
      ))}
      <Field label="cast" htmlFor="new-cast">
        <Select
          id="new-cast"
          value={conditions.castStyle}
          onChoose={(next) => choose({ castStyle: next })}
          choices={casts.map((style) => ({ value: style, text: castName(catalogue, style) }))}
        />
      </Field>
      <p className="text-sm text-quiet">
        {water
          ? `In ${show.depth(water.depthM)} and ${show.computed('speed', water.streamMperS)} at the peak, ${catalogue.methods[water.method].name}. The findings on the right show what does not hold.`
          : 'Choose a mark or a method, and the sinker follows from its current.'}
      </p>
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

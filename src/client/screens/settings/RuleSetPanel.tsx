import { zodResolver } from '@hookform/resolvers/zod'
import { useForm, useWatch } from 'react-hook-form'
import type { z } from 'zod'
import { type RuleSet, ruleSetSchema } from '../../../core/documents/ruleSet.ts'
import { RULE_SET_VERSION } from '../../../core/documents/versions.ts'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'

const LENGTHS = [
  ['maxLeaderM', 'longest leader'],
  ['maxDoubleM', 'longest double'],
  ['maxCombinedM', 'both together'],
] as const
const CHECKS = [
  ['circleOnly', 'circle hooks only'],
  ['nonOffsetOnly', 'no offset hooks'],
  ['barblessOnly', 'barbless only'],
  ['wireAllowed', 'wire is allowed'],
  ['lightsAllowed', 'lights are allowed'],
] as const

type Limit = (typeof LENGTHS)[number][0] | 'maxHooks' | 'leastLeadKg'
type Props = { set: RuleSet | undefined; onDone: (content: RuleSet | undefined) => void }

const NEW_RULE_SET: RuleSet = {
  formatVersion: RULE_SET_VERSION,
  name: '',
  checkedOn: '',
  circleOnly: false,
  nonOffsetOnly: false,
  barblessOnly: false,
  wireAllowed: true,
  lightsAllowed: true,
}

/** What a rule set limits; an empty field limits nothing. */
export function RuleSetPanel({ set, onDone }: Props) {
  const { register, control, setValue, handleSubmit, formState } = useForm<z.input<typeof ruleSetSchema>, unknown, RuleSet>({
    resolver: zodResolver(ruleSetSchema),
    defaultValues: set ?? NEW_RULE_SET,
    mode: 'onChange',
  })
  const limits = useWatch({ control })
  const limit = (field: Limit, value: number | undefined) => setValue(field, value, { shouldValidate: true })
  return (
    <Panel
      open
      onOpenChange={() => onDone(undefined)}
      title={set ? 'Change the rule set' : 'New rule set'}
      about="From the book in force where you fish. Say when you last held it against the book."
    >
      <form className="mt-3 grid gap-2" onSubmit={handleSubmit(onDone)}>
        <Field label="name" htmlFor="rules-name">
          <input id="rules-name" className={fieldClass} maxLength={80} {...register('name')} />
        </Field>
        <Field label="last checked" htmlFor="rules-checked">
          <input id="rules-checked" type="date" className={fieldClass} {...register('checkedOn')} />
        </Field>
        {LENGTHS.map(([key, label]) => (
          <QuantityField
            key={key}
            label={label}
            quantity="length"
            valueSi={limits[key]}
            placeholder="not limited"
            check={(m) => (m > 0 && m <= 1000 ? undefined : 'More than nothing, up to a kilometre.')}
            onChange={(m) => limit(key, m)}
            onClear={() => limit(key, undefined)}
          />
        ))}
        <NumberField
          label="most hooks"
          value={limits.maxHooks}
          whole
          least={1}
          most={100}
          placeholder="not limited"
          onChange={(maxHooks) => limit('maxHooks', maxHooks)}
        />
        <QuantityField
          label="least lead"
          quantity="mass"
          valueSi={limits.leastLeadKg}
          placeholder="not limited"
          check={(kg) => (kg > 0 && kg <= 10 ? undefined : 'More than nothing, up to 10 kg.')}
          onChange={(kg) => limit('leastLeadKg', kg)}
          onClear={() => limit('leastLeadKg', undefined)}
        />
        {CHECKS.map(([key, label]) => (
          <label key={key} className="flex items-center gap-2">
            <input type="checkbox" className="size-5" {...register(key)} />
            {label}
          </label>
        ))}
        {!formState.isValid && <p className="text-sm text-quiet">It needs a name, and the day it was last checked.</p>}
        <Button tone="strong" type="submit" className="justify-self-end" disabled={!formState.isValid}>
          Keep
        </Button>
      </form>
    </Panel>
  )
}

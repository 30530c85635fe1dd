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
  ['trebleWithBait', 'a treble may hold a bait'],
  ['wireAllowed', 'wire is allowed'],
  ['lightsAllowed', 'lights are allowed'],
] as const

type Limit = (typeof LENGTHS)[number][0] | 'maxHooks' | 'leastLeadKg'
type Props = { set: RuleSet | undefined; saving: boolean; error: Error | null; onDone: (content: RuleSet | undefined) => void }

const NEW_RULE_SET: RuleSet = {
  formatVersion: RULE_SET_VERSION,
  name: '',
  checkedOn: '',
  circleOnly: false,
  nonOffsetOnly: false,
  barblessOnly: false,
  trebleWithBait: true,
  wireAllowed: true,
  lightsAllowed: true,
}

/** What a rule set limits; an empty field limits nothing. */
export function RuleSetPanel({ set, saving, error, onDone }: Props) {
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
        <LeastLengths
          rows={(limits.leastLengths ?? []) as LeastLength[]}
          onChange={(rows) => setValue('leastLengths', rows.length > 0 ? rows : undefined, { shouldValidate: true })}
        />
        {CHECKS.map(([key, label]) => (
          <label key={key} className="flex items-center gap-2">
            <input type="checkbox" className="size-5" {...register(key)} />
            {label}
          </label>
        ))}
        {!formState.isValid && <p className="text-sm text-quiet">It needs a name, and the day it was last checked.</p>}
        {error && (
          <p role="alert" className="text-fails">
            {error.message}
          </p>
        )}
        <Button tone="strong" type="submit" className="justify-self-end" disabled={!formState.isValid || saving}>
          Keep
        </Button>
      </form>
    </Panel>
  )
}

type LeastLength = { fish: string; lengthM: number }
/** Where a new row begins, m. */
const FIRST_LENGTH_M = 0.3

/** Fish that go back under a length, by name. */
function LeastLengths({ rows, onChange }: { rows: readonly LeastLength[]; onChange: (rows: LeastLength[]) => void }) {
  const change = (i: number, next: Partial<LeastLength>) => onChange(rows.map((row, j) => (j === i ? { ...row, ...next } : row)))
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="text-quiet">least sizes</legend>
      {rows.map(({ fish, lengthM }, i) => (
        <div key={i} className="grid grid-cols-[1fr_auto] items-start gap-2 border-b border-rule pb-2">
          <div className="grid gap-2">
            <Field label="fish" htmlFor={`least-fish-${i}`}>
              <input
                id={`least-fish-${i}`}
                className={fieldClass}
                maxLength={80}
                value={fish}
                onChange={(event) => change(i, { fish: event.target.value })}
              />
            </Field>
            <QuantityField
              label="least length"
              quantity="length"
              valueSi={lengthM}
              check={(m) => (m >= 0.02 && m <= 10 ? undefined : 'From 2 cm to 10 m.')}
              onChange={(m) => change(i, { lengthM: m })}
            />
          </div>
          <Button
            tone="quiet"
            aria-label={`Take out ${fish || 'this row'}`}
            onClick={() => onChange(rows.filter((_, j) => j !== i))}
          >
            Take out
          </Button>
        </div>
      ))}
      <Button onClick={() => onChange([...rows, { fish: '', lengthM: FIRST_LENGTH_M }])}>Add a fish</Button>
    </fieldset>
  )
}

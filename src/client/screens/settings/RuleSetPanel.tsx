import { useState } from 'react'
import { type RuleSet, ruleSetSchema } from '../../../core/trace/ruleSet.ts'
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

type Props = { set: RuleSet | undefined; onDone: (content: RuleSet | undefined) => void }

/** What a rule set limits; an empty field limits nothing. */
export function RuleSetPanel({ set, onDone }: Props) {
  const [draft, setDraft] = useState<Partial<RuleSet>>(set ?? { name: '', checkedOn: '', wireAllowed: true, lightsAllowed: true })
  const parsed = ruleSetSchema.safeParse(draft)
  const change = (next: Partial<RuleSet>) => setDraft((old) => ({ ...old, ...next }))
  const clear = (key: keyof RuleSet) => setDraft(({ [key]: _gone, ...rest }) => rest)
  return (
    <Panel
      open
      onOpenChange={() => onDone(undefined)}
      title={set ? 'Change the rule set' : 'New rule set'}
      about="From the book in force where you fish. Say when you last held it against the book."
    >
      <form
        className="mt-3 grid gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (parsed.success) onDone(parsed.data)
        }}
      >
        <Field label="name" htmlFor="rules-name">
          <input
            id="rules-name"
            className={fieldClass}
            value={draft.name ?? ''}
            maxLength={80}
            onChange={(event) => change({ name: event.target.value })}
          />
        </Field>
        <Field label="last checked" htmlFor="rules-checked">
          <input
            id="rules-checked"
            type="date"
            className={fieldClass}
            value={draft.checkedOn ?? ''}
            onChange={(event) => change({ checkedOn: event.target.value })}
          />
        </Field>
        {LENGTHS.map(([key, label]) => (
          <QuantityField
            key={key}
            label={label}
            quantity="length"
            valueSi={draft[key]}
            placeholder="not limited"
            check={(m) => (m > 0 && m <= 1000 ? undefined : 'More than nothing, up to a kilometre.')}
            onChange={(m) => change({ [key]: m })}
            onClear={() => clear(key)}
          />
        ))}
        <NumberField
          label="most hooks"
          value={draft.maxHooks}
          whole
          least={1}
          most={100}
          placeholder="not limited"
          onChange={(maxHooks) => (maxHooks === undefined ? clear('maxHooks') : change({ maxHooks }))}
        />
        <QuantityField
          label="least lead"
          quantity="mass"
          valueSi={draft.leastLeadKg}
          placeholder="not limited"
          check={(kg) => (kg > 0 && kg <= 10 ? undefined : 'More than nothing, up to 10 kg.')}
          onChange={(leastLeadKg) => change({ leastLeadKg })}
          onClear={() => clear('leastLeadKg')}
        />
        {CHECKS.map(([key, label]) => (
          <label key={key} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={draft[key] ?? false}
              onChange={(event) => change({ [key]: event.target.checked })}
            />
            {label}
          </label>
        ))}
        {!parsed.success && <p className="text-sm text-quiet">It needs a name, and the day it was last checked.</p>}
        <Button tone="strong" type="submit" className="justify-self-end" disabled={!parsed.success}>
          Keep
        </Button>
      </form>
    </Panel>
  )
}

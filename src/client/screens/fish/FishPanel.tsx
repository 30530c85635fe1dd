import { zodResolver } from '@hookform/resolvers/zod'
import { useForm, useWatch } from 'react-hook-form'
import { FEEDS, FIGHTS, type Fish, fishSchema, TAKES, TEETH } from '../../../core/documents/fish.ts'
import { FISH_VERSION } from '../../../core/documents/versions.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, fieldClass, Select } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { FEEDS_WORDS, FIGHTS_WORDS, TAKES_WORDS, TEETH_WORDS, TRAITS } from '../../words/fishWords.ts'

type Props = { fish: Fish | undefined; saving: boolean; error: Error | null; onDone: (content: Fish | undefined) => void }

const NEW_FISH: Fish = {
  formatVersion: FISH_VERSION,
  name: '',
  typicalMassKg: 2,
  typicalLengthM: 0.6,
  largeMassKg: 6,
  largeLengthM: 0.9,
  mouthWidthShare: 0.09,
  mouthHeightShare: 0.08,
  teeth: 'none',
  feeds: 'bed',
  takes: 'sucks',
  fights: [],
  shakesCircles: false,
  lineShy: false,
  released: false,
}

const SIZES = [
  ['typicalMassKg', 'usual weight', 'fish'],
  ['typicalLengthM', 'usual length', 'length'],
  ['largeMassKg', 'a large one', 'fish'],
  ['largeLengthM', 'a large one’s length', 'length'],
] as const
const MOUTH = [
  ['mouthWidthShare', 'mouth, across'],
  ['mouthHeightShare', 'mouth, up and down'],
] as const
type Choice = { key: 'teeth' | 'feeds' | 'takes'; label: string; ids: readonly string[]; words: Readonly<Record<string, string>> }
const CHOICES: readonly Choice[] = [
  { key: 'teeth', label: 'teeth', ids: TEETH, words: TEETH_WORDS },
  { key: 'feeds', label: 'feeds', ids: FEEDS, words: FEEDS_WORDS },
  { key: 'takes', label: 'takes a bait', ids: TAKES, words: TAKES_WORDS },
]
const CHECKS = {
  fish: within(0.001, 1_000, 'From a gram to a tonne.'),
  length: within(0.02, 10, 'From 2 cm to 10 m.'),
}

/** All that is told of one fish. */
export function FishPanel({ fish, saving, error, onDone }: Props) {
  const { register, control, setValue, handleSubmit, formState } = useForm<Fish>({
    resolver: zodResolver(fishSchema),
    defaultValues: fish ?? NEW_FISH,
    mode: 'onChange',
  })
  const now = useWatch({ control }) as Fish
  const put = <K extends keyof Fish>(field: K, value: Fish[K]) =>
    setValue(field as never, value as never, { shouldValidate: true })
  const [fault] = Object.values(formState.errors)
  return (
    <Panel
      open
      onOpenChange={() => onDone(undefined)}
      title={fish ? `Change ${fish.name}` : 'New fish'}
      about="As you know it where you fish. The rule book decides what may be kept."
    >
      <form className="mt-3 grid gap-2" onSubmit={handleSubmit(onDone)}>
        <Field label="name" htmlFor="fish-name">
          <input id="fish-name" className={fieldClass} maxLength={80} {...register('name')} />
        </Field>
        {SIZES.map(([key, label, quantity]) => (
          <QuantityField
            key={key}
            label={label}
            quantity={quantity}
            valueSi={now[key]}
            check={CHECKS[quantity]}
            onChange={(si) => put(key, si)}
          />
        ))}
        {MOUTH.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            value={now[key] * 100}
            least={1}
            most={50}
            hint="% of its length"
            onChange={(percent) => percent !== undefined && put(key, percent / 100)}
          />
        ))}
        {CHOICES.map(({ key, label, ids, words }) => (
          <Field key={key} label={label} htmlFor={`fish-${key}`}>
            <Select
              id={`fish-${key}`}
              value={now[key]}
              onChange={(event) => put(key, event.target.value as never)}
              choices={ids.map((value) => ({ value, text: words[value]! }))}
            />
          </Field>
        ))}
        <fieldset className="grid gap-1">
          <legend className="text-quiet">how it fights</legend>
          {FIGHTS.map((fight) => (
            <CheckField
              key={fight}
              label={FIGHTS_WORDS[fight]}
              checked={now.fights.includes(fight)}
              onChange={(on) => put('fights', on ? [...now.fights, fight] : now.fights.filter((each) => each !== fight))}
            />
          ))}
        </fieldset>
        {(Object.keys(TRAITS) as (keyof typeof TRAITS)[]).map((trait) => (
          <CheckField key={trait} label={TRAITS[trait]} checked={now[trait]} onChange={(on) => put(trait, on)} />
        ))}
        <Field label="to mind" htmlFor="fish-notes" hint="spines, teeth, gill covers">
          <input
            id="fish-notes"
            className={fieldClass}
            value={now.notes ?? ''}
            onChange={(event) => put('notes', event.target.value || undefined)}
          />
        </Field>
        {fault && (
          <p role="alert" className="text-fails">
            {'message' in fault ? String(fault.message) : 'Something is not filled in.'}
          </p>
        )}
        {error && (
          <p role="alert" className="text-fails">
            {error.message}
          </p>
        )}
        <Button type="submit" tone="strong" className="justify-self-end" disabled={saving}>
          {fish ? 'Keep it' : 'Put it in'}
        </Button>
      </form>
    </Panel>
  )
}

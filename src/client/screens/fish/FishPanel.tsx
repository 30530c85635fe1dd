import { FEEDS, FIGHTS, type Fish, TAKES, TEETH } from '../../../core/documents/fish.ts'
import { FISH_VERSION } from '../../../core/documents/versions.ts'
import type { SavedFish } from '../../api/documents.ts'
import { DocumentPanel } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { Field, fieldClass, Select } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { FEEDS_WORDS, FIGHTS_WORDS, TAKES_WORDS, TEETH_WORDS, TRAITS } from '../../words/fishWords.ts'

type Props = { saved: SavedFish | undefined; onClose: () => void }

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
  ['largeMassKg', 'large one', 'fish'],
  ['largeLengthM', 'length of a large one', 'length'],
] as const
const MOUTH = [
  ['mouthWidthShare', 'mouth width'],
  ['mouthHeightShare', 'mouth height'],
] as const
type Choice = { key: 'teeth' | 'feeds' | 'takes'; label: string; ids: readonly string[]; words: Readonly<Record<string, string>> }
const CHOICES: readonly Choice[] = [
  { key: 'teeth', label: 'teeth', ids: TEETH, words: TEETH_WORDS },
  { key: 'feeds', label: 'feeds', ids: FEEDS, words: FEEDS_WORDS },
  { key: 'takes', label: 'takes a bait', ids: TAKES, words: TAKES_WORDS },
]
const CHECKS = {
  fish: within(0.001, 1_000, 'From 1 g to 1000 kg.'),
  length: within(0.02, 10, 'From 2 cm to 10 m.'),
}

const FIELD_NAMES = {
  name: 'The fish',
  typicalMassKg: 'The usual weight',
  typicalLengthM: 'The usual length',
  largeMassKg: 'The weight of a large one:',
  largeLengthM: 'The length of a large one:',
  notes: 'The note',
}

/** Everything known about one fish. */
export function FishPanel({ saved, onClose }: Props) {
  const form = useDocumentForm({ kind: 'fish', saved, blank: NEW_FISH, fieldNames: FIELD_NAMES, onSaved: onClose })
  const { content: fish, change } = form
  return (
    <DocumentPanel
      of={form}
      onClose={onClose}
      title={saved ? `Edit ${saved.content.name}` : 'New fish'}
      about="Describe it as it is where you fish. The local rules decide what you may keep."
    >
      <NameField id="fish-name" name={fish.name} onChange={(name) => change({ name })} />
      {SIZES.map(([key, label, quantity]) => (
        <QuantityField
          key={key}
          label={label}
          quantity={quantity}
          valueSi={fish[key]}
          check={CHECKS[quantity]}
          onChange={(si) => change({ [key]: si })}
        />
      ))}
      {MOUTH.map(([key, label]) => (
        <NumberField
          key={key}
          label={label}
          value={fish[key] * 100}
          least={1}
          most={50}
          hint="% of its length"
          onChange={(percent) => percent !== undefined && change({ [key]: percent / 100 })}
        />
      ))}
      {CHOICES.map(({ key, label, ids, words }) => (
        <Field key={key} label={label} htmlFor={`fish-${key}`}>
          <Select
            id={`fish-${key}`}
            value={fish[key]}
            onChoose={(next) => change({ [key]: next })}
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
            checked={fish.fights.includes(fight)}
            onChange={(on) => change({ fights: on ? [...fish.fights, fight] : fish.fights.filter((each) => each !== fight) })}
          />
        ))}
      </fieldset>
      {(Object.keys(TRAITS) as (keyof typeof TRAITS)[]).map((trait) => (
        <CheckField key={trait} label={TRAITS[trait]} checked={fish[trait]} onChange={(on) => change({ [trait]: on })} />
      ))}
      <Field label="handling" htmlFor="fish-notes" hint="spines, teeth, gill covers">
        <input
          id="fish-notes"
          className={fieldClass}
          value={fish.notes ?? ''}
          onChange={(event) => change({ notes: event.target.value || undefined })}
        />
      </Field>
    </DocumentPanel>
  )
}

import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import { RULE_SET_VERSION } from '../../../core/documents/versions.ts'
import type { SavedRuleSet } from '../../api/documents.ts'
import { DocumentPanel } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
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

type Props = { saved: SavedRuleSet | undefined; onClose: () => void }

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

const FIELD_NAMES = { name: 'The rule set', checkedOn: 'The day of the last check', leastLengths: 'A minimum size' }

/** The limits of a rule set; an empty field is no limit. */
export function RuleSetPanel({ saved, onClose }: Props) {
  const form = useDocumentForm({ kind: 'rule-sets', saved, blank: NEW_RULE_SET, fieldNames: FIELD_NAMES, onSaved: onClose })
  const { content: set, change } = form
  return (
    <DocumentPanel
      of={form}
      onClose={onClose}
      title={saved ? `Edit ${saved.content.name}` : 'New rule set'}
      about="Copy the limits from the rules in force where you fish, and note the day you checked them."
    >
      <NameField id="rules-name" name={set.name} onChange={(name) => change({ name })} />
      <Field label="last checked" htmlFor="rules-checked">
        <input
          id="rules-checked"
          type="date"
          className={fieldClass}
          value={set.checkedOn}
          onChange={(event) => change({ checkedOn: event.target.value })}
        />
      </Field>
      {LENGTHS.map(([key, label]) => (
        <QuantityField
          key={key}
          label={label}
          quantity="length"
          valueSi={set[key]}
          placeholder="no limit"
          check={(m) => (m > 0 && m <= 1000 ? undefined : 'Must be more than 0 and up to 1 km.')}
          onChange={(m) => change({ [key]: m })}
          onClear={() => change({ [key]: undefined })}
        />
      ))}
      <NumberField
        label="most hooks"
        value={set.maxHooks}
        whole
        least={1}
        most={100}
        placeholder="no limit"
        onChange={(maxHooks) => change({ maxHooks })}
      />
      <QuantityField
        label="lightest lead sinker"
        quantity="mass"
        valueSi={set.leastLeadKg}
        placeholder="no limit"
        check={(kg) => (kg > 0 && kg <= 10 ? undefined : 'Must be more than 0 and up to 10 kg.')}
        onChange={(leastLeadKg) => change({ leastLeadKg })}
        onClear={() => change({ leastLeadKg: undefined })}
      />
      <LeastLengths
        rows={set.leastLengths ?? []}
        onChange={(rows) => change({ leastLengths: rows.length > 0 ? rows : undefined })}
      />
      {CHECKS.map(([key, label]) => (
        <CheckField key={key} label={label} checked={set[key]} onChange={(checked) => change({ [key]: checked })} />
      ))}
    </DocumentPanel>
  )
}

type LeastLength = NonNullable<RuleSet['leastLengths']>[number]
/** Where a new row begins, m. */
const FIRST_LENGTH_M = 0.3

/** Fish that must be released under a length, by name. */
function LeastLengths({ rows, onChange }: { rows: readonly LeastLength[]; onChange: (rows: LeastLength[]) => void }) {
  const change = (i: number, next: Partial<LeastLength>) => onChange(rows.map((row, j) => (j === i ? { ...row, ...next } : row)))
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="text-quiet">minimum sizes</legend>
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
              label="minimum length"
              quantity="length"
              valueSi={lengthM}
              check={(m) => (m >= 0.02 && m <= 10 ? undefined : 'From 2 cm to 10 m.')}
              onChange={(m) => change(i, { lengthM: m })}
            />
          </div>
          <Button
            tone="quiet"
            aria-label={`Remove ${fish || 'this row'}`}
            onClick={() => onChange(rows.filter((_, j) => j !== i))}
          >
            Remove
          </Button>
        </div>
      ))}
      <Button onClick={() => onChange([...rows, { fish: '', lengthM: FIRST_LENGTH_M }])}>Add a fish</Button>
    </fieldset>
  )
}

import { Link } from 'react-router'
import type { Bed, Landing, Method } from '../../../core/catalogue/ids.ts'
import { LANDING_IDS } from '../../../core/catalogue/ids.ts'
import { CLARITIES, type Conditions, LIGHTS } from '../../../core/documents/conditions.ts'
import { capital } from '../../../core/units/capital.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Field, Select } from '../../ui/controls.tsx'
import { traitsOf } from '../../words/fishWords.ts'
import { CLARITY_WORDS, LIGHT_WORDS } from '../../words/purposeWords.ts'
import type { NewTrace } from './useNewTrace.ts'

/** What for and where: the fish, the mark, the water, how it is fished there and how the fish is landed. Each may be left out. */
export function FishAndPlace({ choices, fish, marks, conditions, choose }: NewTrace) {
  const catalogue = useCatalogue()
  const target = fish.find(({ id }) => id === choices.fishId)?.content
  const { water } = conditions
  return (
    <div className="grid gap-2 sm:grid-cols-2 sm:gap-x-6">
      <Choice
        id="new-fish"
        label="fish"
        none="any fish"
        value={choices.fishId}
        choices={fish.map(({ id, content }) => [id, content.name])}
        areNames
        onChange={(fishId) => choose({ fishId, landing: undefined })}
      />
      <Choice
        id="new-mark"
        label="mark"
        none="no mark"
        value={choices.markId}
        choices={marks.map(({ id, content }) => [id, content.name])}
        areNames
        onChange={(markId) => choose({ markId, method: undefined, bed: undefined })}
      />
      <Choice
        id="new-method"
        label="fished"
        none={choices.markId && water ? `at this mark: ${catalogue.methods[water.method].name}` : 'unknown'}
        value={choices.method}
        choices={Object.entries(catalogue.methods).map(([id, { name }]) => [id as Method, name])}
        onChange={(method) => choose({ method })}
      />
      {water && (
        <Choice
          id="new-bed"
          label="ground"
          none={choices.markId ? `at this mark: ${catalogue.beds[water.bed].name}` : catalogue.beds[water.bed].name}
          value={choices.bed}
          choices={Object.entries(catalogue.beds).map(([id, { name }]) => [id as Bed, name])}
          onChange={(bed) => choose({ bed })}
        />
      )}
      <Choice
        id="new-clarity"
        label="water"
        none="unknown"
        value={choices.clarity}
        choices={CLARITIES.map((id) => [id, CLARITY_WORDS[id]])}
        onChange={(clarity: Conditions['clarity']) => choose({ clarity })}
      />
      <Choice
        id="new-light"
        label="time"
        none="unknown"
        value={choices.light}
        choices={LIGHTS.map((id) => [id, LIGHT_WORDS[id]])}
        onChange={(light: Conditions['light']) => choose({ light })}
      />
      <Choice
        id="new-landing"
        label="landing"
        none={`usual: ${catalogue.landings[conditions.landing].name}`}
        value={choices.landing}
        choices={LANDING_IDS.map((id): [Landing, string] => [id, catalogue.landings[id].name])}
        onChange={(landing) => choose({ landing })}
      />
      <p className="text-sm text-quiet sm:col-span-2" aria-live="polite">
        {target ? (
          `${capital(target.name)}: ${traitsOf(target)}. ${target.notes ?? ''}`
        ) : (
          <>
            Every line may be left as it is. Fish are kept under{' '}
            <Link to="/fish" className="underline">
              Fish
            </Link>
            , marks under{' '}
            <Link to="/water" className="underline">
              Water
            </Link>
            .
          </>
        )}
      </p>
    </div>
  )
}

type ChoiceProps<T extends string> = {
  id: string
  label: string
  /** What is shown where nothing is chosen. */
  none: string
  value: T | undefined
  choices: readonly (readonly [T, string])[]
  /** Whether they are called as someone typed it. */
  areNames?: boolean
  onChange: (value: T | undefined) => void
}

/** One of several, or none. */
function Choice<T extends string>({ id, label, none, value, choices, areNames, onChange }: ChoiceProps<T>) {
  return (
    <Field label={label} htmlFor={id}>
      <Select<T | ''>
        id={id}
        value={value ?? ''}
        onChoose={(next) => onChange(choices.find(([each]) => each === next)?.[0])}
        choices={[{ value: '', text: none }, ...choices.map(([each, text]) => ({ value: each, text, isName: areNames }))]}
      />
    </Field>
  )
}

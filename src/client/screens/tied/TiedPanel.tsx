import { TIED_STATES, type Tied } from '../../../core/documents/tied.ts'
import { TIED_VERSION } from '../../../core/documents/versions.ts'
import type { SavedTied } from '../../api/tied.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { DocumentPanel } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { NotesField } from '../../documents/NotesField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { today } from '../../settings/today.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { Field, fieldClass, namesOf, Select } from '../../ui/controls.tsx'
import { TIED_STATE_NAMES } from '../../words/tiedWords.ts'

type Props = { saved: SavedTied | undefined; onClose: () => void }

const FIELD_NAMES = {
  name: 'The name',
  traceId: 'The design',
  tiedOn: 'The day it was tied',
  keptIn: 'Where it is kept',
  tiedBy: 'Who tied it',
  differs: 'What differs',
}

const TEXTS = [
  { field: 'tiedBy', label: 'tied by', placeholder: 'a name or initials', most: 80 },
  { field: 'keptIn', label: 'kept in', placeholder: 'a winder, a wallet slot', most: 80 },
  { field: 'differs', label: 'differs', placeholder: 'nothing', most: 400 },
] as const

/** A tied trace: what it is, where it lies, and what became of it. One that was tied without a batch is added here. */
export function TiedPanel({ saved, onClose }: Props) {
  const heads = useTraceHeads().data ?? []
  const form = useDocumentForm({
    kind: 'tied',
    saved,
    blank: blankTied(),
    fieldNames: FIELD_NAMES,
    complete: (tied) => ({
      ...tied,
      name: tied.name.trim() || (heads.find(({ id }) => id === tied.traceId)?.content.name ?? ''),
    }),
    onSaved: onClose,
  })
  const { content: tied, change } = form
  return (
    <DocumentPanel
      of={form}
      onClose={onClose}
      title={saved ? saved.content.name : 'Add a tied trace'}
      about="One trace on its winder."
    >
      {!saved && (
        <Field label="design" htmlFor="tied-design">
          <Select
            id="tied-design"
            value={tied.traceId}
            onChoose={(traceId) => change({ traceId, traceRevision: heads.find(({ id }) => id === traceId)?.revision ?? 1 })}
            choices={[{ value: '', text: 'choose a design' }, ...namesOf(heads)]}
          />
        </Field>
      )}
      <NameField
        id="tied-name"
        name={tied.name}
        placeholder={heads.find(({ id }) => id === tied.traceId)?.content.name ?? 'as its design'}
        onChange={(name) => change({ name })}
      />
      <Field label="state" htmlFor="tied-state">
        <Select
          id="tied-state"
          value={tied.state}
          onChoose={(state) => change({ state })}
          choices={TIED_STATES.map((value) => ({ value, text: TIED_STATE_NAMES[value] }))}
        />
      </Field>
      <Field label="tied on" htmlFor="tied-on">
        <input
          id="tied-on"
          type="date"
          className={fieldClass}
          value={tied.tiedOn}
          onChange={({ target }) => change({ tiedOn: target.value })}
        />
      </Field>
      {TEXTS.map(({ field, label, placeholder, most }) => (
        <Field key={field} label={label} htmlFor={`tied-${field}`}>
          <input
            id={`tied-${field}`}
            className={fieldClass}
            value={tied[field] ?? ''}
            maxLength={most}
            placeholder={placeholder}
            onChange={({ target }) => change({ [field]: target.value.trimStart() || undefined })}
          />
        </Field>
      ))}
      <CheckField
        label="used hard: a big fish, or pulled out of a snag"
        checked={tied.usedHard ?? false}
        onChange={(usedHard) => change({ usedHard: usedHard || undefined })}
      />
      <NotesField id="tied-notes" rows={3} notes={tied.notes} onChange={(notes) => change({ notes })} />
    </DocumentPanel>
  )
}

/** The design is chosen first: until then its id is none. */
const blankTied = (): Tied => ({
  formatVersion: TIED_VERSION,
  name: '',
  traceId: '',
  traceRevision: 1,
  tiedOn: today(),
  state: 'ready',
})

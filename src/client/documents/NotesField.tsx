import { MAX_NOTES } from '../../core/documents/vocabulary.ts'
import { Field, fieldClass } from '../ui/controls.tsx'

type Props = { id: string; notes: string | undefined; rows: number; onChange: (notes: string | undefined) => void }

/** The notes of a document; empty ones are none. */
export function NotesField({ id, notes, rows, onChange }: Props) {
  return (
    <Field label="notes" htmlFor={id}>
      <textarea
        id={id}
        className={fieldClass}
        rows={rows}
        maxLength={MAX_NOTES}
        value={notes ?? ''}
        onChange={({ target }) => onChange(target.value || undefined)}
      />
    </Field>
  )
}

import { MAX_NAME } from '../../core/documents/vocabulary.ts'
import { Field, fieldClass } from '../ui/controls.tsx'

type Props = { id: string; name: string; placeholder?: string; onChange: (name: string) => void }

/** The name of a document. */
export function NameField({ id, name, placeholder, onChange }: Props) {
  return (
    <Field label="name" htmlFor={id}>
      <input
        id={id}
        className={fieldClass}
        maxLength={MAX_NAME}
        placeholder={placeholder}
        value={name}
        onChange={(event) => onChange(event.target.value)}
      />
    </Field>
  )
}

import { useId } from 'react'
import { Field, fieldClass } from './controls.tsx'

type Props = { label: string; accept: string; hint?: string; onChoose: (file: File | undefined) => void }

/** A file to be chosen; undefined where the choice was taken back. */
export function FileField({ label, accept, hint, onChoose }: Props) {
  const id = useId()
  return (
    <Field label={label} htmlFor={id} hint={hint}>
      <input id={id} type="file" accept={accept} className={fieldClass} onChange={(event) => onChoose(event.target.files?.[0])} />
    </Field>
  )
}

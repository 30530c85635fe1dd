import { useId, useState } from 'react'
import { Field, fieldClass } from './controls.tsx'

type Props = {
  label: string
  value: number | undefined
  onChange: (value: number | undefined) => void
  least: number
  most: number
  whole?: boolean
  placeholder?: string
  hint?: string
}

/** A plain number (turns, a percentage, a count); emptied, it means “as usual” where a placeholder says what that is. */
export function NumberField({ label, value, onChange, least, most, whole = false, placeholder, hint }: Props) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const text = draft ?? (value === undefined ? '' : String(Number(value.toFixed(4))))
  const fault = draft === undefined ? undefined : read(draft).fault

  function read(typed: string): { value?: number; fault?: string } {
    if (typed.trim() === '') return placeholder === undefined ? { fault: `From ${least} to ${most}.` } : {}
    const number = Number(typed.replace(',', '.'))
    if (!(number >= least && number <= most)) return { fault: `From ${least} to ${most}.` }
    if (whole && !Number.isInteger(number)) return { fault: 'A whole number.' }
    return { value: number }
  }
  const type = (typed: string) => {
    setDraft(typed)
    const next = read(typed)
    if (!next.fault) onChange(next.value)
  }

  return (
    <Field label={label} htmlFor={id} hint={hint} fault={fault}>
      <input
        id={id}
        className={fieldClass}
        value={text}
        placeholder={placeholder}
        inputMode="decimal"
        autoComplete="off"
        aria-invalid={fault ? true : undefined}
        aria-describedby={fault ? `${id}-fault` : hint ? `${id}-hint` : undefined}
        onChange={(event) => type(event.target.value)}
        onBlur={() => fault || setDraft(undefined)}
      />
    </Field>
  )
}

import { useId, useState } from 'react'
import { formatPosition, parsePosition } from '../../core/units/parsePosition.ts'
import { Field, fieldClass } from './controls.tsx'

type Props = { kind: 'latitude' | 'longitude'; deg: number; onChange: (deg: number) => void }

/** A latitude or longitude as it is written on a chart; what does not read stays to be mended, and the last good one counts. */
export function PositionField({ kind, deg, onChange }: Props) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const read = draft === undefined ? undefined : parsePosition(kind, draft)
  const fault = read && !read.ok ? read.message : undefined
  return (
    <Field label={kind} htmlFor={id} fault={fault}>
      <input
        id={id}
        className={fieldClass}
        value={draft ?? formatPosition(kind, deg)}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={fault ? true : undefined}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(event) => {
          setDraft(event.target.value)
          const typed = parsePosition(kind, event.target.value)
          if (typed.ok) onChange(typed.deg)
        }}
        onBlur={() => fault || setDraft(undefined)}
      />
    </Field>
  )
}

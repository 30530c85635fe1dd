import { type InputHTMLAttributes, type ReactNode, useId } from 'react'
import { Field, fieldClass } from './controls.tsx'
import type { DraftText } from './useDraftText.ts'

type Props = { label: string; draft: DraftText; hint?: string | undefined; children?: ReactNode } & Pick<
  InputHTMLAttributes<HTMLInputElement>,
  'placeholder' | 'inputMode' | 'onFocus' | 'onBlur' | 'onKeyDown'
>

/** A labelled field for a draft text, with its fault or its hint under it; what is beside the input comes as children. */
export function TextField({ label, draft, hint, children, onBlur, onKeyDown, ...input }: Props) {
  const id = useId()
  const { text, fault, type, leave, restore } = draft
  return (
    <Field label={label} htmlFor={id} hint={hint} fault={fault}>
      <div className="flex gap-1">
        <input
          id={id}
          className={fieldClass}
          value={text}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={fault ? true : undefined}
          aria-describedby={fault ? `${id}-fault` : hint ? `${id}-hint` : undefined}
          onChange={(event) => type(event.target.value)}
          onBlur={(event) => {
            onBlur?.(event)
            leave()
          }}
          onKeyDown={(event) => {
            const isUndo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z'
            // The browser's own undo takes back single letters and would leave a half-typed value committed.
            if (isUndo) event.preventDefault()
            if (isUndo || event.key === 'Escape') restore()
            onKeyDown?.(event)
          }}
          {...input}
        />
        {children}
      </div>
    </Field>
  )
}

import { Minus, Plus } from 'lucide-react'
import { type KeyboardEvent, useId, useState } from 'react'
import { formatEntered } from '../../core/units/formatQuantity.ts'
import { parseQuantity } from '../../core/units/parseQuantity.ts'
import type { Quantity } from '../../core/units/quantities.ts'
import { usePreferences } from '../settings/preferences.tsx'
import { Field, fieldClass } from './controls.tsx'

type Props = {
  label: string
  quantity: Quantity
  /** The committed value, SI; absent: nothing is set, and `placeholder` says what counts instead. */
  valueSi: number | undefined
  onChange: (si: number) => void
  /** Called when an emptied field is left; without it, an empty field is a fault. */
  onClear?: () => void
  /** What is wrong with a value that parses, in a sentence. */
  check?: (si: number) => string | undefined
  /** The next value up or down, for the arrow keys and the two buttons. */
  step?: (si: number, direction: 1 | -1) => number
  placeholder?: string
  hint?: string
}

/**
 * A quantity typed as people say it. Text, parsed number and committed number are three things: every keystroke that parses
 * commits, one that does not leaves the last good number in force and says why; leaving the field tidies the text.
 */
export function QuantityField({ label, quantity, valueSi, onChange, onClear, check, step, placeholder, hint }: Props) {
  const id = useId()
  const { units } = usePreferences()
  const unit = units[quantity]
  const [draft, setDraft] = useState<string>()
  const shown = valueSi === undefined ? '' : format(quantity, valueSi, unit)
  const text = draft ?? shown
  const fault = draft === undefined || (draft.trim() === '' && onClear) ? undefined : faultOf(quantity, draft, unit, check)

  const type = (typed: string) => {
    setDraft(typed)
    const parsed = parseQuantity(quantity, typed, unit)
    if (parsed.ok && !check?.(parsed.si)) onChange(parsed.si)
  }
  const leave = () => {
    if (draft?.trim() === '' && onClear) onClear()
    // A text that does not hold stays to be mended; nothing typed is thrown away.
    if (!fault) setDraft(undefined)
  }
  const move = (direction: 1 | -1) => {
    if (valueSi === undefined || !step) return
    setDraft(undefined)
    onChange(step(valueSi, direction))
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') setDraft(undefined)
    if (!step || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
    event.preventDefault()
    move(event.key === 'ArrowUp' ? 1 : -1)
  }

  return (
    <Field label={label} htmlFor={id} hint={hint} fault={fault}>
      <div className="flex gap-1">
        <input
          id={id}
          className={fieldClass}
          value={text}
          placeholder={placeholder}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={fault ? true : undefined}
          aria-describedby={fault ? `${id}-fault` : hint ? `${id}-hint` : undefined}
          onChange={(event) => type(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={leave}
          onKeyDown={onKeyDown}
        />
        {step && (
          <>
            <StepButton label={`${label}: one step down`} onClick={() => move(-1)} icon={<Minus className="size-4" />} />
            <StepButton label={`${label}: one step up`} onClick={() => move(1)} icon={<Plus className="size-4" />} />
          </>
        )}
      </div>
    </Field>
  )
}

function StepButton({ label, onClick, icon }: { label: string; onClick: () => void; icon: React.ReactNode }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onClick}
      className="grid size-9 shrink-0 place-items-center rounded-md border border-rule bg-sheet hover:bg-well"
    >
      {icon}
    </button>
  )
}

function format(quantity: Quantity, si: number, unit: string): string {
  const { value } = formatEntered(quantity, si, unit)
  return `${value} ${unit}`
}

function faultOf(quantity: Quantity, text: string, unit: string, check: Props['check']): string | undefined {
  const parsed = parseQuantity(quantity, text, unit)
  return parsed.ok ? check?.(parsed.si) : parsed.message
}

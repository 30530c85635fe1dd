import { Minus, Plus } from 'lucide-react'
import type { KeyboardEvent } from 'react'
import { formatEntered } from '../../core/units/formatQuantity.ts'
import { parseQuantity } from '../../core/units/parseQuantity.ts'
import { QUANTITIES, type Quantity } from '../../core/units/quantities.ts'
import { usePreferences } from '../settings/preferences.tsx'
import { TextField } from './TextField.tsx'
import { type ReadText, useDraftText } from './useDraftText.ts'

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
  /** Whether a number without a unit is surely meant in the unit shown; where it is not, the unit is asked for. */
  sureWithoutUnit?: (si: number) => boolean
  /** The next value up or down, for the arrow keys and the two buttons. */
  step?: (si: number, direction: 1 | -1) => number
  placeholder?: string
  hint?: string
}

/** A quantity typed as people say it, in any unit of its kind. */
export function QuantityField({
  label,
  quantity,
  valueSi,
  onChange,
  onClear,
  check,
  sureWithoutUnit,
  step,
  placeholder,
  hint,
}: Props) {
  const { units } = usePreferences()
  const unit = units[quantity]
  const read = (text: string): ReadText<number | undefined> => {
    if (text.trim() === '' && onClear) return { ok: true, value: undefined }
    const parsed = parseQuantity(quantity, text, unit)
    if (!parsed.ok) return parsed
    if (parsed.bare && sureWithoutUnit?.(parsed.si) === false)
      return {
        ok: false,
        message: `${text.trim()} of what? Type the unit: ${Object.keys(QUANTITIES[quantity].units).join(', ')}.`,
      }
    const message = check?.(parsed.si)
    return message === undefined ? { ok: true, value: parsed.si } : { ok: false, message }
  }
  const shown = valueSi === undefined ? '' : format(quantity, valueSi, unit)
  // Emptied, it is cleared when it is left: while another number is being typed the last one stays in force.
  const draft = useDraftText({
    shown,
    value: valueSi,
    read,
    commit: (si) => si !== undefined && onChange(si),
    putBack: (si) => (si === undefined ? onClear?.() : onChange(si)),
  })
  const move = (direction: 1 | -1) => {
    if (valueSi === undefined || !step) return
    draft.forget()
    const next = step(valueSi, direction)
    if (next !== valueSi) onChange(next)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (!step || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
    event.preventDefault()
    move(event.key === 'ArrowUp' ? 1 : -1)
  }

  return (
    <TextField
      label={label}
      draft={draft}
      hint={hint}
      placeholder={placeholder}
      inputMode="text"
      onFocus={(event) => event.target.select()}
      onBlur={() => draft.text.trim() === '' && valueSi !== undefined && onClear?.()}
      onKeyDown={onKeyDown}
    >
      {step && (
        <>
          <StepButton label={`${label}: one step down`} onClick={() => move(-1)} icon={<Minus className="size-4" />} />
          <StepButton label={`${label}: one step up`} onClick={() => move(1)} icon={<Plus className="size-4" />} />
        </>
      )}
    </TextField>
  )
}

function StepButton({ label, onClick, icon }: { label: string; onClick: () => void; icon: React.ReactNode }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onClick}
      className="grid size-9 shrink-0 place-items-center rounded-md border border-edge bg-sheet hover:bg-well"
    >
      {icon}
    </button>
  )
}

function format(quantity: Quantity, si: number, unit: string): string {
  const { value } = formatEntered(quantity, si, unit)
  return `${value} ${unit}`
}

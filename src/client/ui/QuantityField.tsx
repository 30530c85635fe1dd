import { Minus, Plus } from 'lucide-react'
import { type KeyboardEvent, useState } from 'react'
import { formatEntered } from '../../core/units/formatQuantity.ts'
import { parseQuantity } from '../../core/units/parseQuantity.ts'
import { QUANTITIES, type Quantity } from '../../core/units/quantities.ts'
import { withSign } from '../settings/formats.ts'
import { useFormats, usePreferences } from '../settings/preferences.tsx'
import { fieldClass, Select } from './controls.tsx'
import { TextField } from './TextField.tsx'
import { type ReadText, useDraftText } from './useDraftText.ts'
import { useMedia } from './useMedia.ts'

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
  const formats = useFormats()
  const isTouch = useMedia('touch')
  const [chosenUnit, setChosenUnit] = useState<string>()
  const unit = chosenUnit ?? units[quantity]
  const read = (text: string): ReadText<number | undefined> => {
    if (text.trim() === '' && onClear) return { ok: true, value: undefined }
    const parsed = parseQuantity(quantity, text, unit, formats.decimalSign)
    if (!parsed.ok) return parsed
    // Where the unit is chosen beside it, a number is never without one.
    if (parsed.bare && !isTouch && sureWithoutUnit?.(parsed.si) === false)
      return {
        ok: false,
        message: `${text.trim()} of what? Type the unit: ${Object.keys(QUANTITIES[quantity].units).join(', ')}.`,
      }
    const message = check?.(parsed.si)
    return message === undefined ? { ok: true, value: parsed.si } : { ok: false, message }
  }
  const number = valueSi === undefined ? '' : withSign(formatEntered(quantity, valueSi, unit).value, formats)
  const shown = number === '' || isTouch ? number : `${number} ${unit}`
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
  /** The number stays as it is written, in another unit. */
  const chooseUnit = (next: string) => {
    setChosenUnit(next)
    const again = draft.text.trim() === '' ? undefined : read(`${draft.text.trim()} ${next}`)
    if (!again?.ok || again.value === undefined) return
    draft.forget()
    onChange(again.value)
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
      inputMode={isTouch ? 'decimal' : 'text'}
      onFocus={(event) => event.target.select()}
      onBlur={() => draft.text.trim() === '' && valueSi !== undefined && onClear?.()}
      onKeyDown={onKeyDown}
    >
      {isTouch && (
        <Select
          aria-label={`${label}: unit`}
          className={`${fieldClass} w-20! shrink-0`}
          value={unit}
          onChoose={chooseUnit}
          choices={Object.keys(QUANTITIES[quantity].units).map((each) => ({ value: each, text: each }))}
        />
      )}
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

import { useShow } from '../settings/preferences.tsx'
import { TextField } from './TextField.tsx'
import { type ReadText, useDraftText } from './useDraftText.ts'

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
  const show = useShow()
  const read = (typed: string): ReadText<number | undefined> => {
    if (typed.trim() === '' && placeholder !== undefined) return { ok: true, value: undefined }
    const number = typed.trim() === '' ? Number.NaN : Number(typed.replace(',', '.'))
    if (!(number >= least && number <= most)) return { ok: false, message: `From ${least} to ${most}.` }
    return whole && !Number.isInteger(number) ? { ok: false, message: 'Enter a whole number.' } : { ok: true, value: number }
  }
  const draft = useDraftText({
    shown: value === undefined ? '' : show.plain(Number(value.toFixed(4))),
    value,
    read,
    commit: onChange,
  })
  return <TextField label={label} draft={draft} hint={hint} placeholder={placeholder} inputMode="decimal" />
}

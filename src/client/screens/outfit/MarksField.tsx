import { formatEntered } from '../../../core/units/formatQuantity.ts'
import { parseQuantity } from '../../../core/units/parseQuantity.ts'
import { withSign } from '../../settings/formats.ts'
import { useFormats, usePreferences } from '../../settings/preferences.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { type ReadText, useDraftText } from '../../ui/useDraftText.ts'

const MOST = 20

/** Where a line is marked from its free end, as a list: “10, 20 and 30 m” apart by commas. */
export function MarksField({
  marksM,
  onChange,
}: {
  marksM: number[] | undefined
  onChange: (marksM: number[] | undefined) => void
}) {
  const { units } = usePreferences()
  const formats = useFormats()
  const unit = units.length
  const read = (text: string): ReadText<number[] | undefined> => {
    const parts = text
      .split(formats.decimalSign === ',' ? ';' : /[;,]/)
      .map((part) => part.trim())
      .filter(Boolean)
    if (parts.length === 0) return { ok: true, value: undefined }
    if (parts.length > MOST) return { ok: false, message: `At most ${MOST} line marks.` }
    const lengths: number[] = []
    for (const part of parts) {
      const parsed = parseQuantity('length', part, unit, formats.decimalSign)
      if (!parsed.ok) return parsed
      if (parsed.si < 1e-3 || parsed.si > 5_000) return { ok: false, message: 'A line mark must be 1 mm to 5 km from the end.' }
      lengths.push(parsed.si)
    }
    return { ok: true, value: lengths.toSorted((a, b) => a - b) }
  }
  const shown = (marksM ?? [])
    .map((si) => withSign(formatEntered('length', si, unit).value, formats))
    .join(formats.decimalSign === ',' ? '; ' : ', ')
  const draft = useDraftText({ shown, value: marksM, read, commit: onChange })
  return (
    <TextField
      label={`marked at, ${unit}`}
      draft={draft}
      hint={`from the free end, separated by ${formats.decimalSign === ',' ? 'semicolons' : 'commas'}`}
      placeholder="no line marks"
    />
  )
}

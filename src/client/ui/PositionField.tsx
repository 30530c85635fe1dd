import { formatPosition, parsePosition } from '../../core/units/parsePosition.ts'
import { TextField } from './TextField.tsx'
import { useDraftText } from './useDraftText.ts'

type Props = { kind: 'latitude' | 'longitude'; deg: number | undefined; onChange: (deg: number | undefined) => void }

/** A latitude or longitude as it is written on a chart; empty where it is unknown. */
export function PositionField({ kind, deg, onChange }: Props) {
  const draft = useDraftText({
    shown: deg === undefined ? '' : formatPosition(kind, deg),
    value: deg,
    read: (text) => {
      if (text.trim() === '') return { ok: true, value: undefined }
      const parsed = parsePosition(kind, text)
      return parsed.ok ? { ok: true, value: parsed.deg } : parsed
    },
    commit: onChange,
  })
  return <TextField label={kind} draft={draft} placeholder="unknown" />
}

import { formatPosition, parsePosition } from '../../core/units/parsePosition.ts'
import { TextField } from './TextField.tsx'
import { useDraftText } from './useDraftText.ts'

type Props = { kind: 'latitude' | 'longitude'; deg: number; onChange: (deg: number) => void }

/** A latitude or longitude as it is written on a chart. */
export function PositionField({ kind, deg, onChange }: Props) {
  const draft = useDraftText({
    shown: formatPosition(kind, deg),
    value: deg,
    read: (text) => {
      const parsed = parsePosition(kind, text)
      return parsed.ok ? { ok: true, value: parsed.deg } : parsed
    },
    commit: onChange,
  })
  return <TextField label={kind} draft={draft} />
}

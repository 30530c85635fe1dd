import type { HookPiece } from '../../core/documents/trace.ts'
import { CheckField } from '../ui/CheckField.tsx'
import { above } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'

type Head = Pick<HookPiece, 'headKg' | 'headSwings'>

/** The head that a hook is cast on, by its weight; emptied, a bare hook. */
export function HookHead({ hook, onChange }: { hook: Head; onChange: (change: Head) => void }) {
  return (
    <>
      <QuantityField
        label="head"
        quantity="mass"
        valueSi={hook.headKg}
        placeholder="none"
        hint="weight of a jig head"
        check={above(0, 5)}
        onChange={(headKg) => onChange({ headKg })}
        onClear={() => onChange({ headKg: undefined, headSwings: undefined })}
      />
      {hook.headKg !== undefined && (
        <CheckField
          label="the hook swings on its head"
          checked={hook.headSwings ?? false}
          onChange={(swings) => onChange({ headSwings: swings || undefined })}
        />
      )}
    </>
  )
}

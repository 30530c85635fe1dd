import { hookDimensions } from '../../core/catalogue/hooks.ts'
import type { HookPiece } from '../../core/documents/trace.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { useShow } from '../settings/preferences.tsx'
import { within } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'

type Measured = Pick<HookPiece, 'gapeM' | 'wireM'>
type Props = { hook: Pick<HookPiece, 'pattern' | 'size'> & Measured; onChange: (change: Measured) => void }

/** Gape and wire of a hook as a ruler has them, else nominal. */
export function HookMeasures({ hook, onChange }: Props) {
  const show = useShow()
  const nominal = hookDimensions(useCatalogue(), hook.pattern, hook.size)
  return MEASURES.map(({ field, label, check }) => {
    const nominalM = nominal?.[field]
    return (
      <QuantityField
        key={field}
        label={label}
        quantity="diameter"
        valueSi={hook[field]}
        placeholder={nominalM === undefined ? 'measure' : `nominal ${show.entered('diameter', Number(nominalM.toPrecision(2)))}`}
        check={check}
        onChange={(si) => onChange({ [field]: si })}
        onClear={() => onChange({ [field]: undefined })}
      />
    )
  })
}

const MEASURES = [
  { field: 'gapeM', label: 'gape', check: within(0.001, 0.2, 'From 1 to 200 mm.') },
  { field: 'wireM', label: 'wire', check: within(0.0001, 0.02, 'From 0.1 to 20 mm.') },
] as const

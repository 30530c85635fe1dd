import { hookDimensions } from '../../core/catalogue/hooks.ts'
import type { HookPiece } from '../../core/documents/trace.ts'
import { useCatalogue } from '../catalogue.ts'
import { useShow } from '../settings/preferences.tsx'
import { within } from './limits.ts'
import { QuantityField } from './QuantityField.tsx'

type Measured = Pick<HookPiece, 'gapeM' | 'wireM'>
type Props = { hook: Pick<HookPiece, 'pattern' | 'size'> & Measured; onChange: (change: Measured) => void }

/** Gape and wire of a hook as a ruler has them, else nominal. */
export function HookMeasures({ hook, onChange }: Props) {
  const show = useShow()
  const nominal = hookDimensions(useCatalogue(), hook.pattern, hook.size)
  const placeholder = (si: number | undefined) => (si === undefined ? 'measure it' : `nominal ${show.computed('diameter', si)}`)
  return (
    <>
      <QuantityField
        label="gape"
        quantity="diameter"
        valueSi={hook.gapeM}
        placeholder={placeholder(nominal?.gapeM)}
        check={within(0.001, 0.2, 'From 1 to 200 mm.')}
        onChange={(gapeM) => onChange({ gapeM })}
        onClear={() => onChange({ gapeM: undefined })}
      />
      <QuantityField
        label="wire"
        quantity="diameter"
        valueSi={hook.wireM}
        placeholder={placeholder(nominal?.wireM)}
        check={within(0.0001, 0.02, 'From 0.1 to 20 mm.')}
        onChange={(wireM) => onChange({ wireM })}
        onClear={() => onChange({ wireM: undefined })}
      />
    </>
  )
}

import type { Outfit } from '../../core/documents/outfit.ts'
import { above } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'

type Capacity = Pick<Outfit['reel'], 'capacityLengthM' | 'capacityDiameterM'>
type Props = { label: string; of: Capacity; onChange: (change: Partial<Capacity>) => void }

/** What a reel holds, as it is printed on it: so much of such a line. */
export function CapacityFields({ label, of: { capacityLengthM, capacityDiameterM }, onChange }: Props) {
  return (
    <>
      <QuantityField
        label={label}
        quantity="length"
        valueSi={capacityLengthM}
        check={above(0, 5_000)}
        onChange={(m) => onChange({ capacityLengthM: m })}
        hint="as printed on the reel"
      />
      <QuantityField
        label="of"
        quantity="diameter"
        valueSi={capacityDiameterM}
        check={above(0, 0.02)}
        onChange={(m) => onChange({ capacityDiameterM: m })}
        hint="… of this line"
      />
    </>
  )
}

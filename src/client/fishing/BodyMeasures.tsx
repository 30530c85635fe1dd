import type { Body } from '../../core/setup/bodies.ts'
import { CheckField } from '../ui/CheckField.tsx'
import { within } from '../ui/limits.ts'
import { NumberField } from '../ui/NumberField.tsx'
import { QuantityField } from '../ui/QuantityField.tsx'

type Measures = Pick<Body, 'lengthM' | 'depthM' | 'dragAreaM2' | 'floats'>

const CM2_PER_M2 = 1e4
const SIZE = within(0.001, 3, 'From 1 mm to 3 m.')

/** A lure or bait as it is measured: length, depth from back to belly, what the stream pushes on, and whether it floats. */
export function BodyMeasures({ body, onChange }: { body: Measures; onChange: (change: Measures) => void }) {
  const measured = body.lengthM !== undefined && body.depthM !== undefined
  return (
    <>
      {(['length', 'depth'] as const).map((label) => (
        <QuantityField
          key={label}
          label={label}
          quantity="length"
          valueSi={body[`${label}M`]}
          placeholder="not measured"
          {...(label === 'depth' ? { hint: 'back to belly' } : {})}
          check={SIZE}
          onChange={(si) => onChange({ [`${label}M`]: si })}
          onClear={() => onChange({ [`${label}M`]: undefined })}
        />
      ))}
      <NumberField
        label="drag area, cm²"
        value={body.dragAreaM2 === undefined ? undefined : body.dragAreaM2 * CM2_PER_M2}
        least={0.01}
        most={10_000}
        placeholder={measured ? 'from length and depth' : 'nominal'}
        onChange={(cm2) => onChange({ dragAreaM2: cm2 === undefined ? undefined : cm2 / CM2_PER_M2 })}
      />
      <CheckField
        label="floats"
        checked={body.floats ?? false}
        onChange={(floats) => onChange({ floats: floats || undefined })}
      />
    </>
  )
}

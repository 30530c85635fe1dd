import type { z } from 'zod'
import type { ratedFields } from '../../core/documents/fields.ts'
import { TRIED } from '../../core/setup/moving/tow.ts'
import { useShow } from '../settings/preferences.tsx'
import { within } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'

type Rating = { [Field in keyof typeof ratedFields]?: z.infer<(typeof ratedFields)[Field]> }

/** The depth that a lure is said to run at, and how it was tried; without a depth nothing of it counts. */
export function LureRating({ lure, onChange }: { lure: Rating; onChange: (change: Rating) => void }) {
  const show = useShow()
  const shared = (field: keyof Rating) => ({
    valueSi: lure[field],
    onChange: (si: number) => onChange({ [field]: si }),
    onClear: () => onChange({ [field]: undefined }),
  })
  return (
    <>
      <QuantityField
        {...shared('ratedDepthM')}
        label="rated depth"
        quantity="depth"
        placeholder="not rated"
        hint="see its packet"
        check={within(0.1, 60, 'From 10 cm to 60 m.')}
      />
      {lure.ratedDepthM !== undefined && (
        <>
          <QuantityField
            {...shared('ratedSpeedMperS')}
            label="at a speed of"
            quantity="speed"
            placeholder={`nominal ${show.computed('speed', TRIED.speedMperS)}`}
            check={within(0.2, 10, 'From 0.2 to 10 m/s.')}
          />
          <QuantityField
            {...shared('ratedLineOutM')}
            label="with line out"
            quantity="length"
            placeholder={`nominal ${show.entered('length', TRIED.lineOutM)}`}
            check={within(1, 500, 'From 1 m to 500 m.')}
          />
          <QuantityField
            {...shared('ratedLineDiameterM')}
            label="on braid of"
            quantity="diameter"
            placeholder={`nominal ${show.computed('diameter', TRIED.lineDiameterM)}`}
            check={within(1e-5, 0.02, 'Up to 20 mm.')}
          />
        </>
      )}
    </>
  )
}

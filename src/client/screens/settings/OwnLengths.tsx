import { NOMINAL_ARM_M } from '../../../core/outfits/lengthWays.ts'
import { OWN_LIMITS, usePreferences, useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'

/** What a person measures line by on the water, measured once. */
export function OwnLengths() {
  const { own, setOwn } = usePreferences()
  const show = useShow()
  const fields = [
    { key: 'armM', label: 'one pull with your arm', placeholder: `nominal ${show.entered('length', NOMINAL_ARM_M)}` },
    { key: 'boatM', label: 'your boat length', placeholder: 'not measured' },
  ] as const
  return (
    <Sheet title="My measurements">
      <p className="mb-3 text-quiet">
        Line out is also shown in these. Measure the line you pull off the reel with one arm movement.
      </p>
      <div className="grid gap-2">
        {fields.map(({ key, label, placeholder }) => {
          const { least, most } = OWN_LIMITS[key]
          return (
            <QuantityField
              key={key}
              label={label}
              quantity="length"
              valueSi={own[key]}
              placeholder={placeholder}
              check={within(least, most, `From ${show.entered('length', least)} to ${show.entered('length', most)}.`)}
              onChange={(si) => setOwn({ ...own, [key]: si })}
              onClear={() => {
                const { [key]: _cleared, ...rest } = own
                setOwn(rest)
              }}
            />
          )
        })}
      </div>
    </Sheet>
  )
}

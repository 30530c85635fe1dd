import type { TrolledWay } from '../../../../core/setup/moving/trolled.ts'
import { CheckField } from '../../../ui/CheckField.tsx'
import { within } from '../../../ui/limits.ts'
import { NumberField } from '../../../ui/NumberField.tsx'
import { QuantityField } from '../../../ui/QuantityField.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'

type Props = {
  moving: TrolledWay
  /** The trace has two lures on legs of their own. */
  legs: boolean
  onChange: (change: Partial<TrolledWay>, tag?: string) => void
}

/** A second line beside the first, and the turn that both are towed through. */
export function BesideFields({ moving, legs, onChange }: Props) {
  const { beside } = moving
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">A second line</legend>
      <CheckField
        label="second line"
        checked={beside !== undefined}
        onChange={(checked) =>
          onChange({ beside: checked ? { lineOutM: Math.round(moving.lineOutM * 1.5), weightTimes: 1, apartM: 4 } : undefined })
        }
      />
      {beside && (
        <>
          <SliderField
            label="second line out"
            quantity="length"
            valueSi={beside.lineOutM}
            least={1}
            most={120}
            mostTyped={1000}
            step={1}
            onChange={(lineOutM) => onChange({ beside: { ...beside, lineOutM } }, 'second line out')}
          />
          <NumberField
            label="second weights"
            value={beside.weightTimes}
            least={0.1}
            most={10}
            hint="1 is the same, 2 is double"
            onChange={(weightTimes) =>
              weightTimes !== undefined && onChange({ beside: { ...beside, weightTimes } }, 'second weights')
            }
          />
          <QuantityField
            label="rod tips apart"
            quantity="length"
            valueSi={beside.apartM}
            check={within(0, 30, 'From 0 to 30 m.')}
            onChange={(apartM) => onChange({ beside: { ...beside, apartM } }, 'rod tips apart')}
          />
        </>
      )}
      {(beside || legs) && (
        <QuantityField
          label="radius of a turn"
          quantity="length"
          valueSi={moving.turnRadiusM}
          check={within(5, 1_000, 'From 5 m to 1 km.')}
          onChange={(turnRadiusM) => onChange({ turnRadiusM }, 'turn')}
        />
      )}
    </fieldset>
  )
}

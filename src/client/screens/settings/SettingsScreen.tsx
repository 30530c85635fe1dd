import { QUANTITY_NAMES, type Quantity } from '../../../core/units/quantities.ts'
import { OwnFiguresField } from '../../fishing/OwnFiguresField.tsx'
import { UNIT_CHOICES, usePreferences, useShow } from '../../settings/preferences.tsx'
import { Field, Select, Sheet } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { Backups } from './Backups.tsx'
import { Examples } from './Examples.tsx'
import { NumbersAndTimes } from './NumbersAndTimes.tsx'
import { OwnLengths } from './OwnLengths.tsx'
import { RegionWords } from './RegionWords.tsx'
import { RuleSets } from './RuleSets.tsx'
import { StockSettings } from './StockSettings.tsx'

const SAMPLE_SI: Record<Quantity, number> = {
  strength: 133.446648457815,
  mass: 0.15,
  fish: 3,
  length: 1.4,
  depth: 11,
  diameter: 0.0005,
  speed: 1.3375555555,
}

/** Units by quantity, kept in this browser. */
export default function SettingsScreen() {
  usePageTitle('Settings')
  const { units, setUnit } = usePreferences()
  const show = useShow()
  return (
    <div className="mx-auto grid max-w-xl gap-3 p-3 sm:p-6">
      <h1 className="text-xl font-bold">Settings</h1>
      <Sheet title="Units">
        <p className="mb-3 text-quiet">The units of all values. You can type any unit anywhere: 30lb, 13.6 kg, 4 ft 6, 3 oz.</p>
        <div className="grid gap-2">
          {(Object.keys(UNIT_CHOICES) as Quantity[]).map((quantity) => (
            <Field
              key={quantity}
              label={QUANTITY_NAMES[quantity]}
              htmlFor={`unit-${quantity}`}
              hint={`for example ${show.computed(quantity, SAMPLE_SI[quantity])}`}
            >
              <Select
                id={`unit-${quantity}`}
                value={units[quantity]}
                onChoose={(next) => setUnit(quantity, next)}
                choices={UNIT_CHOICES[quantity].map((unit) => ({ value: unit, text: unit }))}
              />
            </Field>
          ))}
        </div>
      </Sheet>
      <NumbersAndTimes />
      <RegionWords />
      <OwnLengths />
      <RuleSets />
      <StockSettings />
      <Backups />
      <Examples />
      <Sheet title="About the values">
        <p className="text-quiet">
          Knot, line and hook values are nominal estimates with a spread. Test your own knots and gear. Local rules and the
          licensed skipper come first.
        </p>
        <OwnFiguresField />
      </Sheet>
    </div>
  )
}

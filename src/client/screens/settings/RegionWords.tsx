import { inRegion, REGIONS, type Region } from '../../regional/regionWords.ts'
import { usePreferences } from '../../settings/preferences.tsx'
import { Field, Select, Sheet } from '../../ui/controls.tsx'

const REGION_NAMES: Record<Region, string> = {
  default: 'the usual words',
  britain: 'British Isles',
  northAmerica: 'North America',
  southernAfrica: 'Southern Africa',
  australasia: 'Australia and New Zealand',
}
const SAMPLE = ['trace', 'sinker', 'snood', 'running ledger', 'wired grip']

/** Whose words are shown. Those of every region are understood, whatever is chosen here. */
export function RegionWords() {
  const { region, setRegion } = usePreferences()
  return (
    <Sheet title="Words">
      <p className="mb-3 text-quiet">
        Parts and rigs in the words of your region. When you type or search, all of them are understood.
      </p>
      <Field label="words of" htmlFor="region">
        <Select
          id="region"
          value={region}
          onChoose={setRegion}
          choices={REGIONS.map((value) => ({ value, text: REGION_NAMES[value] }))}
        />
      </Field>
      <p className="mt-2 text-sm text-quiet" translate="no">
        For example: {SAMPLE.map(inRegion(region)).join(', ')}.
      </p>
    </Sheet>
  )
}

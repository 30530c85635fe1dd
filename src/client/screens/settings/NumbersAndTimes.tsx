import { BROWSER_FORMATS } from '../../settings/browserFormats.ts'
import { FORMAT_CHOICES, type Formats } from '../../settings/formats.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { Field, Select, Sheet } from '../../ui/controls.tsx'

const LABELS: Record<keyof Formats, string> = { decimalSign: 'decimal sign', clock: 'clock', dayOrder: 'date' }
const CHOICE_WORDS: Record<string, string> = {
  '.': 'point, 1.5',
  ',': 'comma, 1,5',
  '24': '24 hours, 18:40',
  '12': '12 hours, 6:40 pm',
  day: 'day first, 24 Nov 2026',
  month: 'month first, Nov 24, 2026',
  year: 'year first, 2026-11-24',
}

/** How numbers, times and days are written, by the browser's language until something else is chosen. */
export function NumbersAndTimes() {
  const { formats, setFormat } = usePreferences()
  const show = useShow()
  return (
    <Sheet title="Numbers, times and dates">
      <div className="grid gap-2">
        {(Object.keys(FORMAT_CHOICES) as (keyof Formats)[]).map((key) => (
          <Field key={key} label={LABELS[key]} htmlFor={`format-${key}`}>
            <Select
              id={`format-${key}`}
              value={formats[key] ?? 'browser'}
              onChoose={(next) => setFormat(key, next === 'browser' ? undefined : next)}
              choices={[
                { value: 'browser', text: `as the browser: ${CHOICE_WORDS[BROWSER_FORMATS[key]]}` },
                ...FORMAT_CHOICES[key].map((value) => ({ value, text: CHOICE_WORDS[value] ?? value })),
              ]}
            />
          </Field>
        ))}
      </div>
      <p className="mt-2 text-sm text-quiet">
        For example {show.number(1.25, 2)} at {show.clock(Date.UTC(2026, 10, 24, 18, 40), 'UTC')} on {show.date('2026-11-24')}.
      </p>
    </Sheet>
  )
}

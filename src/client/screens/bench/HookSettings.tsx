import { useId } from 'react'
import type { HookPattern } from '../../../core/catalogue/ids.ts'
import type { HookPiece } from '../../../core/documents/trace.ts'
import { describeHookSize, parseHookSize } from '../../../core/units/hookSize.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { HookToScale } from '../../charts/HookToScale.tsx'
import { HookHead } from '../../fishing/HookHead.tsx'
import { HookMeasures } from '../../fishing/HookMeasures.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { choicesOf, Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useDraftText } from '../../ui/useDraftText.ts'

/** How a hook is made, beside its size and pattern. */
const MAKES = ['offset', 'barbless', 'openedEye', 'weedGuard'] as const
type Make = (typeof MAKES)[number]
const MAKE_WORDS: Record<Make, string> = {
  offset: 'offset',
  barbless: 'barbless',
  openedEye: 'eye was opened',
  weedGuard: 'weed guard',
}

type Props = {
  hook: HookPiece
  onSize: (size: string) => void
  onPattern: (pattern: HookPattern) => void
  onMeasure: (measure: Pick<HookPiece, 'gapeM' | 'wireM' | 'headKg' | 'headSwings'>) => void
  onMake: (make: { [Made in Make]?: boolean }) => void
  /** Of a hook that rides on its line. */
  onWraps: ((wraps: number | undefined) => void) | undefined
}

/** Pattern and size, the size echoed in words and drawn, because 2 and 2/0 are a costly mix-up. */
export function HookSettings({ hook, onSize, onPattern, onMeasure, onMake, onWraps }: Props) {
  const catalogue = useCatalogue()
  const id = useId()
  const draft = useDraftText({
    shown: hook.size,
    value: hook.size,
    read: (text) => {
      const read = parseHookSize(text)
      return read.ok ? { ok: true, value: read.size.label } : read
    },
    commit: onSize,
  })
  const parsed = parseHookSize(draft.text)
  const other = mistakenFor(hook.size)
  return (
    <>
      <TextField label="hook size" draft={draft} hint={parsed.ok ? describeHookSize(parsed.size) : undefined} />
      <Field label="pattern" htmlFor={`${id}-pattern`}>
        <Select
          id={`${id}-pattern`}
          value={hook.pattern}
          onChoose={(next) => onPattern(next)}
          choices={choicesOf(catalogue.hooks.patterns)}
        />
      </Field>
      <div className="flex flex-wrap gap-x-4">
        {MAKES.map((make) => (
          <CheckField
            key={make}
            label={MAKE_WORDS[make]}
            checked={hook[make] ?? false}
            onChange={(made) => onMake({ [make]: made })}
          />
        ))}
      </div>
      {onWraps && (
        <NumberField
          label="wraps"
          value={hook.wraps}
          whole
          least={1}
          most={10}
          placeholder="none: it slides"
          onChange={onWraps}
          hint="of the line around the shank; they hold the hook"
        />
      )}
      <HookMeasures hook={hook} onChange={onMeasure} />
      <HookHead hook={hook} onChange={onMeasure} />
      <div className="flex flex-wrap items-end gap-3">
        <HookToScale {...hook} />
        {other && (
          <figure>
            <HookToScale pattern={hook.pattern} size={other} gapeM={undefined} wireM={undefined} />
            <figcaption className="text-sm text-quiet">{other}. This hook is not</figcaption>
          </figure>
        )}
      </div>
    </>
  )
}

/** The size that a number is mistaken for: 2 for 2/0, and the other way round. */
function mistakenFor(size: string): string | undefined {
  const read = parseHookSize(size)
  if (!read.ok) return undefined
  const { label, aught } = read.size
  const other = aught ? label.replace('/0', '') : `${label}/0`
  return parseHookSize(other).ok ? other : undefined
}

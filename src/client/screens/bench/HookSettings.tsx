import { useId, useState } from 'react'
import type { HOOK_PATTERNS, HookPattern } from '../../../core/gear/hooks.ts'
import type { HookPiece } from '../../../core/trace/schema.ts'
import { describeHookSize, parseHookSize } from '../../../core/units/hookSize.ts'
import { HookToScale } from '../../charts/HookToScale.tsx'
import { Field, fieldClass, Select } from '../../ui/controls.tsx'

type Props = {
  hook: HookPiece
  onSize: (size: string) => void
  onPattern: (pattern: HookPattern) => void
  onMake: (make: { offset?: boolean; barbless?: boolean }) => void
  patterns: typeof HOOK_PATTERNS
}

/** Pattern and size, the size echoed in words and drawn, because 2 and 2/0 are a costly mix-up. */
export function HookSettings({ hook, onSize, onPattern, onMake, patterns }: Props) {
  const id = useId()
  const [draft, setDraft] = useState<string>()
  const parsed = parseHookSize(draft ?? hook.size)
  const type = (text: string) => {
    setDraft(text)
    const read = parseHookSize(text)
    if (read.ok) onSize(read.size.label)
  }
  return (
    <>
      <Field
        label="hook size"
        htmlFor={id}
        hint={parsed.ok ? describeHookSize(parsed.size) : undefined}
        fault={parsed.ok ? undefined : parsed.message}
      >
        <input
          id={id}
          className={fieldClass}
          value={draft ?? hook.size}
          autoComplete="off"
          aria-invalid={parsed.ok ? undefined : true}
          aria-describedby={`${id}-${parsed.ok ? 'hint' : 'fault'}`}
          onChange={(event) => type(event.target.value)}
          onBlur={() => parsed.ok && setDraft(undefined)}
        />
      </Field>
      <Field label="pattern" htmlFor={`${id}-pattern`}>
        <Select
          id={`${id}-pattern`}
          value={hook.pattern}
          onChange={(event) => onPattern(event.target.value as HookPattern)}
          choices={Object.entries(patterns).map(([value, { name }]) => ({ value, text: name }))}
        />
      </Field>
      <div className="flex flex-wrap gap-x-4">
        {(['offset', 'barbless'] as const).map((make) => (
          <label key={make} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={hook[make] ?? false}
              onChange={(event) => onMake({ [make]: event.target.checked })}
            />
            {make}
          </label>
        ))}
      </div>
      <HookToScale pattern={hook.pattern} size={hook.size} />
    </>
  )
}

import { useId } from 'react'
import { yourPulls } from '../../../core/joints/ownFigures.ts'
import type { Spool } from '../../api/useSpools.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select } from '../../ui/controls.tsx'

type Props = { spools: readonly Spool[]; value: string | undefined; onChange: (spool: Spool | undefined) => void }

/** Which spool of the box a sample is cut from, and what that spool holds. */
export function CutFrom({ spools, value, onChange }: Props) {
  const id = useId()
  const show = useShow()
  if (spools.length === 0) return null
  const lesson = spools.find((spool) => spool.id === value)?.lesson
  return (
    <Field
      label="cut from"
      htmlFor={id}
      hint={lesson && `holds ${show.computed('strength', lesson.strengthN)} by ${yourPulls(lesson.pulls.length)}`}
    >
      <Select
        id={id}
        value={value ?? ''}
        choices={[{ value: '', text: 'no spool from the box' }, ...spools.map(({ id: of, name }) => ({ value: of, text: name }))]}
        onChoose={(next) => onChange(spools.find((spool) => spool.id === next))}
      />
    </Field>
  )
}

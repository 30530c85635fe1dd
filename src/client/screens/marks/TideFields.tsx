import { useState } from 'react'
import type { Mark } from '../../../core/documents/mark.ts'
import type { Port } from '../../../shared/tides.ts'
import { choicesOf, Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { HeightTable } from './HeightTable.tsx'
import { TypedTides } from './TypedTides.tsx'

type TidePart = Pick<Mark, 'portId' | 'heights' | 'highWaterAfterMin'>
type Props = { mark: Mark; ports: readonly Port[]; onChange: (change: Partial<TidePart>) => void }

const WAYS = {
  unknown: { name: 'I do not know' },
  typed: { name: 'typed from a tide table' },
  file: { name: 'a tide table as a CSV file' },
  port: { name: 'a port of the tide service' },
} as const
type Way = keyof typeof WAYS

/** Where the times and heights of high and low water come from. What was given one way is there again when it is chosen again. */
export function TideFields({ mark, ports, onChange }: Props) {
  const [way, setWay] = useState<Way>(() => (mark.portId !== undefined ? 'port' : mark.heights?.length ? 'typed' : 'unknown'))
  const [given, setGiven] = useState<TidePart>(mark)
  const choose = (next: Way) => {
    const known = {
      ...given,
      ...(mark.portId !== undefined && { portId: mark.portId }),
      ...(mark.heights?.length && { heights: mark.heights }),
    }
    setGiven(known)
    setWay(next)
    const heights = next === 'unknown' ? undefined : known.heights
    onChange({ heights, portId: next === 'port' ? (known.portId ?? ports[0]?.id) : undefined })
  }
  const changeHeights = (heights: NonNullable<Mark['heights']>) => onChange({ heights })
  return (
    <div className="grid gap-2">
      <Field label="high water from" htmlFor="mark-tide-way">
        <Select
          id="mark-tide-way"
          value={way}
          onChoose={choose}
          choices={choicesOf(WAYS).filter(({ value }) => value !== 'port' || ports.length > 0 || way === 'port')}
        />
      </Field>
      {way === 'unknown' && <p className="text-sm text-quiet">The plan then takes the strongest current at every hour.</p>}
      {way === 'port' && (
        <>
          <Field label="port" htmlFor="mark-port">
            <Select
              id="mark-port"
              value={mark.portId ?? ''}
              onChoose={(portId) => onChange({ portId })}
              choices={[
                // While the tide service is away the port is known by its id alone.
                ...(ports.some(({ id }) => id === mark.portId) ? [] : [{ value: mark.portId ?? '', text: mark.portId ?? '' }]),
                ...ports.map(({ id, name }) => ({ value: id, text: name })),
              ]}
            />
          </Field>
          <NumberField
            label="high water"
            value={mark.highWaterAfterMin}
            least={-360}
            most={360}
            whole
            onChange={(highWaterAfterMin) => highWaterAfterMin !== undefined && onChange({ highWaterAfterMin })}
            hint="minutes after the port; negative is before"
          />
        </>
      )}
      {way === 'typed' && <TypedTides mark={mark} onChange={changeHeights} />}
      {(way === 'file' || way === 'port') && <HeightTable mark={mark} onChange={changeHeights} />}
    </div>
  )
}

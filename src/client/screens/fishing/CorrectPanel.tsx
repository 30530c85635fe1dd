import { useState } from 'react'
import type { TripEvent } from '../../../core/documents/observation.ts'
import { type Happening, SNAG_LOSSES } from '../../../core/documents/tripEvent.ts'
import { MINUTE_MS } from '../../../core/time/durations.ts'
import type { SavedFish } from '../../api/documents.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { happeningWords } from '../../words/tripWords.ts'
import { BigButton } from './BigButton.tsx'
import { ButtonRow } from './ButtonRow.tsx'
import { FishRows } from './FishRows.tsx'
import type { NamedHook, NamedLink } from './useRodSetup.ts'

/** Steps of the time, minutes. */
const STEPS = [-60, -10, -1, 1, 10, 60]

type Props = {
  event: TripEvent
  rods: readonly { id: string; name: string }[]
  links: readonly NamedLink[]
  hooks: readonly NamedHook[]
  fish: readonly SavedFish[]
  timeZone: string | undefined
  onSave: (change: { at: string; rod: string; what: Happening }) => void
  onTakeOut: () => void
  onClose: () => void
}

/** Puts right when something happened, on which rod, and what it was. Nothing is typed. */
export function CorrectPanel({ event, rods, links, hooks, fish, timeZone, onSave, onTakeOut, onClose }: Props) {
  const show = useShow()
  const [atMs, setAtMs] = useState(Date.parse(event.at))
  const [rod, setRod] = useState(event.rod)
  const [what, setWhat] = useState(event.what)
  const nameOf = (key: string) => links.find((link) => link.key === key)?.name ?? key.replaceAll('-', ' ')
  return (
    <Panel open onOpenChange={onClose} title="Correct" about={happeningWords(event.what, nameOf)}>
      <div className="mt-3 grid gap-3">
        <fieldset>
          <legend className="text-sm text-quiet">
            at <strong className="text-base text-ink tabular-nums">{show.clock(atMs, timeZone)}</strong>; minutes:
          </legend>
          <div className="grid grid-cols-6 gap-1">
            {STEPS.map((minutes) => (
              <BigButton
                key={minutes}
                name={`${minutes > 0 ? '+' : '−'}${Math.abs(minutes)}`}
                aria-label={`${Math.abs(minutes)} minutes ${minutes > 0 ? 'later' : 'earlier'}`}
                onClick={() => setAtMs(atMs + minutes * MINUTE_MS)}
              />
            ))}
          </div>
        </fieldset>
        {rods.length > 1 && (
          <ButtonRow label="on" choices={rods.map(({ id, name }) => ({ value: id, name }))} value={rod} onChoose={setRod} />
        )}
        <What what={what} links={links} hooks={hooks} fish={fish} onChange={setWhat} />
        <BigButton
          name="Save"
          className="border-tide! bg-tide! text-on-tide!"
          onClick={() => onSave({ at: new Date(atMs).toISOString(), rod, what })}
        />
        <BigButton name="It did not happen" onClick={onTakeOut} />
      </div>
    </Panel>
  )
}

type WhatProps = {
  what: Happening
  links: readonly NamedLink[]
  hooks: readonly NamedHook[]
  fish: readonly SavedFish[]
  onChange: (what: Happening) => void
}

/** What can be said of it beyond that it happened. */
function What({ what, links, hooks, fish, onChange }: WhatProps) {
  switch (what.type) {
    case 'fish':
      return <FishRows fish={fish} caught={what} hooks={hooks} onChange={onChange} />
    case 'bite':
    case 'missed':
    case 'biteOff':
      return hooks.length > 1 ? (
        <ButtonRow
          label="on"
          choices={[{ value: '', name: 'not felt' }, ...hooks.map(({ id, name }) => ({ value: id, name }))]}
          value={what.hook ?? ''}
          onChoose={(hook) => onChange({ type: what.type, ...(hook === '' ? {} : { hook }) })}
        />
      ) : null
    case 'snag':
      return (
        <ButtonRow
          label="lost"
          choices={SNAG_LOSSES.map((lost) => ({ value: lost, name: lost }))}
          value={what.lost}
          onChoose={(lost) => onChange({ ...what, lost })}
        />
      )
    case 'break':
      return (
        <ButtonRow
          label="what broke"
          choices={[{ value: '', name: 'not seen' }, ...links.map(({ key, name }) => ({ value: key, name }))]}
          value={what.link ?? ''}
          onChoose={(link) => onChange({ type: 'break', during: what.during, ...(link === '' ? {} : { link }) })}
        />
      )
    default:
      return null
  }
}

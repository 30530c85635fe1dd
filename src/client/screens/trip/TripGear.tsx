import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { GEAR_KINDS } from '../../../core/documents/gear.ts'
import { MAX_GEAR, type Trip } from '../../../core/documents/trip.ts'
import { gearQuery } from '../../api/documents.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { fieldClass, Sheet } from '../../ui/controls.tsx'
import { GEAR_KIND_PLURALS } from '../../words/gearWords.ts'

/** So many of a kind are listed; a search finds the others. */
const MAX_LISTED = 40

type Props = { gearIds: Trip['gearIds']; onChange: (gearIds: Trip['gearIds']) => void }

/** What of the box goes along: all of it, or what is ticked. What to change on the water is chosen from that. */
export function TripGear({ gearIds, onChange }: Props) {
  const gear = useQuery(gearQuery).data ?? []
  const [search, setSearch] = useState('')
  const taken = new Set(gearIds)
  const set = (id: string, isTaken: boolean) =>
    onChange(isTaken ? [...taken, id].slice(0, MAX_GEAR) : [...taken].filter((each) => each !== id))
  const wanted = search.trim().toLowerCase()
  return (
    <Sheet title="Gear along" aside={gearIds && <span className="text-sm text-quiet">{`${taken.size} of ${gear.length}`}</span>}>
      <CheckField label="the whole tackle box" checked={!gearIds} onChange={(all) => onChange(all ? undefined : [])} />
      {gearIds && (
        <>
          <input
            className={`${fieldClass} mt-2`}
            aria-label="search the box"
            placeholder="search the box"
            value={search}
            onChange={({ target }) => setSearch(target.value)}
          />
          {GEAR_KINDS.map((kind) => {
            const found = gear.filter(
              ({ id, content }) =>
                content.kind === kind && (wanted === '' ? true : content.name.toLowerCase().includes(wanted) || taken.has(id)),
            )
            if (found.length === 0) return null
            const listed = [...found.filter(({ id }) => taken.has(id)), ...found.filter(({ id }) => !taken.has(id))]
            return (
              <fieldset key={kind} className="mt-2">
                <legend className="text-sm text-quiet">{GEAR_KIND_PLURALS[kind]}</legend>
                <div className="grid gap-x-3 sm:grid-cols-2" translate="no">
                  {listed.slice(0, MAX_LISTED).map(({ id, content }) => (
                    <CheckField key={id} label={content.name} checked={taken.has(id)} onChange={(is) => set(id, is)} />
                  ))}
                </div>
                {listed.length > MAX_LISTED && (
                  <p className="text-sm text-quiet">and {listed.length - MAX_LISTED} more: search for them</p>
                )}
              </fieldset>
            )
          })}
        </>
      )}
    </Sheet>
  )
}

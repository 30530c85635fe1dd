import { useQuery } from '@tanstack/react-query'
import { ArrowUp, X } from 'lucide-react'
import { useState } from 'react'
import { MAX_MARKS, type Trip } from '../../../core/documents/trip.ts'
import { MAX_NAME } from '../../../core/documents/vocabulary.ts'
import { DEFAULT_BAIT_MINUTES } from '../../../core/plan/trip.ts'
import { fishQuery, type SavedMark } from '../../api/documents.ts'
import { NotesField } from '../../documents/NotesField.tsx'
import { Button, Field, fieldClass, namesOf, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'

import { WindFields } from './WindFields.tsx'

type Props = { trip: Trip; marks: readonly SavedMark[]; usualName: string; onChange: (change: Partial<Trip>) => void }

const NONE = ''
/** As wide as an hour is in any language. */
const HOUR = 'min-h-9 w-32 shrink-0 rounded-md border border-edge bg-well px-2 py-1'

/** When, where, who and for what. */
export function TripFields({ trip, marks, usualName, onChange }: Props) {
  const fish = useQuery(fishQuery).data ?? []
  const left = marks.filter(({ id }) => !trip.marks.some((each) => each.id === id))
  return (
    <Sheet title="When and where">
      <div className="grid gap-2">
        <Field label="day" htmlFor="trip-date">
          <input
            id="trip-date"
            type="date"
            className={fieldClass}
            value={trip.date}
            onChange={({ target }) => target.value && onChange({ date: target.value })}
          />
        </Field>
        <Field label="hours" htmlFor="trip-from">
          <span className="flex flex-wrap items-center gap-2">
            <input
              id="trip-from"
              type="time"
              className={HOUR}
              value={trip.from}
              onChange={({ target }) => target.value && onChange({ from: target.value })}
            />
            to
            <input
              type="time"
              aria-label="to"
              className={HOUR}
              value={trip.to}
              onChange={({ target }) => target.value && onChange({ to: target.value })}
            />
          </span>
        </Field>
        {trip.marks.map(({ id, from }, i) => (
          <Field key={id} label={i === 0 ? 'mark' : `then`} htmlFor={`trip-mark-${i}`}>
            <span id={`trip-mark-${i}`} className="flex items-center gap-1">
              <span className="mr-auto" translate="no">
                {marks.find((mark) => mark.id === id)?.content.name ?? 'a deleted mark'}
              </span>
              {i > 0 && (
                <input
                  type="time"
                  aria-label="from"
                  title="From this hour; left empty, the marks share the time"
                  className={HOUR}
                  value={from ?? ''}
                  onChange={({ target }) =>
                    onChange({ marks: trip.marks.with(i, { id, ...(target.value ? { from: target.value } : {}) }) })
                  }
                />
              )}
              {i > 0 && (
                <Button
                  tone="quiet"
                  aria-label="Fish this mark earlier"
                  title="Earlier"
                  onClick={() => onChange({ marks: swapped(trip.marks, i) })}
                >
                  <ArrowUp className="size-4" aria-hidden="true" />
                </Button>
              )}
              <Button
                tone="quiet"
                aria-label="Leave this mark out"
                title="Leave out"
                onClick={() => onChange({ marks: trip.marks.filter((each) => each.id !== id) })}
              >
                <X className="size-4" aria-hidden="true" />
              </Button>
            </span>
          </Field>
        ))}
        {left.length > 0 && trip.marks.length < MAX_MARKS && (
          <Field label={trip.marks.length === 0 ? 'mark' : 'another mark'} htmlFor="trip-mark">
            <Select
              id="trip-mark"
              value={NONE}
              onChoose={(id) => id !== NONE && onChange({ marks: [...trip.marks, { id }] })}
              choices={[{ value: NONE, text: 'choose a mark' }, ...namesOf(left)]}
            />
          </Field>
        )}
        <Field label="fish" htmlFor="trip-fish">
          <Select
            id="trip-fish"
            value={trip.fishId ?? NONE}
            onChoose={(id) => onChange({ fishId: id === NONE ? undefined : id })}
            choices={[{ value: NONE, text: 'any fish' }, ...namesOf(fish)]}
          />
        </Field>
        <People people={trip.people} onChange={(people) => onChange({ people })} />
        <NumberField
          label="re-bait after"
          value={trip.baitMinutes}
          whole
          least={5}
          most={240}
          placeholder={`${DEFAULT_BAIT_MINUTES} minutes`}
          hint="minutes on the bottom"
          onChange={(baitMinutes) => onChange({ baitMinutes })}
        />
        <WindFields wind={trip.wind} onChange={(wind) => onChange({ wind })} />
        <Field label="name" htmlFor="trip-name">
          <input
            id="trip-name"
            className={fieldClass}
            value={trip.name}
            placeholder={usualName}
            maxLength={MAX_NAME}
            onChange={({ target }) => onChange({ name: target.value })}
          />
        </Field>
        <NotesField id="trip-notes" rows={2} notes={trip.notes} onChange={(notes) => onChange({ notes })} />
      </div>
    </Sheet>
  )
}

const swapped = (marks: Trip['marks'], at: number): Trip['marks'] => marks.with(at, marks[at - 1]!).with(at - 1, marks[at]!)

/** Names with commas between; what is typed stays as it is until the field is left. */
function People({ people, onChange }: { people: readonly string[]; onChange: (people: string[]) => void }) {
  const [typed, setTyped] = useState<string>()
  return (
    <Field label="people" htmlFor="trip-people" hint="names or initials, with commas between">
      <input
        id="trip-people"
        className={fieldClass}
        value={typed ?? people.join(', ')}
        maxLength={400}
        placeholder="alone"
        onChange={({ target }) => {
          setTyped(target.value)
          onChange(
            target.value
              .split(',')
              .map((name) => name.trim().slice(0, 40))
              .filter(Boolean)
              .slice(0, 20),
          )
        }}
        onBlur={() => setTyped(undefined)}
      />
    </Field>
  )
}

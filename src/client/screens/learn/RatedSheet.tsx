import { type ReactNode, useId, useState } from 'react'
import type { Dimension } from '../../../core/lessons/counts.ts'
import type { Catch, Loss, Rated } from '../../../core/lessons/lessons.ts'
import type { Sums } from '../../../core/lessons/sums.ts'
import { Field, Select, Sheet } from '../../ui/controls.tsx'
import { RatedRows } from './RatedRows.tsx'

type Props<E extends Loss | Catch> = {
  rated: readonly Rated<E>[]
  words: Readonly<Record<E, string>>
  dimensions: readonly Dimension[]
  trips: Sums['trips']
  note?: (rated: Rated<E>, by: Dimension) => ReactNode
}

/** How often something happens, by each dimension: one kind of event at a time. */
export function RatedSheet<E extends Loss | Catch>({ rated, words, dimensions, trips, note }: Props<E>) {
  const id = useId()
  const [event, setEvent] = useState(rated[0]?.event)
  const shown = rated.find((each) => each.event === event)
  return (
    <Sheet title="How often">
      <Field label="show" htmlFor={id}>
        <Select<E>
          id={id}
          value={event}
          choices={rated.map((each) => ({ value: each.event, text: words[each.event] }))}
          onChoose={setEvent}
        />
      </Field>
      {shown && (
        <RatedRows
          rated={shown}
          dimensions={dimensions}
          trips={trips}
          words={words[shown.event]}
          {...(note ? { note: (by: Dimension) => note(shown, by) } : {})}
        />
      )}
    </Sheet>
  )
}

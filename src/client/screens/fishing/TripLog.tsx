import type { TripEvent } from '../../../core/documents/observation.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { happeningWords } from '../../words/tripWords.ts'

type Props = {
  events: readonly TripEvent[]
  rodName: (rod: string) => string
  linkName: (link: string) => string
  timeZone: string | undefined
  onUndo: (event: TripEvent) => void
}

/** What happened, the latest first; each can be taken back. */
export function TripLog({ events, rodName, linkName, timeZone, onUndo }: Props) {
  const show = useShow()
  if (events.length === 0) return <p className="text-quiet">Nothing is logged yet. Every touch above is listed here.</p>
  return (
    <ul aria-label="Log">
      {events.toReversed().map((event) => (
        <li key={event.id} className="flex items-center gap-3 border-rule not-first:border-t">
          <span className="w-14 text-quiet tabular-nums">{show.clock(Date.parse(event.at), timeZone)}</span>
          <span className="mr-auto">
            {happeningWords(event.what, linkName)} <span className="text-sm text-quiet">{rodName(event.rod)}</span>
          </span>
          <Button
            tone="quiet"
            className="min-h-13!"
            aria-label={`Undo ${happeningWords(event.what, linkName)}`}
            onClick={() => onUndo(event)}
          >
            Undo
          </Button>
        </li>
      ))}
    </ul>
  )
}

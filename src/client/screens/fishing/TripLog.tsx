import { useState } from 'react'
import type { TripEvent } from '../../../core/documents/observation.ts'
import type { SavedFish } from '../../api/documents.ts'
import type { useTripLog } from '../../api/trips.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { happeningWords } from '../../words/tripWords.ts'
import { CorrectPanel } from './CorrectPanel.tsx'
import type { NamedHook, NamedLink } from './useRodSetup.ts'

type Props = {
  log: ReturnType<typeof useTripLog>
  rods: readonly { id: string; name: string }[]
  links: readonly NamedLink[]
  hooks: readonly NamedHook[]
  fish: readonly SavedFish[]
  timeZone: string | undefined
  /** Kinds of events that are shown; all, where none is named. */
  only?: readonly string[]
}

/** What happened, the latest first; each can be corrected and taken back. */
export function TripLog({ log, rods, links, hooks, fish, timeZone, only = [] }: Props) {
  const show = useShow()
  const [correcting, setCorrecting] = useState<TripEvent>()
  const events = only.length === 0 ? log.events : log.events.filter(({ what }) => only.includes(what.type))
  const nameOf = (key: string) => links.find((link) => link.key === key)?.name ?? key.replaceAll('-', ' ')
  if (events.length === 0)
    return <p className="text-quiet">{only.length > 0 ? 'None on this trip.' : 'Nothing is logged yet.'}</p>
  return (
    <>
      <ul aria-label="Log">
        {events.toReversed().map((event) => (
          <li key={event.id} className="flex items-center gap-3 border-rule not-first:border-t">
            <button
              type="button"
              className="mr-auto flex min-h-13! min-w-0 items-center gap-3 text-left"
              onClick={() => setCorrecting(event)}
            >
              <span className="w-14 shrink-0 text-quiet tabular-nums">{show.clock(Date.parse(event.at), timeZone)}</span>
              <span>
                {happeningWords(event.what, nameOf)}{' '}
                <span className="text-sm text-quiet">{rods.find(({ id }) => id === event.rod)?.name}</span>
                <span className="sr-only">, correct</span>
              </span>
            </button>
            <Button
              tone="quiet"
              className="min-h-13!"
              aria-label={`Undo ${happeningWords(event.what, nameOf)}`}
              onClick={() => log.takeBack(event)}
            >
              Undo
            </Button>
          </li>
        ))}
      </ul>
      {correcting && (
        <CorrectPanel
          event={correcting}
          rods={rods}
          links={links}
          hooks={hooks}
          fish={fish}
          timeZone={timeZone}
          onSave={(change) => {
            log.correct(correcting, change)
            setCorrecting(undefined)
          }}
          onTakeOut={() => {
            log.takeBack(correcting)
            setCorrecting(undefined)
          }}
          onClose={() => setCorrecting(undefined)}
        />
      )}
    </>
  )
}

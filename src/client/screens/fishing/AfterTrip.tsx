import { useQuery } from '@tanstack/react-query'
import type { TripEvent } from '../../../core/documents/observation.ts'
import type { Tied } from '../../../core/documents/tied.ts'
import type { Trip } from '../../../core/documents/trip.ts'
import { afterTrip, isChangedBy } from '../../../core/plan/afterTrip.ts'
import { gearQuery, listQuery, type SavedDocument } from '../../api/documents.ts'
import { itemHistoryQuery, levelsQuery, useStockChange } from '../../api/stock.ts'
import type { SavedTied } from '../../api/tied.ts'
import { useSave } from '../../documents/useSave.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { TIED_STATE_NAMES } from '../../words/tiedWords.ts'

type Props = { trip: Trip; events: readonly TripEvent[] }

/** What a trip did to the gear, each to be confirmed: sinkers that are gone, and where the tied traces are. */
export function AfterTrip({ trip, events }: Props) {
  const gear = useQuery(gearQuery).data ?? []
  const tied = useQuery(listQuery('tied')).data?.documents ?? []
  const after = afterTrip(trip, events)
  const moved = after.tied.flatMap((each) => {
    const saved = tied.find(({ id }) => id === each.id)
    return saved && isChangedBy(saved.content, each) ? [{ ...each, saved }] : []
  })
  const lost = after.lostSinkers.map((each) => ({
    ...each,
    items: gear.filter(({ content }) => content.kind === 'sinker' && Math.abs(content.massKg - each.massKg) < 5e-4),
  }))
  if (moved.length === 0 && lost.length === 0) return null
  return (
    <Sheet title="After the trip">
      <p className="text-sm text-quiet">Nothing changes until you confirm it.</p>
      <ul>
        {lost.map(({ eventId, massKg, items }) => (
          <LostSinker key={eventId} eventId={eventId} massKg={massKg} items={items} />
        ))}
        {moved.map(({ saved, state, usedHard }) => (
          <MovedTrace key={saved.id} saved={saved} state={state} usedHard={usedHard} />
        ))}
      </ul>
    </Sheet>
  )
}

const ROW = 'flex flex-wrap items-center gap-x-3 gap-y-1 border-rule py-1 not-first:border-t'

type LostProps = { eventId: string; massKg: number; items: readonly SavedDocument<'gear'>[] }

/** A lost sinker leaves the box under the id of its event: once, however often and from wherever it is confirmed. */
function LostSinker({ eventId, massKg, items }: LostProps) {
  const show = useShow()
  const change = useStockChange()
  const levels = useQuery(levelsQuery).data
  const counted = items.filter(({ id }) => levels?.has(id))
  const [item] = counted.length > 0 ? counted : items
  const history = useQuery({ ...itemHistoryQuery(item?.id ?? ''), enabled: item !== undefined && counted.length > 0 }).data
  const isTaken = history?.movements.some(({ id }) => id === eventId) ?? false
  return (
    <li className={ROW}>
      <span className="mr-auto">
        {show.entered('mass', massKg)} sinker lost
        {item && (
          <span className="text-quiet">
            , from <span translate="no">{item.content.name}</span>
          </span>
        )}
      </span>
      {!item && <span className="text-sm text-quiet">none of this weight is in the box</span>}
      {item && counted.length === 0 && <span className="text-sm text-quiet">not counted, so nothing to take</span>}
      {isTaken && <span className="text-sm text-quiet">taken out of the box</span>}
      {item && counted.length > 0 && !isTaken && (
        <Button
          disabled={change.isPending || !history}
          onClick={() =>
            change.mutate(
              { do: 'move', movements: [{ id: eventId, itemId: item.id, spool: 1, quantity: -1, reason: 'lost' }] },
              { onError: (error) => toast.error(error.message) },
            )
          }
        >
          Take one out of the box
        </Button>
      )}
    </li>
  )
}

function MovedTrace({ saved, state, usedHard }: { saved: SavedTied; state: Tied['state']; usedHard: boolean }) {
  const { save, isSaving } = useSave({ kind: 'tied', saved })
  const { content } = saved
  return (
    <li className={ROW}>
      <span className="mr-auto">
        <span translate="no">{content.name}</span>
        <span className="text-quiet">
          {' '}
          is {TIED_STATE_NAMES[state]}
          {usedHard && ', and was used hard'}
        </span>
      </span>
      <Button
        disabled={isSaving}
        aria-label={`Confirm ${content.name}`}
        onClick={() =>
          save(
            { content: { ...content, state, ...(usedHard ? { usedHard } : {}) }, onto: saved.revision },
            {
              onSuccess: (result) => 'stale' in result && toast.error('It was changed elsewhere. You see it as it is now.'),
              onError: (error) => toast.error(error.message),
            },
          )
        }
      >
        Confirm
      </Button>
    </li>
  )
}

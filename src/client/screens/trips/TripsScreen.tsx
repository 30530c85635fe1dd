import { useQuery } from '@tanstack/react-query'
import { Plus } from 'lucide-react'
import { Link } from 'react-router'
import { stageOf } from '../../../core/documents/trip.ts'
import { marksQuery } from '../../api/documents.ts'
import { DocumentHead } from '../../documents/DocumentHead.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { buttonClass } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { STAGE_WORDS } from '../../words/tripWords.ts'

/** Every trip, the latest first: planned, under way or over. */
export default function TripsScreen() {
  usePageTitle('Trips')
  const show = useShow()
  const marks = useQuery(marksQuery).data
  const markName = (id: string | undefined) => marks?.find((mark) => mark.id === id)?.content.name
  return (
    <DocumentList
      kind="trips"
      title="Trips"
      searchText={({ name, people, notes }) => [name, ...people, notes].join(' ')}
      actions={() => (
        <Link to="/trips/new" className={buttonClass('strong')}>
          <Plus className="size-4" aria-hidden="true" /> Plan a trip
        </Link>
      )}
      empty={{
        title: 'No trips yet',
        text: 'Plan one: the day, the mark and the rods. On the water, one touch logs what happens.',
      }}
    >
      {(trips, isTrash, actions) => (
        <ul className="grid gap-2 md:grid-cols-2">
          {trips
            .toSorted((a, b) => `${b.content.date} ${b.content.from}`.localeCompare(`${a.content.date} ${a.content.from}`))
            .map((saved) => {
              const { id, content } = saved
              const stage = stageOf(content)
              return (
                <li key={id} className="rounded-lg border border-rule bg-sheet p-3">
                  <DocumentHead saved={saved} name={content.name} to={`/trips/${id}`} isTrash={isTrash} actions={actions}>
                    <p className="text-sm text-quiet">
                      {show.date(content.date)}, {content.from} to {content.to} · {STAGE_WORDS[stage]}
                    </p>
                    <p className="truncate text-sm" translate="no">
                      {[markName(content.marks[0]?.id), ...content.people].filter(Boolean).join(' · ')}
                    </p>
                    {!isTrash && (
                      <Link to={`/trips/${id}/${stage === 'ended' ? 'log' : 'fish'}`} className="text-sm underline">
                        {stage === 'ended' ? 'Log' : 'Fish'}
                      </Link>
                    )}
                  </DocumentHead>
                </li>
              )
            })}
        </ul>
      )}
    </DocumentList>
  )
}

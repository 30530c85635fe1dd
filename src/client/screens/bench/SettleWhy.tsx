import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Settle } from '../../../core/moments/settle.ts'
import { sinkersQuery } from '../../api/documents.ts'
import { LineStory } from '../../judge/LineStory.tsx'
import { type Show, useShow } from '../../settings/preferences.tsx'

const VIEW_HEIGHT = 220

/** What is wanted, the next weight owned, the stream it holds to, the line's true shape, and whose the drag is. */
export function SettleWhy({ settle }: { settle: Settle }) {
  const show = useShow()
  const owned = useQuery(sinkersQuery).data ?? []
  const { settling, holdsToMperS, falling } = settle
  const next = owned
    .filter(({ shape }) => shape === settling.weight.shape)
    .map(({ massKg }) => massKg)
    .filter((massKg) => settle.wantedKg !== undefined && massKg >= settle.wantedKg)
  const lines = useMemo(() => [{ name: 'this line', settling }], [settling])
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        {wantedWords(settle, show)}
        {next.length > 0 && ` The next of this shape that you own: ${show.entered('mass', Math.min(...next))}.`}
        {holdsToMperS !== undefined && ` As it is, it holds up to ${show.computed('speed', holdsToMperS)}.`}
      </p>
      {falling && (
        <p>
          Let go together, the lower weight sinks at {show.computed('speed', falling.lower.speedMperS)}, the upper at{' '}
          {show.computed('speed', falling.upper.speedMperS)}:{' '}
          {falling.lower.speedMperS > falling.upper.speedMperS ? 'they stay apart.' : 'they foul.'}
        </p>
      )}
      <LineStory lines={lines} height={VIEW_HEIGHT} />
    </div>
  )
}

function wantedWords({ neededKg, wantedKg, reserve, trouble }: Settle, show: Show): string {
  return neededKg === undefined || wantedKg === undefined
    ? `No weight was found that holds: ${trouble}.`
    : `At the stream’s peak ${show.computed('mass', neededKg)} hold in still water; with a reserve of ${reserve} for swell and swing, ${show.computed('mass', wantedKg)} are wanted.`
}

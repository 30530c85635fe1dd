import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { BAITS } from '../../../core/gear/baits.ts'
import type { Settle } from '../../../core/moments/settle.ts'
import type { Twist } from '../../../core/settling/twist.ts'
import { pieceName } from '../../../core/trace/names.ts'
import { sinkersQuery } from '../../api/documents.ts'
import { LineStory } from '../../judge/LineStory.tsx'
import { type Show, useShow } from '../../settings/preferences.tsx'

const VIEW_HEIGHT = 220

/** What is wanted, the next weight owned, the stream it holds to, the line's true shape, and whose the drag is. */
export function SettleWhy({ settle }: { settle: Settle }) {
  const show = useShow()
  const owned = useQuery(sinkersQuery).data ?? []
  const { settling, holdsToMperS, falling, twists } = settle
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
      {twists.map((twist) => (
        <p key={twist.hookId}>{twistWords(twist, show)}</p>
      ))}
      <LineStory lines={lines} height={VIEW_HEIGHT} />
    </div>
  )
}

/** What takes the twist of a bait that spins. */
function twistWords({ bait, swivel }: Twist, show: Show): string {
  const spins = `The ${BAITS[bait].name} spins in the stream`
  if (!swivel) return `${spins}, and no swivel takes the twist: it goes into the leader.`
  const away = `${show.computed('length', swivel.awayM)} above it`
  return swivel.ballBearing
    ? `${spins}; a ball-bearing swivel ${away} takes the twist.`
    : `${spins}; the ${pieceName(swivel)} ${away} takes the twist, a ball-bearing one would turn under load.`
}

function wantedWords({ neededKg, wantedKg, reserve, trouble }: Settle, show: Show): string {
  return neededKg === undefined || wantedKg === undefined
    ? `No weight was found that holds: ${trouble}.`
    : `At the stream’s peak ${show.computed('mass', neededKg)} hold in still water; with a reserve of ${reserve} for swell and swing, ${show.computed('mass', wantedKg)} are wanted.`
}

import type { Happening } from '../../../core/documents/tripEvent.ts'
import { DEFAULT_BAIT_MINUTES, type RodNow } from '../../../core/plan/trip.ts'
import { MINUTE_MS } from '../../../core/time/durations.ts'
import { useShow } from '../../settings/preferences.tsx'
import { EVENT_NAMES } from '../../words/tripWords.ts'
import type { AskedFew } from './AskPanel.tsx'
import { BigButton } from './BigButton.tsx'

/** What opens a panel of its own. */
export type Asked = 'fish' | 'break' | AskedFew

type Props = {
  on: RodNow
  baitMinutes: number | undefined
  nowMs: number
  onHappened: (what: Happening) => void
  onAsk: (asked: Asked) => void
}

/** The buttons of a rod: what happens takes one touch. */
export function RodButtons({ on, baitMinutes = DEFAULT_BAIT_MINUTES, nowMs, onHappened, onAsk }: Props) {
  const show = useShow()
  const castMinutes = on.castMs === undefined ? undefined : Math.max(0, Math.floor((nowMs - on.castMs) / MINUTE_MS))
  const touch = (type: 'bite' | 'missed' | 'held' | 'dragged' | 'biteOff' | 'tangle') => (
    <BigButton name={EVENT_NAMES[type]} onClick={() => onHappened({ type })} />
  )
  const ask = (type: 'fish' | 'snag' | 'break' | 'lost' | 'retied' | 'seen') => (
    <BigButton name={EVENT_NAMES[type]} onClick={() => onAsk(type)} />
  )
  return (
    <>
      <BigButton
        name={EVENT_NAMES.cast}
        className="min-h-24! text-lg"
        below={castMinutes === undefined ? undefined : `last ${castMinutes} min ago · ${rebaitWords(baitMinutes - castMinutes)}`}
        onClick={() => onHappened({ type: 'cast' })}
      />
      <div className="grid grid-cols-3 gap-2">
        {touch('bite')}
        {touch('missed')}
        {ask('fish')}
        {touch('held')}
        {touch('dragged')}
        {ask('snag')}
        {ask('break')}
        {touch('biteOff')}
        {touch('tangle')}
        <BigButton
          name="Sinker"
          below={on.sinkerKg === undefined ? undefined : show.entered('mass', on.sinkerKg)}
          onClick={() => onAsk('sinker')}
        />
        <BigButton name="Bait" below={on.bait} onClick={() => onAsk('bait')} />
        <BigButton name="Trace" onClick={() => onAsk('trace')} />
        {ask('lost')}
        {ask('retied')}
        {ask('seen')}
      </div>
    </>
  )
}

const rebaitWords = (minutes: number): string => (minutes > 0 ? `re-bait in ${minutes}` : 'time to re-bait')

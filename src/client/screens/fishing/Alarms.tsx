import { Bell, BellOff } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { type Alarm, dueBetween } from '../../../core/plan/alarms.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { useKept } from '../../settings/useKept.ts'
import { durationWords } from '../../words/durationWords.ts'
import { ALARM_WORDS } from '../../words/tripWords.ts'
import { BigButton } from './BigButton.tsx'
import { allowSound, signal } from './signal.ts'

/** So many are read at a glance. */
const MAX_SHOWN = 3

type Props = { alarms: readonly Alarm[]; nowMs: number; timeZone: string | undefined }

/** What is to come on the trip; each gives a sound and a vibration when its time comes, while the page is open. */
export function Alarms({ alarms, nowMs, timeZone }: Props) {
  const show = useShow()
  const [isOn, setOn] = useKept('trip-sound', true)
  const lastMs = useRef(nowMs)
  useEffect(() => {
    const due = dueBetween(alarms, lastMs.current, nowMs)
    lastMs.current = nowMs
    for (const { kind } of due) toast(`${ALARM_WORDS[kind]} now.`, { duration: 60_000 })
    if (due.length > 0 && isOn) signal()
  }, [alarms, nowMs, isOn])
  const coming = alarms.filter(({ timeMs }) => timeMs > nowMs).slice(0, MAX_SHOWN)
  return (
    <section aria-label="What comes next" className="flex items-start gap-3 rounded-lg border border-rule bg-sheet p-3">
      <div className="mr-auto">
        <ul>
          {coming.map(({ kind, timeMs }) => (
            <li key={kind} className={kind === 'wayBack' ? 'font-semibold text-watch' : ''}>
              {ALARM_WORDS[kind]} <span className="tabular-nums">{show.clock(timeMs, timeZone)}</span>
              <span className="text-quiet">, in {durationWords(timeMs - nowMs)}</span>
            </li>
          ))}
          {coming.length === 0 && <li className="text-quiet">Nothing is to come in the hours of this trip.</li>}
        </ul>
        <p className="text-sm text-quiet">A closed page or a dark screen gives no signal.</p>
      </div>
      <BigButton
        name={isOn ? 'Sound' : 'Silent'}
        isChosen={isOn}
        className="min-w-20"
        below={
          isOn ? (
            <Bell className="mx-auto size-4" aria-hidden="true" />
          ) : (
            <BellOff className="mx-auto size-4" aria-hidden="true" />
          )
        }
        onClick={() => {
          setOn(!isOn)
          if (!isOn) {
            allowSound()
            signal()
          }
        }}
      />
    </section>
  )
}

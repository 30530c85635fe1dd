import { useMemo, useState } from 'react'
import type { Sensitivity, Sway } from '../../../core/analysis/sensitivity.ts'
import type { Verdict } from '../../../core/moments/moment.ts'
import type { MomentName } from '../../../core/moments/moments.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { runSensitivity } from '../../../workers/runSensitivity.ts'
import { useJob } from '../../jobs/useJob.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Select, Sheet } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { useDebouncedValue } from '../../ui/useDebouncedValue.ts'
import { leverValueWords, leverWords } from '../../words/leverWords.ts'
import { MOMENT_CHOICES } from '../../words/momentNames.ts'
import type { Side } from './side.ts'

const MAX_BARS = 8
const REST_MS = 150

/** What moves a verdict most: each input a tenth less and a tenth more, worked out in a worker. */
export function SensitivityBars({ sides }: { sides: Side[] }) {
  const [moment, setMoment] = useState<MomentName>('run')
  const settled = useDebouncedValue(sides, REST_MS, sides)
  const input = useMemo(() => ({ setups: settled.map(({ setup }) => setup), moment }), [settled, moment])
  const { result, error, start } = useJob({ name: 'sensitivity', input, run: runSensitivity, keepsPrevious: true })
  return (
    <Sheet
      title="What moves the verdict most"
      aside={
        <span className="w-40">
          <Select aria-label="Moment" value={moment} onChoose={(next) => setMoment(next)} choices={MOMENT_CHOICES} />
        </span>
      }
    >
      <p className="mb-2 text-sm text-quiet">
        The margin with each input 10 % lower and 10 % higher. The line is the margin now; 1 is the limit.
      </p>
      {error ? (
        <Failed what="The bars" error={error} onRetry={start} />
      ) : !result ? (
        <Loading what="the bars" />
      ) : (
        <div className={`grid gap-4 ${sides.length === 3 ? 'lg:grid-cols-3' : 'lg:grid-cols-2'}`}>
          {sides.map((side, i) => (
            <section key={side.key} aria-label={side.title} className="min-w-0">
              <h3 className="mb-1 font-semibold">{side.title}</h3>
              <Bars sensitivity={result[i]} rig={side.setup} />
            </section>
          ))}
        </div>
      )}
    </Sheet>
  )
}

function Bars({ sensitivity, rig }: { sensitivity: Sensitivity | undefined; rig: Rig }) {
  if (!sensitivity) return <p className="text-quiet">This moment does not apply.</p>
  const { margin, verdict, inputEffects } = sensitivity
  if (inputEffects.length === 0) return <p className="text-quiet">No input moves it within 10 %.</p>
  const reach = Math.max(...inputEffects.map(({ swing }) => swing))
  return (
    <ul className="grid gap-1.5">
      {inputEffects.slice(0, MAX_BARS).map((sway) => (
        <Bar key={sway.id} sway={sway} rig={rig} margin={margin} verdict={verdict} reach={reach} />
      ))}
    </ul>
  )
}

const TONE: Record<Verdict, string> = { holds: 'bg-holds', watch: 'bg-watch', fails: 'bg-fails' }

/** One input: the bar left for less margin, right for more, each half in the tone of the verdict it would give, and in words. */
type BarProps = { sway: Sway; rig: Rig; margin: number; verdict: Verdict; reach: number }

function Bar({ sway, rig, margin, verdict: current, reach }: BarProps) {
  const show = useShow()
  const { low, high } = sway
  const halves = [
    { side: '−10 %', ...low },
    { side: '+10 %', ...high },
  ]
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_minmax(7rem,1fr)] items-center gap-2 text-sm">
      <span>
        {leverWords(sway, rig)} <span className="text-quiet">{leverValueWords(sway, show)}</span>
        {halves
          .filter(({ verdict }) => verdict !== current)
          .map(({ side, verdict }) => (
            <strong key={side} className="block">
              {side}: {verdict}
            </strong>
          ))}
      </span>
      <span className="relative block h-5 rounded-sm bg-well">
        {halves.map(({ side, margin: then, verdict }) => {
          const width = (50 * Math.abs(then - margin)) / reach
          const less = then < margin
          return (
            <span
              key={side}
              className={`absolute h-full opacity-80 ${TONE[verdict]}`}
              style={{ width: `${width}%`, ...(less ? { right: '50%' } : { left: '50%' }) }}
              title={`${side}: margin ${show.number(then, 2)}, ${verdict}`}
            />
          )
        })}
        <span className="absolute inset-y-0 left-1/2 w-px bg-ink" />
        <span className="sr-only">
          {halves.map(({ side, margin: then, verdict }) => `${side}: margin ${show.number(then, 2)}, ${verdict}. `).join('')}
        </span>
      </span>
    </li>
  )
}

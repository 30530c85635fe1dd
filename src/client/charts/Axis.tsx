import { useShow } from '../settings/preferences.tsx'

type Tick = { at: number; text: string | number }
type Props = {
  side: 'left' | 'right' | 'bottom'
  /** Where the axis lies, across its own direction, px. */
  at: number
  ticks: readonly Tick[]
  /** Where the rules that its ticks draw over the plot end. */
  rulesTo?: number
  /** Short marks under a bottom axis. */
  marks?: boolean
}

/** An axis of a chart: its numbers, and the rules they draw over the plot. */
export function Axis({ side, at, ticks, rulesTo, marks = false }: Props) {
  const show = useShow()
  const words = (text: Tick['text']) => (typeof text === 'number' ? show.plain(text) : text)
  return (
    <g style={{ fill: 'var(--quiet)' }}>
      {ticks.map(({ at: place, text }) =>
        side === 'bottom' ? (
          <g key={place}>
            {marks && <line x1={place} x2={place} y1={at} y2={at + 4} stroke="var(--quiet)" />}
            <text x={place} y={at + (marks ? 16 : 14)} textAnchor="middle">
              {words(text)}
            </text>
          </g>
        ) : (
          <g key={place}>
            {rulesTo !== undefined && <line x1={at} x2={rulesTo} y1={place} y2={place} stroke="var(--rule)" strokeWidth={0.6} />}
            <text x={side === 'left' ? at - 5 : at + 5} y={place + 4} textAnchor={side === 'left' ? 'end' : 'start'}>
              {words(text)}
            </text>
          </g>
        ),
      )}
    </g>
  )
}

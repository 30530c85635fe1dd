import { memo } from 'react'
import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { ProfileLayout, ProfileStep } from '../../core/layout/profile.ts'
import { useStableCallback } from '../ui/useStableCallback.ts'
import { HALO } from './halo.ts'

/** A load drawn across the profile. */
export type LoadLine = { name: string; forceN: number; tone: 'tide' | 'watch' }

type Props = {
  layout: ProfileLayout
  width: number
  height: number
  loads: readonly LoadLine[]
  selected: string | undefined
  onSelect: (ref: LinkRef) => void
  name: (ref: LinkRef) => string
  format: (forceN: number) => string
  unit: string
  summary: string
}

/** Under this chance a link's “goes first” is not written. */
const WORTH_SAYING = 0.08
/** Room that a figure, and a chance, take, px. */
const FIGURE_WIDTH = 34
const CHANCE_WIDTH = 62
/** Loads are named at the left, past the ticks: the weak steps crowd the right. */
const LOAD_LABEL_X = 34

/** The strength of each link of one path as a step under its part, with its spread, the loads across it, and the lowest marked. */
export function StrengthProfile({ layout, width, height, loads, selected, onSelect, name, format, unit, summary }: Props) {
  const choose = useStableCallback((id: string) => {
    const step = layout.steps.find((each) => each.id === id)
    if (step) onSelect(step.ref)
  })
  return (
    <svg width={width} height={height} className="block text-ink" role="img" aria-label={summary}>
      {layout.ticksN.map((tickN) => (
        <line
          key={tickN}
          x1={0}
          x2={width}
          y1={layout.yOf(tickN)}
          y2={layout.yOf(tickN)}
          stroke="var(--rule)"
          strokeWidth={tickN === 0 ? 1.5 : 0.7}
        />
      ))}
      {layout.steps.map((step, i) => {
        const next = layout.steps.slice(i + 1).find(({ dip }) => !dip)
        const line = step.dip ? layout.steps.slice(0, i).findLast(({ dip }) => !dip) : undefined
        return (
          <Step
            key={step.id}
            id={step.id}
            x0={step.x0}
            x1={step.x1}
            y={step.y}
            yHigh={step.yHigh}
            yLow={step.yLow}
            over={step.over}
            weakest={step.weakest}
            chosen={step.id === selected}
            height={height}
            dipsFrom={line?.y}
            leadsTo={step.dip ? undefined : next?.y}
            title={`${name(step.ref)}: ${format(step.strengthN)} ${unit}, breaks first ${(step.first * 100).toFixed(0)} %`}
            onChoose={choose}
          />
        )
      })}
      <Loads layout={layout} width={width} loads={loads} format={format} />
      <Figures layout={layout} width={width} format={format} />
      <Ticks layout={layout} format={format} unit={unit} />
    </svg>
  )
}

type StepProps = Pick<ProfileStep, 'id' | 'x0' | 'x1' | 'y' | 'yHigh' | 'yLow' | 'over' | 'weakest'> & {
  chosen: boolean
  height: number
  /** Height of the line that a part on it is weaker than; of the next step. */
  dipsFrom: number | undefined
  leadsTo: number | undefined
  title: string
  onChoose: (id: string) => void
}

/** One link; it rests while only others change. */
const Step = memo(function Step(props: StepProps) {
  const { id, x0, x1, y, yHigh, yLow, over, weakest, chosen, height, dipsFrom, leadsTo, title, onChoose } = props
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the reach above is the keyboard's way to the same choice
    <g onClick={() => onChoose(id)} className="cursor-pointer">
      <title>{title}</title>
      <rect x={x0} y={0} width={x1 - x0} height={height} fill={chosen ? 'var(--well)' : 'transparent'} />
      {!over && <rect x={x0} y={yHigh} width={x1 - x0} height={Math.max(1, yLow - yHigh)} fill="var(--spread)" opacity={0.8} />}
      <line
        x1={x0}
        x2={x1}
        y1={y}
        y2={y}
        stroke={weakest ? 'var(--fails)' : 'currentColor'}
        strokeWidth={3}
        strokeDasharray={over ? '2 3' : undefined}
      />
      {dipsFrom !== undefined &&
        [x0, x1].map((x) => <line key={x} x1={x} x2={x} y1={dipsFrom} y2={y} stroke="currentColor" strokeWidth={0.8} />)}
      {leadsTo !== undefined && <line x1={x1} x2={x1} y1={y} y2={leadsTo} stroke="currentColor" strokeWidth={0.8} />}
    </g>
  )
})

function Loads({ layout, width, loads, format }: Pick<Props, 'layout' | 'width' | 'loads' | 'format'>) {
  const rows = loads.toSorted((a, b) => b.forceN - a.forceN)
  // Labels of close loads are pushed apart, the lower one down.
  let last = Number.NEGATIVE_INFINITY
  return (
    <g fontSize={12} fontWeight={600}>
      {rows.map(({ name, forceN, tone }) => {
        const y = layout.yOf(forceN)
        const labelY = Math.max(y - 4, last + 14)
        last = labelY
        return (
          <g key={name} pointerEvents="none">
            <line
              x1={0}
              x2={width}
              y1={y}
              y2={y}
              stroke={`var(--${tone})`}
              strokeWidth={1.8}
              strokeDasharray={tone === 'watch' ? '2 4' : '8 4'}
            />
            <text
              x={LOAD_LABEL_X}
              y={labelY}
              style={{ fill: `var(--${tone})`, stroke: 'var(--sheet)', strokeWidth: 4, paintOrder: 'stroke' }}
            >
              {name} {format(forceN)}
            </text>
          </g>
        )
      })}
    </g>
  )
}

/** Numbers on the steps that decide, and on any step wide enough to hold one; chances where they do not run together. */
function Figures({ layout, width, format }: Pick<Props, 'layout' | 'width' | 'format'>) {
  const centre = (step: ProfileStep) => Math.max(26, Math.min(width - 40, (step.x0 + step.x1) / 2))
  const wanted = layout.steps
    .filter((step) => step.weakest || step.first >= WORTH_SAYING)
    .toSorted((a, b) => Number(b.weakest) - Number(a.weakest) || b.first - a.first)
  const said: ProfileStep[] = []
  for (const step of wanted) if (said.every((other) => Math.abs(centre(other) - centre(step)) >= CHANCE_WIDTH)) said.push(step)
  return (
    <g fontSize={12} textAnchor="middle" pointerEvents="none">
      {layout.steps.map((step) => {
        const says = said.includes(step)
        if (!says && step.x1 - step.x0 < FIGURE_WIDTH) return null
        const x = centre(step)
        const halo = {
          fill: step.weakest ? 'var(--fails)' : undefined,
          ...HALO,
        }
        return (
          <g key={step.id} fontWeight={step.weakest ? 700 : 400}>
            <text x={x} y={step.over ? step.y + 14 : step.yHigh - 5} style={halo}>
              {step.over ? `↑ ${format(step.strengthN)}` : format(step.strengthN)}
            </text>
            {says && (
              <text x={x} y={step.yLow + 14} style={halo}>
                first {(step.first * 100).toFixed(0)} %
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}

function Ticks({ layout, format, unit }: Pick<Props, 'layout' | 'format' | 'unit'>) {
  return (
    <g fontSize={11} pointerEvents="none">
      {layout.ticksN.map((tickN) => (
        <text
          key={tickN}
          x={2}
          y={layout.yOf(tickN) - 3}
          style={{ fill: 'var(--quiet)', stroke: 'var(--sheet)', strokeWidth: 4, paintOrder: 'stroke' }}
        >
          {format(tickN)}
          {tickN === 0 ? ` ${unit}` : ''}
        </text>
      ))}
    </g>
  )
}

import { type CurvePoint, type CurveSpan, layOutCurves } from '../../core/layout/curveChart.ts'
import { Axis } from './Axis.tsx'
import { HALO } from './halo.ts'
import { LINE_DASHES } from './LineView.tsx'

export type CurveLook = 'first' | 'second' | 'meant' | 'thin'
/** Curves of a kind, as they are told apart. */
export const CURVE_LOOKS = ['first', 'second', 'thin'] as const satisfies readonly CurveLook[]

export type Curve = { id: string; points: readonly CurvePoint[]; look: CurveLook }
/** A value of one axis that is drawn across the plot, or a place with a word beside it. */
export type CurveMark = { id: string; x?: number; y?: number; text?: string }

type AxisUnit = { name: string; unit: string; factor: number }
type Props = {
  curves: readonly Curve[]
  span: CurveSpan
  x: AxisUnit
  y: AxisUnit
  /** The bed: filled from there on down. */
  bed?: readonly CurvePoint[]
  marks?: readonly CurveMark[]
  width: number
  height: number
  summary: string
}

const BOX = { left: 38, right: 12, top: 24, bottom: 32 }
const LOOKS: Record<CurveLook, { stroke: string; strokeWidth: number; strokeDasharray?: string | undefined }> = {
  first: { stroke: 'currentColor', strokeWidth: 2 },
  second: { stroke: 'currentColor', strokeWidth: 1.8, strokeDasharray: LINE_DASHES[1] },
  meant: { stroke: 'var(--tide)', strokeWidth: 1.4, strokeDasharray: '2 3' },
  thin: { stroke: 'var(--quiet)', strokeWidth: 1.2 },
}

/** How a curve is drawn, beside its words. */
export const CurveSample = ({ look }: { look: CurveLook }) => (
  <svg width={28} height={8} aria-hidden="true" className="mr-1.5 inline-block">
    <path d="M0 4h28" {...LOOKS[look]} />
  </svg>
)

/** Curves over one plot: a depth goes down, a bed is filled, and values that matter are drawn across. */
export function CurveChart({ curves, span, x, y, bed, marks = [], width, height, summary }: Props) {
  const { xOf, yOf, ticksX, ticksY, path, ground } = layOutCurves(span, { width, height, ...BOX }, { x: x.factor, y: y.factor })
  const [bottom, right] = [height - BOX.bottom, width - BOX.right]
  return (
    <svg width={width} height={height} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      <Axis
        side="left"
        at={BOX.left}
        rulesTo={right}
        ticks={ticksY.map((tick) => ({ at: yOf(tick), text: Number((tick / y.factor).toPrecision(6)) }))}
      />
      <Axis
        side="bottom"
        at={bottom}
        ticks={ticksX.map((tick) => ({ at: xOf(tick), text: Number((tick / x.factor).toPrecision(6)) }))}
      />
      <g style={{ fill: 'var(--quiet)' }}>
        <text x={right} y={height - 3} textAnchor="end">
          {`${x.name}, ${x.unit}`}
        </text>
        <text x={2} y={11}>{`${y.name}, ${y.unit}`}</text>
      </g>
      {bed && (
        <>
          <path d={ground(bed)} fill="var(--spread)" opacity={0.6} />
          <path d={path(bed)} fill="none" stroke="var(--quiet)" strokeWidth={1.5} strokeDasharray="1 3" />
        </>
      )}
      {curves.map(({ id, points, look }) => (
        <path key={id} d={path(points)} fill="none" strokeLinejoin="round" {...LOOKS[look]} />
      ))}
      {marks.map((mark) => (
        <Mark key={mark.id} mark={mark} xOf={xOf} yOf={yOf} box={{ top: BOX.top, bottom, left: BOX.left, right }} />
      ))}
    </svg>
  )
}

type MarkProps = {
  mark: CurveMark
  xOf: (x: number) => number
  yOf: (y: number) => number
  box: { top: number; bottom: number; left: number; right: number }
}

function Mark({ mark: { x, y, text }, xOf, yOf, box }: MarkProps) {
  if (x !== undefined && y !== undefined) {
    const [px, py] = [xOf(x), yOf(y)]
    const toLeft = px > (box.left + box.right) / 2
    return (
      <g>
        <circle cx={px} cy={py} r={4.5} fill="var(--sheet)" stroke="currentColor" strokeWidth={2} />
        {text && (
          <text x={toLeft ? px - 8 : px + 8} y={py - 8} textAnchor={toLeft ? 'end' : 'start'} style={HALO}>
            {text}
          </text>
        )}
      </g>
    )
  }
  if (x !== undefined) return <line x1={xOf(x)} x2={xOf(x)} y1={box.top} y2={box.bottom} stroke="var(--tide)" strokeWidth={1.2} />
  if (y === undefined) return null
  return (
    <g>
      <line x1={box.left} x2={box.right} y1={yOf(y)} y2={yOf(y)} stroke="var(--tide)" strokeWidth={1.2} strokeDasharray="2 3" />
      {text && (
        <text x={box.left + 6} y={yOf(y) + 14} style={{ ...HALO, fill: 'var(--tide)' }}>
          {text}
        </text>
      )}
    </g>
  )
}

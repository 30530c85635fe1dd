import { useMemo } from 'react'
import { GRAVITY_M_PER_S2 } from '../../core/math/constants.ts'
import { type LineShape, lineShapeOf, type Share } from '../../core/setup/settling/lineShape.ts'
import type { Settling } from '../../core/setup/settling/settling.ts'
import { percent } from '../../core/units/percent.ts'
import { LineSample } from '../charts/LineSample.tsx'
import { LineView } from '../charts/LineView.tsx'
import { useShow } from '../settings/preferences.tsx'
import type { Show } from '../settings/show.ts'
import { useWidth } from '../ui/useWidth.ts'

const SHARE_NAMES: Record<Share['id'], string> = { sinker: 'sinker', bait: 'bait', trace: 'trace', line: 'line above the trace' }

/** One line to show: what settles on it, and what to call it where there are two. */
export type Told = { name: string; settling: Settling }

/**
 * The line’s true shape with the weight as it is, and what causes the drag; a second line beside it, in the same
 * scale.
 */
export function LineInWater({ lines, height }: { lines: readonly Told[]; height: number }) {
  const show = useShow()
  const { ref, width } = useWidth<HTMLDivElement>()
  const shown = useMemo(() => lines.map(({ name, settling }) => ({ name, settling, shape: lineShapeOf(settling) })), [lines])
  const drawn = shown.flatMap(({ name, settling, shape }) => ('points' in shape ? [{ name, settling, shape }] : []))
  const sides = drawn.flatMap(({ shape }) => (shape.side ? [{ ...shape, view: 'side' as const, points: shape.side }] : []))
  const depthM = lines[0]!.settling.water.depthM
  const sentence = ({ name, shape, settling }: (typeof shown)[number]) =>
    `${shown.length > 1 ? `${name}: ` : ''}${'points' in shape ? shapeWords(shape, settling, show) : troubleWords(settling, shape.trouble)}`
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <div ref={ref} style={{ minHeight: height }}>
        {width > 0 && (
          <LineView
            shapes={drawn.map(({ shape }) => shape)}
            depthM={depthM}
            width={width}
            height={height}
            summary={`${drawn[0]?.shape.view === 'above' ? 'Seen from above, to scale' : 'Side view to scale'}. ${shown.map(sentence).join(' ')}`}
            lengthText={(metres) => show.entered('length', metres)}
          />
        )}
      </div>
      {width > 0 && sides.length > 0 && (
        <LineView
          shapes={sides}
          depthM={depthM}
          width={width}
          height={Math.round(height / 2)}
          summary="Side view to scale, from the sinker on the bottom up to the rod tip."
          lengthText={(metres) => show.entered('length', metres)}
        />
      )}
      {shown.map((each, i) => (
        <p key={each.name} className={'points' in each.shape ? '' : 'text-watch'}>
          {shown.length > 1 && <LineSample second={i > 0} />}
          {sentence(each)}
        </p>
      ))}
      {drawn.length > 0 && <Shares lines={drawn} />}
    </div>
  )
}

function shapeWords({ lineOutM, scope, setbackM, angleDeg, view }: LineShape, { water }: Settling, show: Show): string {
  const out = show.computed('length', lineOutM)
  const angle = `${Math.abs(angleDeg).toFixed(0)}°`
  if (view === 'above')
    return `${out} of line out over ${show.computed('length', water.distanceM)}; it bends ${show.computed('length', setbackM)} down-current and leaves the rod at ${angle} to the straight direction.`
  if (setbackM < 0)
    return `${out} of line out, ${show.number(scope, 2)} times the straight distance; the sinker lies ${show.computed('length', -setbackM)} up-current, and the line comes up at ${angle} from upright.`
  return `${out} of line out, ${show.number(scope, 2)} times the depth; the sinker lies ${show.computed('length', setbackM)} down-current, and the line leaves the rod ${angle} from upright.`
}

function troubleWords({ water }: Settling, trouble: string): string {
  return water.method === 'anchor' || water.method === 'drift'
    ? 'This sinker is too light: the current carries the line away.'
    : `The line’s shape cannot be calculated: ${trouble}.`
}

/** What causes the drag, as a weight, the lines in columns. */
function Shares({ lines }: { lines: readonly { name: string; shape: LineShape }[] }) {
  const show = useShow()
  const ids = lines[0]!.shape.shares.filter(({ forceN }) => forceN > 0).map(({ id }) => id)
  return (
    <table className="w-full">
      <caption className="text-left text-quiet">Causes of the drag, as a weight</caption>
      {lines.length > 1 && (
        <thead>
          <tr>
            <th scope="col">
              <span className="sr-only">part</span>
            </th>
            {lines.map(({ name }) => (
              <th key={name} scope="col" colSpan={2} className="text-right font-normal text-quiet">
                {name}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {ids.map((id) => (
          <tr key={id} className="border-t border-rule">
            <th scope="row" className="py-0.5 text-left font-normal">
              {SHARE_NAMES[id]}
            </th>
            {lines.map(({ name, shape }) => (
              <ShareCells key={name} shares={shape.shares} id={id} show={show} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function ShareCells({ shares, id, show }: { shares: readonly Share[]; id: Share['id']; show: Show }) {
  const total = shares.reduce((sum, { forceN }) => sum + forceN, 0)
  const forceN = shares.find((share) => share.id === id)?.forceN ?? 0
  return (
    <>
      <td className="text-right">{show.computed('mass', forceN / GRAVITY_M_PER_S2)}</td>
      <td className="w-16 text-right text-quiet">{total > 0 ? percent(forceN / total) : '–'}</td>
    </>
  )
}

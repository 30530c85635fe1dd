import { GRAVITY_M_PER_S2 } from '../../../core/math/constants.ts'
import type { Settle } from '../../../core/moments/settle.ts'
import { SideView } from '../../charts/SideView.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { percent } from '../../words/verdictWords.ts'

const SHARE_NAMES: Record<string, string> = { sinker: 'sinker', bait: 'bait', trace: 'trace', line: 'line above the trace' }

/** The line's true shape with the sinker as it is, what is felt of it, and whose the drag is. */
export function SettleWhy({ settle: { hung, water, neededKg, wantedKg, reserve, trouble } }: { settle: Settle }) {
  const show = useShow()
  const { ref, width } = useWidth<HTMLDivElement>()
  const shown = hung && {
    lineOut: show.computed('length', hung.lineOutM),
    setback: show.computed('length', hung.setbackM),
    angle: `${hung.angleDeg.toFixed(0)}°`,
    scope: (hung.lineOutM / water.depthM).toFixed(2),
  }
  const total = hung?.shares.reduce((sum, { forceN }) => sum + forceN, 0) ?? 0
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        {neededKg === undefined || wantedKg === undefined
          ? `No sinker was found that holds: ${trouble}.`
          : `At the stream’s peak ${show.computed('mass', neededKg)} hold in still water; with a reserve of ${reserve} for swell and swing, ${show.computed('mass', wantedKg)} are wanted.`}
      </p>
      {shown && (
        <>
          <div ref={ref}>
            {width > 0 && (
              <SideView
                points={hung.points}
                depthM={water.depthM}
                width={width}
                summary={`Side view to scale: ${shown.lineOut} of line out, the sinker ${shown.setback} down-current, the line ${shown.angle} from upright.`}
              />
            )}
          </div>
          <p>
            {shown.lineOut} of line out, {shown.scope} times the depth; the sinker lies {shown.setback} down-current, and the line
            leaves the rod {shown.angle} from upright. Of what you feel, {percent(hung.feel)} is lead.
          </p>
          <table className="w-full">
            <caption className="text-left text-quiet">Why so much: whose the drag is, as a weight</caption>
            <tbody>
              {hung.shares.map(({ id, forceN }) => (
                <tr key={id} className="border-t border-rule">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {SHARE_NAMES[id]}
                  </th>
                  <td className="text-right">{show.computed('mass', forceN / GRAVITY_M_PER_S2)}</td>
                  <td className="w-16 text-right text-quiet">{total > 0 ? percent(forceN / total) : '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {!shown && (water.method === 'anchor' || water.method === 'drift') && (
        <p className="text-watch">With this sinker the line is blown out: it streams away without holding the bottom.</p>
      )}
    </div>
  )
}

import { useMemo } from 'react'
import { tried } from '../../../../core/analysis/judged.ts'
import { pieceNamed } from '../../../../core/documents/pieces.ts'
import type { Tow } from '../../../../core/setup/moving/tow.ts'
import {
  leastWaterM,
  legsOnCourse,
  linesOnCourse,
  type OnCourse,
  type Pair,
  TANGLES_UNDER_M,
  TIP_OFF_M,
  type TrolledWay,
} from '../../../../core/setup/moving/trolled.ts'
import { pieceName } from '../../../../core/setup/names.ts'
import type { Setup } from '../../../../core/setup/setup.ts'
import { useShow } from '../../../settings/preferences.tsx'
import { Sheet } from '../../../ui/controls.tsx'
import { ScrollAcross } from '../../../ui/ScrollAcross.tsx'

type Props = { setup: Setup; tow: Tow; moving: TrolledWay }

/** Two legs of one trace, and another line beside it: straight on and in a turn, whether they keep apart. */
export function SideBySide({ setup, tow, moving }: Props) {
  const show = useShow()
  const ofLegs = useMemo(() => tried(() => legsOnCourse(setup.trace, tow, moving)), [setup.trace, tow, moving])
  const ofLines = useMemo(() => tried(() => linesOnCourse(tow, moving)), [tow, moving])
  const legs = ofLegs.ok ? ofLegs.value : []
  const lines = ofLines.ok ? ofLines.value : []
  if (ofLegs.ok && ofLines.ok && legs.length === 0 && lines.length === 0) return null
  const nameOf = (id: string) => pieceName(pieceNamed(setup.trace, id))
  return (
    <Sheet title="Side by side">
      {!ofLegs.ok && <p className="text-watch">The two legs: {ofLegs.message}</p>}
      {!ofLines.ok && <p className="text-watch">The second line: {ofLines.message}</p>}
      {legs[0] && (
        <Pairs
          what="Two legs"
          caption={`The two legs, straight and in a turn, on its inside or outside${moving.beside ? '' : `, with its rod tip ${show.entered('length', TIP_OFF_M)} off the boat’s centre`}.`}
          names={[nameOf(legs[0].one.id), nameOf(legs[0].other.id)]}
          pairs={legs}
          leastM={TANGLES_UNDER_M.legs}
          waterM={leastWaterM(moving)}
        />
      )}
      {lines.length > 0 && (
        <Pairs
          what="Two lines"
          caption="This line and the second. In a turn one crosses behind the other, so only depth and distance keep them apart."
          names={['this one', 'second']}
          pairs={lines}
          leastM={TANGLES_UNDER_M.lines}
          waterM={leastWaterM(moving)}
        />
      )}
    </Sheet>
  )
}

const COURSE_WORDS: Record<OnCourse, string> = {
  straight: 'straight',
  inside: 'in a turn, inside',
  outside: 'in a turn, outside',
}

type PairsProps = {
  what: string
  caption: string
  names: [string, string]
  pairs: readonly Pair[]
  /** Nearer to each other they tangle; as deep as the water they are on the bed. */
  leastM: number
  waterM: number
}

function Pairs({ what, caption, names, pairs, leastM, waterM }: PairsProps) {
  const show = useShow()
  return (
    <ScrollAcross label={what}>
      <table className="mt-1 w-full text-sm">
        <caption className="text-left text-quiet">{caption}</caption>
        <thead>
          <tr>
            {['', ...names, 'apart', ''].map((head, i) => (
              <th key={i} scope="col" className="text-right font-normal text-quiet first:text-left">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {pairs.map(({ on, one, other, apartM }) => {
            const tangles = apartM < leastM
            return (
              <tr key={on} className="border-t border-rule">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {COURSE_WORDS[on]}
                </th>
                {[one, other].map(({ depthM, setbackM }, i) => (
                  <td key={i} className="text-right whitespace-nowrap">
                    {depthM < waterM ? `${show.depth(depthM)} down` : <strong className="text-fails">on the bottom</strong>},{' '}
                    {show.entered('length', Math.round(setbackM))} back
                  </td>
                ))}
                <td className="text-right whitespace-nowrap">{show.computed('length', apartM)}</td>
                <td className={`w-20 text-right ${tangles ? 'font-semibold text-watch' : 'text-quiet'}`}>
                  {tangles ? 'may tangle' : 'keep apart'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </ScrollAcross>
  )
}

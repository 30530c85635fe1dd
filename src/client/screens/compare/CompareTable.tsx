import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import { isTied, jointOf } from '../../../core/documents/pieces.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { MOMENT_NAMES, type MomentName } from '../../../core/moments/moments.ts'
import type { Run } from '../../../core/moments/run.ts'
import { type Replacement, wholeReplacement } from '../../../core/setup/replacement.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { percent } from '../../../core/units/percent.ts'
import { useRuleSetInForce } from '../../api/useRuleSetInForce.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { viewOf } from '../../moments/momentViews.ts'
import { type Evaluated, evaluated } from '../../moments/useEvaluation.ts'
import { useWording } from '../../moments/useWording.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { momentName } from '../../words/momentNames.ts'
import { linkName } from '../../words/names.ts'
import type { Side } from './side.ts'

type Row = { name: string; text: (side: Side, evaluation: Evaluation) => string }

/** All moments and the figures people weigh, a column each; what differs from the first column is marked. */
export function CompareTable({ sides }: { sides: Side[] }) {
  const show = useShow()
  const ruleSet = useRuleSetInForce()
  const columns = sides.map((side) => ({ side, judged: evaluated(side.setup, ruleSet) }))
  return (
    <ScrollAcross label="Side by side" className="rounded-lg border border-rule bg-sheet p-3">
      <table className="w-full min-w-[40rem] table-fixed">
        <caption className="sr-only">Moments and figures side by side</caption>
        <thead>
          <tr>
            <th className="w-32" scope="col">
              <span className="sr-only">what</span>
            </th>
            {sides.map((side) => (
              <th key={side.key} scope="col" className="px-2 text-left align-bottom">
                <span translate="no">{side.title}</span>
                <span className="block text-sm font-normal text-quiet" translate="no">
                  {side.setup.outfit.name}
                </span>
                <MiniReach trace={side.setup.trace} outfit={side.setup.outfit} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {MOMENT_NAMES.map((name) => (
            <tr key={name} className="border-t border-rule align-top">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {momentName(name)}
              </th>
              {columns.map(({ side, judged }) => (
                <MomentCell key={side.key} name={name} side={side} judged={judged} />
              ))}
            </tr>
          ))}
          {rowsOf(show).map(({ name, text }) => {
            const texts = columns.map(({ side, judged }) => (judged.ok ? text(side, judged.value) : '–'))
            return (
              <tr key={name} className="border-t border-rule align-top">
                <th scope="row" className="py-1 text-left font-normal text-quiet">
                  {name}
                </th>
                {texts.map((words, i) => (
                  <td key={sides[i]?.key} className={`px-2 py-1 ${i > 0 && words !== texts[0] ? 'bg-well' : ''}`}>
                    {words}
                  </td>
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-quiet">Marked: different from the first.</p>
    </ScrollAcross>
  )
}

type CellProps = { name: MomentName; side: Side; judged: Evaluated }

function MomentCell({ name, side, judged }: CellProps) {
  const wording = useWording(side.setup)
  const result = judged.ok ? judged.value.moments[name] : undefined
  return (
    <td className="px-2 py-1.5" data-compare={name} data-verdict={result?.verdict}>
      {result ? <VerdictMark verdict={result.verdict} /> : <span className="text-quiet">–</span>}
      <span className="block text-sm text-quiet">
        {judged.ok ? result && viewOf(result).figure(result, wording) : judged.message}
      </span>
    </td>
  )
}

function rowsOf(show: Show): Row[] {
  return [
    { name: 'weakest in a run', text: ({ setup }, { moments: { run } }) => (run ? weakestWords(setup, run, show) : '–') },
    { name: 'breaks first', text: ({ setup }, { moments: { run } }) => (run ? firstWords(setup, run) : '–') },
    { name: 'drag setting', text: (_, { setup }) => show.computed('strength', setup.conditions.dragN) },
    { name: 'highest safe drag', text: (_, { moments: { run } }) => (run ? show.computed('strength', run.dragCeilingN) : '–') },
    { name: 'line out', text: ({ setup }) => show.computed('length', setup.conditions.lineOutM) },
    {
      name: 'sudden run, up to',
      text: (_, { moments: { run } }) => (run ? show.computed('strength', run.deciding.rush.peakN) : '–'),
    },
    {
      name: 'sudden run at the boat',
      text: (_, { moments: { hand } }) =>
        hand ? `${show.computed('strength', hand.deciding.rush.peakN)}, holds ${percent(hand.deciding.rush.survival)}` : '–',
    },
    {
      name: 'cast distance',
      text: (_, { moments: { cast } }) =>
        cast ? `${show.entered('length', cast.rangeM.least)} to ${show.entered('length', cast.rangeM.most)}` : '–',
    },
    {
      name: 'cost of a snag',
      text: (_, { moments: { snag } }) => (snag ? costWords(snag.deciding.replacement, show) : '–'),
    },
    { name: 'parts and knots', text: ({ setup: { trace } }) => `${trace.pieces.length} and ${knotsIn(trace)}` },
    { name: 'to build', text: ({ setup }) => costWords(wholeReplacement(setup), show) },
    {
      name: 'findings',
      text: (_, { findings }) =>
        `${findings.filter(({ severity }) => severity !== 'note').length} and ${findings.filter(({ severity }) => severity === 'note').length} notes`,
    },
  ]
}

const costWords = ({ cost, minutes }: Replacement, show: Show) => `tackle for ${show.number(cost, 2)}, ${minutes.toFixed(0)} min`
const knotsIn = (trace: Trace) => trace.pieces.filter((piece) => isTied(jointOf(piece))).length

const weakestWords = (setup: Setup, { deciding: { weakest } }: Run, show: Show) =>
  `${linkName(setup, weakest.ref)}, ${show.computed('strength', weakest.strengthN)}`

const firstWords = (setup: Setup, { deciding: { goesFirst } }: Run) =>
  `${linkName(setup, goesFirst.ref)}, ${percent(goesFirst.probability)}${goesFirst.byChance ? ', most likely' : ''}`

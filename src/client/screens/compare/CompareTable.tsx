import { useQuery } from '@tanstack/react-query'
import { replacementOf } from '../../../core/build/replacement.ts'
import type { Evaluation } from '../../../core/moments/evaluate.ts'
import { isTied, jointOf, type Trace } from '../../../core/trace/schema.ts'
import { ruleSetInForceQuery } from '../../api/documents.ts'
import { MiniReach } from '../../charts/Reach.tsx'
import { useMiniReach } from '../../charts/useReach.ts'
import { judge } from '../../judge/useEvaluation.ts'
import { type Show, useShow } from '../../settings/preferences.tsx'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import { linkName } from '../../words/names.ts'
import { figureWords, MOMENT_NAMES, MOMENT_ORDER, percent } from '../../words/verdictWords.ts'
import type { Side } from './side.ts'

type Row = { name: string; text: (side: Side, evaluation: Evaluation) => string }

/** All moments and the figures people weigh, a column each; what differs from the first column is marked. */
export function CompareTable({ sides }: { sides: Side[] }) {
  const show = useShow()
  const ruleSet = useQuery(ruleSetInForceQuery).data ?? undefined
  const judged = sides.map(({ fished }) => judge(fished.trace, fished.outfit, fished.conditions, ruleSet))
  const cell = (i: number, text: (side: Side, evaluation: Evaluation) => string) => {
    const result = judged[i]!
    return result.ok ? text(sides[i]!, result.evaluation) : '–'
  }
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: on a narrow screen it scrolls sideways, by keyboard too
    <section tabIndex={0} aria-label="Side by side" className="overflow-x-auto rounded-lg border border-rule bg-sheet p-3">
      <table className="w-full min-w-[40rem] table-fixed">
        <caption className="sr-only">Moments and figures side by side</caption>
        <thead>
          <tr>
            <th className="w-32" scope="col">
              <span className="sr-only">what</span>
            </th>
            {sides.map((side) => (
              <th key={side.key} scope="col" className="px-2 text-left align-bottom">
                {side.title}
                <span className="block text-sm font-normal text-quiet">{side.fished.outfit.name}</span>
                <Drawing side={side} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {MOMENT_ORDER.map((name) => (
            <tr key={name} className="border-t border-rule align-top">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {MOMENT_NAMES[name]}
              </th>
              {judged.map((result, i) => {
                const moment = result.ok ? result.evaluation[name] : undefined
                return (
                  <td key={sides[i]!.key} className="px-2 py-1.5" data-compare={name} data-verdict={moment?.verdict}>
                    {moment ? <VerdictMark verdict={moment.verdict} /> : <span className="text-quiet">–</span>}
                    <span className="block text-sm text-quiet">
                      {result.ok ? figureWords(result.evaluation, name, show) : result.message}
                    </span>
                  </td>
                )
              })}
            </tr>
          ))}
          {rowsOf(show).map(({ name, text }) => {
            const texts = sides.map((_, i) => cell(i, text))
            return (
              <tr key={name} className="border-t border-rule align-top">
                <th scope="row" className="py-1 text-left font-normal text-quiet">
                  {name}
                </th>
                {texts.map((words, i) => (
                  <td key={sides[i]!.key} className={`px-2 py-1 ${i > 0 && words !== texts[0] ? 'bg-well' : ''}`}>
                    {words}
                  </td>
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-quiet">Marked: what differs from the first.</p>
    </section>
  )
}

function rowsOf(show: Show): Row[] {
  const whole = ({ fished: { trace } }: Side) => replacementOf(trace, idsOf(trace))
  return [
    { name: 'weakest in a run', text: ({ fished: { trace, outfit } }, { run }) => weakestWords(trace, outfit, run, show) },
    { name: 'goes first', text: ({ fished: { trace, outfit } }, { run }) => firstWords(trace, outfit, run) },
    { name: 'drag set', text: ({ fished }) => show.computed('strength', fished.conditions.dragN) },
    { name: 'drag safe to', text: (_, { run }) => (run ? show.computed('strength', run.figure.value) : '–') },
    { name: 'line out', text: ({ fished }) => show.computed('length', fished.conditions.lineOutM) },
    { name: 'range in still air', text: (_, { cast }) => (cast ? show.entered('length', Math.round(cast.rangeM)) : '–') },
    {
      name: 'a snag costs',
      text: (_, { snag }) => {
        const worst = snag?.paths.find(({ end }) => end === snag.end)?.replacement
        return worst ? `${worst.cost.toFixed(2)} units, ${worst.minutes.toFixed(0)} min` : '–'
      },
    },
    { name: 'parts and knots', text: ({ fished: { trace } }) => `${trace.pieces.length} and ${knotsIn(trace)}` },
    { name: 'to build', text: (side) => `${whole(side).cost.toFixed(2)} units, ${whole(side).minutes.toFixed(0)} min` },
    {
      name: 'findings',
      text: (_, { findings }) =>
        `${findings.filter(({ severity }) => severity !== 'note').length} and ${findings.filter(({ severity }) => severity === 'note').length} notes`,
    },
  ]
}

const idsOf = (trace: Trace) => trace.pieces.map(({ id }) => id)
const knotsIn = (trace: Trace) => trace.pieces.filter((piece) => isTied(jointOf(piece))).length

type Run = Evaluation['run']

function weakestWords(trace: Trace, outfit: Side['fished']['outfit'], run: Run, show: Show): string {
  const weakest = run?.paths.find(({ end }) => end === run.end)?.weakest
  return weakest ? `${linkName(trace, outfit, weakest.id)}, ${show.computed('strength', weakest.strengthN)}` : '–'
}

function firstWords(trace: Trace, outfit: Side['fished']['outfit'], run: Run): string {
  const first = run?.paths.find(({ end }) => end === run.end)?.goesFirst
  return first ? `${linkName(trace, outfit, first.id)}, ${percent(first.probability)}${first.byChance ? ', by chance' : ''}` : '–'
}

function Drawing({ side: { fished } }: { side: Side }) {
  const layout = useMiniReach(fished.trace, fished.outfit)
  return <MiniReach trace={fished.trace} outfit={fished.outfit} layout={layout} />
}

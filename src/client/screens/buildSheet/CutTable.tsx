import type { PlannedNeed, SpoolCuts } from '../../../core/batch/batchPlan.ts'
import type { LineNeed, NeedCut } from '../../../core/batch/needs.ts'
import { type CutGroup, cutList, type StrandCut } from '../../../core/build/cutList.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import type { BatchWork } from '../../api/batches.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { lineSpec } from '../../words/names.ts'
import { cutPart } from './batchParts.ts'
import { Counter } from './Counter.tsx'

type Props = {
  trace: Trace
  plan: readonly PlannedNeed[]
  count: number
  /** Of a batch: what is done of it. */
  work?: BatchWork | undefined
}

/** The cuts of each line, those that are alike together, with what every connection adds, and the spools that they come from. */
export function CutTable({ trace, plan, count, work }: Props) {
  const show = useShow()
  const catalogue = useCatalogue()
  const strands = new Map(
    cutList({ trace, catalogue })
      .flatMap(({ cuts }: CutGroup) => cuts)
      .map((cut) => [cut.id, cut]),
  )
  const lines = plan.flatMap((planned) => (planned.need.kind === 'line' ? [{ ...planned, need: planned.need }] : []))
  return (
    <table className="w-full">
      <thead className="text-left text-sm text-quiet">
        <tr>
          {work && (
            <th scope="col" className="no-print w-44 font-normal">
              done
            </th>
          )}
          <th scope="col" className="font-normal">
            cut
          </th>
          <th scope="col" className="pl-3 font-normal">
            piece
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            finished
          </th>
          <th scope="col" className="pl-4 font-normal max-sm:hidden">
            knots use
          </th>
        </tr>
      </thead>
      {lines.map(({ need, from, spools }) => (
        <tbody key={need.piece}>
          <tr className="border-t-2 border-rule">
            <th scope="rowgroup" colSpan={work ? 5 : 4} className="pt-2 text-left">
              {lineSpec(catalogue, need, show)}{' '}
              <span className="font-normal text-quiet">{show.computed('diameter', need.diameterM)}</span>
              <span className="float-right">{show.tape(lengthOf(need) * count)}</span>
            </th>
          </tr>
          {need.cuts.map((cut) => (
            <CutRow key={cut.cutM} need={need} cut={cut} count={count} strands={strands} work={work} />
          ))}
          {(count > 1 || spools.length > 0) && (
            <tr>
              <td colSpan={work ? 5 : 4} className="pb-2 text-sm text-quiet">
                {count > 1 && `Mark the cutting board at ${need.cuts.map(({ cutM }) => show.tape(cutM)).join(' and ')}. `}
                {spools.map((spool) => spoolWords(spool, from?.item.gear.name ?? '', show)).join(' ')}
              </td>
            </tr>
          )}
        </tbody>
      ))}
    </table>
  )
}

const lengthOf = ({ cuts }: LineNeed): number => cuts.reduce((sum, { cutM, perTrace }) => sum + cutM * perTrace, 0)

const spoolWords = ({ spool, cuts, leftM }: SpoolCuts, name: string, show: Show): string =>
  `From ${name}, spool ${spool}: ${cuts.map(({ cutM, count }) => `${count} × ${show.tape(cutM)}`).join(', ')}; ${show.tape(Math.max(0, leftM))} is left.`

type RowProps = {
  need: LineNeed
  cut: NeedCut
  count: number
  strands: ReadonlyMap<string, StrandCut>
  work: BatchWork | undefined
}

function CutRow({ need, cut, count, strands, work }: RowProps) {
  const show = useShow()
  const catalogue = useCatalogue()
  const times = cut.perTrace * count
  const own = cut.of.flatMap((of) => strands.get(of[0] ?? '') ?? [])
  const finished = [...new Set(own.map(({ finishedM }) => show.entered('length', finishedM)))]
  const uses = [...new Set(own.map((strand) => usesWords(strand, catalogue.connections, show)))]
  const part = cutPart(need, cut)
  return (
    <tr className="border-t border-rule align-baseline" data-cut={cut.of[0]?.[0]}>
      {work && (
        <td className="no-print py-1 pr-2">
          <Counter
            label={`${times} cuts of ${show.tape(cut.cutM)}`}
            done={work.progress?.parts[part] ?? 0}
            of={times}
            onTick={(change) => work.tick(part, change, times)}
          />
        </td>
      )}
      <td className="py-1 font-semibold whitespace-nowrap">
        {times > 1 && <span className="font-normal">{times} × </span>}
        {show.tape(cut.cutM)}
      </td>
      <td className="pl-3">{cut.of.map((of) => of.map((id) => id.replaceAll('-', ' ')).join(' and ')).join(', ')}</td>
      <td className="pl-3 text-right whitespace-nowrap">{finished.join(', ')}</td>
      <td className="pl-4 text-sm text-quiet max-sm:hidden">{uses.join('; ')}</td>
    </tr>
  )
}

const usesWords = (
  { uses, wrapsM }: StrandCut,
  connections: ReturnType<typeof useCatalogue>['connections'],
  show: Show,
): string =>
  [
    ...uses.map(({ connection, usedM }) => `${connections[connection].name} ${show.tape(usedM)}`),
    ...(wrapsM > 0 ? [`wraps ${show.tape(wrapsM)}`] : []),
  ].join(' + ')

import type { CutGroup } from '../../../core/build/cutList.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { lineSpec } from '../../words/names.ts'

/** The cuts of each line, with what every connection adds, and the total for the batch. */
export function CutTable({ groups, count }: { groups: CutGroup[]; count: number }) {
  const show = useShow()
  const catalogue = useCatalogue()
  return (
    <table className="w-full">
      <thead className="text-left text-sm text-quiet">
        <tr>
          <th className="font-normal">piece</th>
          <th className="pl-3 text-right font-normal">finished</th>
          <th className="pl-4 font-normal max-sm:hidden">knots use</th>
          <th className="pl-3 text-right font-normal">cut</th>
        </tr>
      </thead>
      {groups.map((group) => (
        <tbody key={`${group.material}${group.strengthN}${group.diameterM}`}>
          <tr className="border-t-2 border-rule">
            <th scope="rowgroup" colSpan={2} className="pt-2 text-left">
              {lineSpec(catalogue, group, show)}{' '}
              <span className="font-normal text-quiet">{show.computed('diameter', group.diameterM)}</span>
            </th>
            <td colSpan={2} className="pt-2 text-right">
              {count > 1 && `${count} × ${show.tape(group.totalM)} = `}
              <strong>{show.tape(group.totalM * count)}</strong>
            </td>
          </tr>
          {group.cuts.map((cut) => (
            <tr key={cut.id} className="border-t border-rule align-baseline" data-cut={cut.id}>
              <td className="py-1">{cut.of.map((id) => id.replaceAll('-', ' ')).join(' and ')}</td>
              <td className="pl-3 text-right whitespace-nowrap">{show.entered('length', cut.finishedM)}</td>
              <td className="pl-4 text-sm text-quiet max-sm:hidden">
                {[
                  ...cut.uses.map(({ connection, usedM }) => `${catalogue.connections[connection].name} ${show.tape(usedM)}`),
                  ...(cut.wrapsM > 0 ? [`wraps ${show.tape(cut.wrapsM)}`] : []),
                ].join(' + ')}
              </td>
              <td className="pl-3 text-right font-semibold whitespace-nowrap">{show.tape(cut.cutM)}</td>
            </tr>
          ))}
        </tbody>
      ))}
    </table>
  )
}

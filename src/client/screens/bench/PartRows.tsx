import { type ReactNode, useEffect, useMemo, useRef } from 'react'
import { type LinkRef, linkKey } from '../../../core/documents/linkRef.ts'
import { type PartRow, partRows } from '../../../core/layout/partRows.ts'
import type { EndPath } from '../../../core/setup/prepareSetup.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { linkName, reachLabel } from '../../words/names.ts'
import { EditBar } from './EditBar.tsx'
import type { Edits } from './useEdits.ts'

/** A bar is full at so many times the weakest link. */
const FULL_BAR = 3

type Props = {
  rig: Rig
  paths: readonly EndPath[]
  selected: LinkRef
  onSelect: (ref: LinkRef) => void
  edits: Edits
  /** The settings of the chosen part. */
  children: ReactNode
}

/** The reach as a list from the reel down, each part with its strength as a bar; under the chosen one, what can be changed of it. */
export function PartRows({ rig, paths, selected, onSelect, edits, children }: Props) {
  const show = useShow()
  const rows = useMemo(() => partRows(rig.trace, rig.outfit), [rig.trace, rig.outfit])
  const strengths = useMemo(() => strengthsOf(paths), [paths])
  const weakestN = Math.min(...strengths.values())
  const chosen = linkKey(selected)
  return (
    <Sheet title="Parts from the reel">
      <ol className="grid">
        {rows.map((row) => {
          const strengthN = strengths.get(row.item.id)
          const isChosen = row.item.id === chosen
          return (
            <li key={row.item.id} className="border-t border-rule first:border-0">
              <RowButton
                row={row}
                name={linkName(rig, row.item.ref)}
                spec={
                  row.item.kind === 'joint' ? '' : beside(linkName(rig, row.item.ref), reachLabel(rig, row.item.ref, show).above)
                }
                strength={strengthN === undefined ? undefined : show.computed('strength', strengthN)}
                share={strengthN === undefined ? 0 : Math.min(1, strengthN / (FULL_BAR * weakestN))}
                isWeakest={strengthN === weakestN}
                isChosen={isChosen}
                onSelect={onSelect}
              />
              {isChosen && (
                <div className="grid gap-2 pb-3">
                  <EditBar rig={rig} selected={selected} edits={edits} />
                  {children}
                </div>
              )}
            </li>
          )
        })}
      </ol>
    </Sheet>
  )
}

/** The words of a label without the name that they begin with. */
const beside = (name: string, label: readonly string[]) => {
  const words = label.join(' ')
  return words === name || words.startsWith(`${name} `) ? words.slice(name.length + 1) : words
}

type RowProps = {
  row: PartRow
  name: string
  spec: string
  strength: string | undefined
  share: number
  isWeakest: boolean
  isChosen: boolean
  onSelect: (ref: LinkRef) => void
}

function RowButton({ row: { item, depth }, name, spec, strength, share, isWeakest, isChosen, onSelect }: RowProps) {
  const ref = useRef<HTMLButtonElement>(null)
  const wasChosen = useRef(isChosen)
  // What was open above it closes as it opens: it must not slip out of sight.
  useEffect(() => {
    if (isChosen && !wasChosen.current) ref.current?.scrollIntoView({ block: 'nearest' })
    wasChosen.current = isChosen
  }, [isChosen])
  return (
    <button
      ref={ref}
      type="button"
      aria-expanded={isChosen}
      className={`grid min-h-11 w-full scroll-mt-16 grid-cols-[minmax(0,1fr)_6rem] items-center gap-2 py-1 text-left ${isChosen ? 'font-semibold' : ''}`}
      onClick={() => onSelect(item.ref)}
    >
      <span className="min-w-0" style={{ paddingLeft: `${Math.min(depth, 4) * 0.75}rem` }}>
        {name} <span className="font-normal text-quiet">{spec}</span>
      </span>
      {strength !== undefined && (
        <span className={`grid gap-0.5 text-right text-sm ${isWeakest ? 'font-bold text-fails' : ''}`}>
          {strength}
          <span aria-hidden="true" className="h-1.5 rounded bg-well">
            <span
              className={`block h-full rounded ${isWeakest ? 'bg-fails' : 'bg-ink'}`}
              style={{ width: `${Math.round(100 * share)}%` }}
            />
          </span>
        </span>
      )}
    </button>
  )
}

/** The strength of each link, on whichever path it lies; of those that lie on several, the lowest. */
function strengthsOf(paths: readonly EndPath[]): Map<string, number> {
  const strengths = new Map<string, number>()
  for (const { links } of paths)
    for (const { ref, strengthN } of links) {
      const key = linkKey(ref)
      strengths.set(key, Math.min(strengthN, strengths.get(key) ?? Number.POSITIVE_INFINITY))
    }
  return strengths
}

import { useQuery } from '@tanstack/react-query'
import { ClipboardCheck, Download, Plus } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Gear } from '../../../core/documents/gear.ts'
import type { GearRow } from '../../../files/gearCsv.ts'
import type { TableChange } from '../../../files/tables.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { levelsQuery, useStockChange } from '../../api/stock.ts'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { ImportTable } from '../../documents/ImportTable.tsx'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { BoxTable } from './BoxTable.tsx'
import { ItemPanel } from './ItemPanel.tsx'

/** The tackle box: sinkers, hooks, hardware, spools of line, floats and lures, edited in place, imported and exported as a table. */
export default function BoxPage() {
  usePageTitle('Tackle box')
  const [edited, setEdited] = useState<SavedDocument<'gear'> | 'new'>()
  const levels = useQuery(levelsQuery).data
  const change = useStockChange()
  const onHandOf = (id: string) => levels?.get(id)?.map(({ quantity }) => quantity)
  /** The counts that a row of a table makes: spool by spool, and none on a spool that it does not list. */
  const countsOf = ({ id, change: { onHand } }: { id: string; change: TableChange<Gear> }) => {
    if (!onHand) return []
    const spools = levels?.get(id) ?? []
    return Array.from({ length: Math.max(onHand.length, spools.length) }, (_, i) => ({
      itemId: id,
      spool: spools[i]?.spool ?? i + 1,
      counted: onHand[i] ?? 0,
      seen: spools[i]?.quantity ?? null,
    }))
  }
  return (
    <>
      <DocumentList
        kind="gear"
        title="Tackle box"
        actions={(items) => (
          <>
            <ImportTable
              kind="gear"
              owned={items.map((item) => ({ ...item, onHand: onHandOf(item.id) }))}
              nothingNew="Everything in this file is in the box already."
              also={(rows) => change.mutateAsync({ do: 'count', counts: rows.flatMap(countsOf) })}
            />
            <Button
              tone="quiet"
              disabled={items.length === 0}
              onClick={() => exportAll(items.map(({ id, content }) => ({ item: content, ...given(onHandOf(id)) })))}
            >
              <Download className="size-4" aria-hidden="true" /> Export as CSV
            </Button>
            <Link to="/gear/box/count" className={buttonClass()}>
              <ClipboardCheck className="size-4" aria-hidden="true" /> Count the box
            </Link>
            <Button tone="strong" onClick={() => setEdited('new')}>
              <Plus className="size-4" aria-hidden="true" /> Add
            </Button>
          </>
        )}
        empty={{
          title: 'The box is empty',
          text: 'Add what you own, or import a table. The tide plan uses the sinkers in the box.',
        }}
      >
        {(items, isTrash, actions) => <BoxTable items={items} isTrash={isTrash} actions={actions} onOpen={setEdited} />}
      </DocumentList>
      {edited && <ItemPanel saved={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
    </>
  )
}

const given = (onHand: number[] | undefined) => (onHand ? { onHand } : {})

async function exportAll(rows: readonly GearRow[]) {
  const { writeGearCsv } = await import('../../../files/gearCsv.ts')
  download('box.csv', 'text/csv', writeGearCsv(rows))
}

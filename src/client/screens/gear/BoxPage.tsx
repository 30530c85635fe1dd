import { Download, Plus } from 'lucide-react'
import { useState } from 'react'
import type { Gear } from '../../../core/documents/gear.ts'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { ImportTable } from '../../documents/ImportTable.tsx'
import { Button } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { BoxTable } from './BoxTable.tsx'
import { ItemPanel } from './ItemPanel.tsx'

/** The tackle box: sinkers, hooks, hardware, spools of line, floats and lures, edited in place, imported and exported as a table. */
export default function BoxPage() {
  usePageTitle('Tackle box')
  const [isAdding, setAdding] = useState(false)
  return (
    <>
      <DocumentList
        kind="gear"
        title="Tackle box"
        actions={(items) => (
          <>
            <ImportTable kind="gear" owned={items} nothingNew="Everything in this file is in the box already." />
            <Button tone="quiet" disabled={items.length === 0} onClick={() => exportAll(items.map(({ content }) => content))}>
              <Download className="size-4" aria-hidden="true" /> Export as CSV
            </Button>
            <Button tone="strong" onClick={() => setAdding(true)}>
              <Plus className="size-4" aria-hidden="true" /> Add
            </Button>
          </>
        )}
        empty={{
          title: 'The box is empty',
          text: 'Add what you own, or import a table. The tide plan uses the sinkers in the box.',
        }}
      >
        {(items, isTrash, actions) => <BoxTable items={items} isTrash={isTrash} actions={actions} />}
      </DocumentList>
      {isAdding && <ItemPanel onClose={() => setAdding(false)} />}
    </>
  )
}

async function exportAll(items: readonly Gear[]) {
  const { writeGearCsv } = await import('../../../files/gearCsv.ts')
  download('box.csv', 'text/csv', writeGearCsv(items))
}

import { useQuery } from '@tanstack/react-query'
import { Download, Plus } from 'lucide-react'
import { useState } from 'react'
import { copyName } from '../../../core/documents/text.ts'
import { binnedQuery, gearQuery, listQuery } from '../../api/documents.ts'
import { useDocumentActions } from '../../api/useDocumentActions.ts'
import { ImportTable } from '../../tables/ImportTable.tsx'
import { Button } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { UnreadableList } from '../../ui/UnreadableList.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { BoxTable } from './BoxTable.tsx'
import { ItemPanel } from './ItemPanel.tsx'

/** What is in the box: sinkers, hooks, hardware, spools of line, floats, lures; edited in place, in and out as a table. */
export default function BoxPage() {
  usePageTitle('In the box')
  const [bin, setBin] = useState(false)
  const [adding, setAdding] = useState(false)
  const box = useQuery(gearQuery)
  const binned = useQuery({ ...binnedQuery('gear'), enabled: bin })
  const unreadable = useQuery(listQuery('gear')).data?.unreadable ?? []
  const actions = useDocumentActions({
    kind: 'gear',
    nameOf: ({ name }) => name,
    copyOf: (item) => ({ ...item, name: copyName(item.name) }),
  })
  const query = bin ? binned : box
  const items = bin ? binned.data?.documents : box.data
  const saveAll = async () => {
    const { writeGearCsv } = await import('../../../files/gearCsv.ts')
    download('box.csv', 'text/csv', writeGearCsv((box.data ?? []).map(({ content }) => content)))
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{bin ? 'From the box, in the bin' : 'In the box'}</h1>
        {!bin && (
          <>
            <ImportTable kind="gear" owned={box.data ?? []} nothingNew="All of it is in the box already." />
            <Button tone="quiet" disabled={!box.data?.length} onClick={saveAll}>
              <Download className="size-4" aria-hidden="true" /> Export as CSV
            </Button>
          </>
        )}
        <Button tone="quiet" onClick={() => setBin(!bin)}>
          {bin ? 'Back to the box' : 'Bin'}
        </Button>
        <Button tone="strong" onClick={() => setAdding(true)}>
          <Plus className="size-4" aria-hidden="true" /> Add
        </Button>
      </div>
      {adding && <ItemPanel onClose={() => setAdding(false)} />}
      <UnreadableList unreadable={unreadable} />
      {query.error && !items ? (
        <Failed what="The box" error={query.error} onRetry={() => query.refetch()} />
      ) : !items ? (
        <Loading what="the box" />
      ) : items.length === 0 ? (
        <Empty title={bin ? 'Nothing of the box is in the bin' : 'The box is empty'}>
          {bin
            ? 'What is put here can be taken back.'
            : 'Add what you own, or take in a table: sinkers are what the day at a mark is planned with.'}
        </Empty>
      ) : (
        <BoxTable items={items} bin={bin} actions={actions} />
      )}
    </>
  )
}

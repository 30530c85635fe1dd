import { useQuery } from '@tanstack/react-query'
import { Copy, Download, Printer } from 'lucide-react'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { z } from 'zod'
import { shoppingList } from '../../../core/batch/shopping.ts'
import { sparesFor } from '../../../core/batch/spareRates.ts'
import { listQuery } from '../../api/documents.ts'
import { useBox } from '../../api/stock.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useAssurance } from '../../lessons/useAssurance.ts'
import { useTraceLosses } from '../../lessons/useTraceLosses.ts'
import { useShow } from '../../settings/preferences.tsx'
import { useKeptJson } from '../../settings/useKeptJson.ts'
import { Button, Sheet } from '../../ui/controls.tsx'
import { copyText } from '../../ui/copyText.ts'
import { download } from '../../ui/download.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { moneyWords } from '../../words/stockWords.ts'
import { PurchaseTable } from './PurchaseTable.tsx'
import { shoppingRows, shoppingText } from './shoppingText.ts'
import { useWanted } from './useWanted.ts'

const spareChoice = z.object({ hours: z.number().min(0).max(500), designs: z.array(z.string()).max(50) })
const NO_SPARES = { hours: 6, designs: [] }
const MAX_HOURS = 500

/** What to buy: for batches, spares and minimums, less what is on hand. */
export default function ShoppingScreen() {
  usePageTitle('Shopping')
  const show = useShow()
  const catalogue = useCatalogue()
  const { box, error: boxError, retry } = useBox()
  const batches = useQuery(listQuery('batches'))
  const tied = useQuery(listQuery('tied'))
  const heads = useTraceHeads().data ?? []
  const assurance = useAssurance()
  const losses = useTraceLosses()
  const [spares, setSpares] = useKeptJson('spares', spareChoice, NO_SPARES)
  const { wanted, isLoading, missing } = useWanted(batches.data?.documents ?? [], tied.data?.documents ?? [], {
    hours: spares.hours,
    designs: heads.filter(({ id }) => spares.designs.includes(id)),
    assurance,
    losses,
  })
  const list = useMemo(() => (box ? shoppingList(wanted, box, catalogue) : undefined), [wanted, box, catalogue])
  const error = boxError ?? (batches.data ? null : batches.error) ?? (tied.data ? null : tied.error)
  if (error && !list)
    return (
      <Failed
        isPage
        what="The shopping list"
        error={error}
        onRetry={() => {
          retry()
          void batches.refetch()
          void tied.refetch()
        }}
      />
    )
  if (!list || isLoading || !batches.data || !tied.data) return <Loading what="the shopping list" />
  const isEmpty = list.purchases.length === 0 && list.unowned.length === 0
  const cost = list.purchases.reduce((sum, each) => sum + (each.cost ?? 0), 0)
  const words = { catalogue, show }
  const needed = sparesFor(spares.hours, assurance, losses)
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-xl font-bold">Shopping</h1>
        <span className="no-print flex flex-wrap gap-2">
          <Button tone="quiet" disabled={isEmpty} onClick={() => copyText(shoppingText(list, words), 'The list is copied.')}>
            <Copy className="size-4" aria-hidden="true" /> Copy as text
          </Button>
          <Button tone="quiet" disabled={isEmpty} onClick={() => void saveCsv(shoppingRows(list, words))}>
            <Download className="size-4" aria-hidden="true" /> Export as CSV
          </Button>
          <Button disabled={isEmpty} onClick={() => window.print()}>
            <Printer className="size-4" aria-hidden="true" /> Print
          </Button>
        </span>
      </div>
      <Sheet title="Spares" className="no-print">
        <p className="mb-2 text-sm text-quiet">
          {losses.exposure > 0
            ? `Your log: ${losses.events} traces lost in ${show.number(losses.exposure, 0)} hours of one rod.`
            : `Assumed: ${show.plain(losses.priorEvents)} traces lost in ${show.plain(losses.priorExposure)} hours of one rod.`}{' '}
          For {show.plain(spares.hours)} hours, {needed === 1 ? '1 spare' : `${needed} spares`} of each design{' '}
          {needed === 1 ? 'is' : 'are'} enough in {show.percent(assurance)} of trips. You can change that share in Settings.
        </p>
        <div className="w-64">
          <NumberField
            label="hours fished"
            value={spares.hours}
            least={0.5}
            most={MAX_HOURS}
            onChange={(hours) => hours && setSpares({ ...spares, hours })}
          />
        </div>
        <fieldset className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
          <legend className="sr-only">Spares of</legend>
          {heads.map(({ id, content: { name } }) => (
            <label key={id} className="flex min-h-9 items-center gap-1.5" translate="no">
              <input
                type="checkbox"
                className="size-5"
                checked={spares.designs.includes(id)}
                onChange={({ target }) =>
                  setSpares({
                    ...spares,
                    designs: target.checked ? [...spares.designs, id] : spares.designs.filter((each) => each !== id),
                  })
                }
              />
              {name}
            </label>
          ))}
        </fieldset>
      </Sheet>
      {missing.length > 0 && (
        <p role="status" className="text-watch">
          The design of {missing.join(', ')} cannot be read. What it needs is not on this list.
        </p>
      )}
      {isEmpty ? (
        <p>Nothing to buy: batches, spares and minimums are covered by what is on hand.</p>
      ) : (
        <p className="text-quiet">
          {cost > 0 && `About ${moneyWords(cost, show)} in whole packs. `}Tick what you bought: it is added to the box.
        </p>
      )}
      <PurchaseTable list={list} />
      {list.uncounted.length > 0 && (
        <Sheet title="Count these first">
          <ul>
            {list.uncounted.map(({ item, why }) => (
              <li key={item.id}>
                <span translate="no">{item.gear.name}</span> <span className="text-sm text-quiet">for {why.join(', ')}</span>
              </li>
            ))}
          </ul>
          <Link to="/gear/box/count" className="no-print underline">
            Count the box
          </Link>
        </Sheet>
      )}
    </>
  )
}

async function saveCsv(rows: Record<string, string>[]) {
  const { writeCsv } = await import('../../../files/writeCsv.ts')
  download('shopping.csv', 'text/csv', writeCsv(rows))
}

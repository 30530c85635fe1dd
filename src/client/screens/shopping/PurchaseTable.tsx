import { boughtMovements, type Purchase, type ShoppingList } from '../../../core/batch/shopping.ts'
import { GEAR_KINDS } from '../../../core/documents/gear.ts'
import { useStockChange } from '../../api/stock.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { GEAR_KIND_PLURALS } from '../../words/gearWords.ts'
import { needWords } from '../../words/needWords.ts'
import { moneyWords } from '../../words/stockWords.ts'
import { packWords, reasonWords } from './shoppingText.ts'

/** What to buy by kind; what is ticked becomes stock. */
export function PurchaseTable({ list: { purchases, unowned } }: { list: ShoppingList }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const { buy, isBusy } = useBuying()
  return (
    <>
      {GEAR_KINDS.map((kind) => {
        const ofKind = purchases.filter(({ item }) => item.gear.kind === kind)
        return (
          ofKind.length > 0 && (
            <Sheet key={kind} title={GEAR_KIND_PLURALS[kind]}>
              <ul>
                {ofKind.map((purchase) => (
                  <PurchaseRow key={purchase.item.id} purchase={purchase} isBusy={isBusy} onBuy={() => buy(purchase)} />
                ))}
              </ul>
            </Sheet>
          )
        )
      })}
      {unowned.length > 0 && (
        <Sheet title="Not in the box">
          <ul>
            {unowned.map(({ need, quantity, why }) => (
              <li key={`${need.piece} ${why.join()}`} className="flex flex-wrap gap-x-3 border-rule py-1 not-first:border-t">
                <span className="mr-auto">{needWords(catalogue, need, show)}</span>
                <span className="text-sm text-quiet">{why.join(', ')}</span>
                <strong className="w-28 text-right tabular-nums">
                  {need.kind === 'line' ? show.tape(quantity) : show.plain(quantity)}
                </strong>
              </li>
            ))}
          </ul>
        </Sheet>
      )}
    </>
  )
}

type RowProps = { purchase: Purchase; isBusy: boolean; onBuy: () => void }

function PurchaseRow({ purchase, isBusy, onBuy }: RowProps) {
  const show = useShow()
  const { item, cost } = purchase
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-rule py-1 not-first:border-t">
      <span className="mr-auto min-w-40">
        <span translate="no">{item.gear.name}</span>
        <span className="block text-sm text-quiet">{reasonWords(purchase, show)}</span>
      </span>
      <strong className="text-right tabular-nums">{packWords(purchase, show)}</strong>
      <span className="w-20 text-right text-quiet tabular-nums">{cost === undefined ? '' : moneyWords(cost, show)}</span>
      <Button className="no-print" disabled={isBusy} aria-label={`Bought ${item.gear.name}`} onClick={onBuy}>
        Bought
      </Button>
    </li>
  )
}

/** Puts what was bought into the box, with a way back. By then its row is gone, and with the last one the whole list. */
function useBuying() {
  const change = useStockChange()
  const buy = ({ item, packs }: Purchase) =>
    void change
      .mutateAsync({ do: 'move', movements: boughtMovements(item, packs) })
      .then(({ ids }) =>
        toast(`“${item.gear.name}” is in the box.`, {
          action: {
            label: 'Undo',
            onClick: () => {
              for (const movementId of ids) change.mutate({ do: 'undo', movementId })
            },
          },
        }),
      )
      .catch((error: Error) => toast.error(error.message))
  return { buy, isBusy: change.isPending }
}

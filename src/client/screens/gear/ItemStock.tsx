import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Gear, packOf } from '../../../core/documents/gear.ts'
import { MAX_QUANTITY, type RecordedMovement } from '../../../shared/stock.ts'
import { itemHistoryQuery, levelsQuery, type StockChange, useStockChange } from '../../api/stock.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'
import { movedWords, quantityWords, REASON_WORDS, SPOOL_RANGE } from '../../words/stockWords.ts'

type Props = { itemId: string; item: Gear }

/** What is there of a saved item: each spool or the pieces, counted, bought and used; and every movement, with a way back. */
export function ItemStock({ itemId, item }: Props) {
  const levels = useQuery(levelsQuery)
  const change = useStockChange()
  if (levels.error && !levels.data) return <Failed what="The stock" error={levels.error} onRetry={() => levels.refetch()} />
  if (!levels.data) return <Loading what="the stock" />
  const spools = levels.data.get(itemId) ?? []
  const nextSpool = Math.max(0, ...spools.map(({ spool }) => spool)) + 1
  const isLine = item.kind === 'line'
  // A spool that is used up is listed until a new one is opened.
  const shown = isLine ? spools : [{ spool: 1, quantity: spools[0]?.quantity }]
  const pack = packOf(item)
  return (
    <section aria-label="On hand" className="grid gap-2 border-t border-rule pt-2">
      <h3 className="font-semibold">On hand</h3>
      {isLine && spools.length === 0 && <p className="text-quiet">Not counted. Add the first spool and its length.</p>}
      {shown.map(({ spool, quantity }) => (
        <CountField
          key={`${spool} ${quantity}`}
          item={item}
          label={isLine ? `spool ${spool}` : 'pieces'}
          quantity={quantity}
          isBusy={change.isPending}
          onCount={(counted) => change.mutate({ do: 'count', counts: [{ itemId, spool, counted, seen: quantity ?? null }] })}
        />
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={change.isPending}
          onClick={() =>
            change.mutate({
              do: 'move',
              movements: [{ itemId, spool: isLine ? nextSpool : 1, quantity: pack, reason: 'bought' }],
            })
          }
        >
          {isLine ? 'Add a full spool' : pack > 1 ? `Add a pack of ${pack}` : 'Add one'}
        </Button>
      </div>
      {change.error && <Fault>{change.error.message}</Fault>}
      <History itemId={itemId} item={item} isBusy={change.isPending} onUndo={(undo) => change.mutate(undo)} />
    </section>
  )
}

type CountProps = {
  item: Gear
  label: string
  quantity: number | undefined
  isBusy: boolean
  onCount: (counted: number) => void
}

/** A count of what is there, written when it is confirmed. */
function CountField({ item, label, quantity, isBusy, onCount }: CountProps) {
  const [counted, setCounted] = useState(quantity)
  const differs = counted !== undefined && counted !== quantity
  const write = () => differs && !isBusy && onCount(counted)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Enter in the field writes the count instead of saving the form around it
    <div
      className="flex items-start gap-2"
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return
        event.preventDefault()
        write()
      }}
    >
      <div className="min-w-0 flex-1">
        {item.kind === 'line' ? (
          <QuantityField
            label={label}
            quantity="length"
            valueSi={counted}
            placeholder="not counted"
            check={(m) => (m >= 0 && m <= MAX_QUANTITY ? undefined : SPOOL_RANGE)}
            onChange={setCounted}
          />
        ) : (
          <NumberField
            label={label}
            value={counted}
            whole
            least={0}
            most={MAX_QUANTITY}
            placeholder="not counted"
            onChange={setCounted}
          />
        )}
      </div>
      <Button disabled={!differs || isBusy} aria-label={`Write the count of ${label}`} onClick={write}>
        Count
      </Button>
    </div>
  )
}

type HistoryProps = Props & { isBusy: boolean; onUndo: (change: StockChange) => void }

function History({ itemId, item, isBusy, onUndo }: HistoryProps) {
  const show = useShow()
  const history = useQuery(itemHistoryQuery(itemId))
  if (history.error && !history.data)
    return <Failed what="The movements" error={history.error} onRetry={() => history.refetch()} />
  if (!history.data) return <Loading what="the movements" />
  const { movements } = history.data
  if (movements.length === 0) return null
  const undone = new Set(movements.map(({ undoes }) => undoes))
  const canUndo = ({ id, reason, quantity }: RecordedMovement) => reason !== 'undone' && quantity !== 0 && !undone.has(id)
  return (
    <details>
      <summary className="min-h-9 cursor-pointer">Movements ({movements.length})</summary>
      <ul aria-label="Movements of stock">
        {movements.map((movement) => (
          <li key={movement.id} className="flex items-center gap-3 border-t border-rule py-1 text-sm">
            <span className="w-28 text-quiet">{show.date(new Date(movement.recordedAt))}</span>
            <span className="w-20 text-right tabular-nums">{movedWords(item, movement.quantity, show)}</span>
            <span className="mr-auto">
              {undone.has(movement.id) ? <s>{REASON_WORDS[movement.reason]}</s> : REASON_WORDS[movement.reason]}
              {item.kind === 'line' && <span className="text-quiet"> · spool {movement.spool}</span>}
              {movement.note && <span className="text-quiet"> · {movement.note}</span>}
            </span>
            {canUndo(movement) && (
              <Button
                tone="quiet"
                disabled={isBusy}
                aria-label={`Undo ${REASON_WORDS[movement.reason]} ${quantityWords(item, Math.abs(movement.quantity), show)}`}
                onClick={() => onUndo({ do: 'undo', movementId: movement.id })}
              >
                Undo
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}

import type { Gear } from '../../core/documents/gear.ts'
import type { StockReason } from '../../shared/stock.ts'
import type { Show } from '../settings/show.ts'

/** So much of a thing: pieces, or a length of line. */
export const quantityWords = (item: Gear, quantity: number, show: Show): string =>
  item.kind === 'line' ? show.entered('length', quantity) : show.plain(quantity)

/** A movement with its sign. */
export const movedWords = (item: Gear, quantity: number, show: Show): string =>
  `${quantity < 0 ? '−' : '+'}${quantityWords(item, Math.abs(quantity), show)}`

export const REASON_WORDS: Record<StockReason, string> = {
  bought: 'bought',
  used: 'used',
  lost: 'lost',
  counted: 'counted',
  returned: 'given back',
  undone: 'undone',
}

/** A sum of money, in plain units. */
export const moneyWords = (amount: number, show: Show): string => show.number(amount, 2)

/** Said of a length on a spool that is negative, or more than `MAX_QUANTITY` metres. */
export const SPOOL_RANGE = 'From 0 to 1000 km.'

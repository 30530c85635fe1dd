import { MINIMUM, type Purchase, type ShoppingList } from '../../../core/batch/shopping.ts'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import { packOf } from '../../../core/documents/gear.ts'
import type { Show } from '../../settings/show.ts'
import { GEAR_KIND_NAMES } from '../../words/gearWords.ts'
import { needWords } from '../../words/needWords.ts'
import { moneyWords, quantityWords } from '../../words/stockWords.ts'

type Words = { catalogue: Catalogue; show: Show }

/** How much to buy: packs or spools, and what is in them. */
export function packWords({ item: { gear }, packs, quantity }: Purchase, show: Show): string {
  if (gear.kind === 'line') return `${packs} × ${show.entered('length', gear.lengthM)}`
  return packOf(gear) === 1 ? show.plain(quantity) : `${packs} × ${packOf(gear)}`
}

/** Why it is bought, each reason with how much it wants. */
export const reasonWords = ({ item: { gear }, reasons }: Purchase, show: Show): string =>
  reasons
    .map(({ why, quantity }) => `${why === MINIMUM ? 'to the minimum' : why} ${quantityWords(gear, ceiled(quantity), show)}`)
    .join(', ')

/** What is missing is rounded up, never down. */
const ceiled = (quantity: number) => Math.ceil(quantity * 100 - 1e-6) / 100

/** The list as rows of a table. */
export const shoppingRows = ({ purchases, unowned }: ShoppingList, { catalogue, show }: Words): Record<string, string>[] => [
  ...purchases.map((purchase) => ({
    kind: GEAR_KIND_NAMES[purchase.item.gear.kind],
    what: purchase.item.gear.name,
    buy: packWords(purchase, show),
    cost: purchase.cost === undefined ? '' : moneyWords(purchase.cost, show),
    why: reasonWords(purchase, show),
  })),
  ...unowned.map(({ need, quantity, why }) => ({
    kind: need.kind === 'line' ? 'line' : need.sample.role,
    what: needWords(catalogue, need, show),
    buy: need.kind === 'line' ? show.tape(quantity) : show.plain(quantity),
    cost: '',
    why: why.join(', '),
  })),
]

/** The list as text to send to someone. */
export const shoppingText = (list: ShoppingList, words: Words): string =>
  shoppingRows(list, words)
    .map(({ what, buy, cost }) => `- ${what}: ${buy}${cost ? ` (${cost})` : ''}`)
    .join('\n')

import { Minus, Plus } from 'lucide-react'
import { amountOf, type BoxItem } from '../../../core/batch/candidates.ts'
import { type Gear, isLow } from '../../../core/documents/gear.ts'
import { useStockChange } from '../../api/stock.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { quantityWords } from '../../words/stockWords.ts'

type Props = { item: BoxItem; onOpen: () => void }

/** What is there of an item, with one more and one less of what is counted in pieces. */
export function OnHand({ item, onOpen }: Props) {
  const show = useShow()
  const { gear, spools, id } = item
  const change = useStockChange()
  const move = (quantity: 1 | -1) =>
    change.mutate(
      { do: 'move', movements: [{ itemId: id, spool: 1, quantity, reason: quantity > 0 ? 'bought' : 'used' }] },
      { onError: (error) => toast.error(error.message) },
    )
  if (spools === undefined)
    return (
      <button
        type="button"
        className="min-h-9 text-quiet underline decoration-dotted"
        aria-label={`Count ${gear.name}`}
        onClick={onOpen}
      >
        not counted
      </button>
    )
  const amount = amountOf(item)
  const low = isLow(gear, amount)
  const words = amountWords(gear, spools.filter(({ quantity }) => quantity > 0).length, quantityWords(gear, amount, show))
  if (gear.kind === 'line')
    return (
      <button
        type="button"
        className="min-h-9 text-left underline decoration-dotted"
        aria-label={`Spools of ${gear.name}`}
        onClick={onOpen}
      >
        {words} {low && <Low />}
      </button>
    )
  return (
    <span className="flex items-center gap-1">
      <Step label={`One less ${gear.name}`} icon={<Minus className="size-4" />} disabled={amount < 1} onClick={() => move(-1)} />
      <output className="min-w-8 text-center font-semibold tabular-nums" aria-label={`${gear.name} on hand`}>
        {words}
      </output>
      <Step label={`One more ${gear.name}`} icon={<Plus className="size-4" />} onClick={() => move(1)} />
      {low && <Low />}
    </span>
  )
}

const amountWords = ({ kind }: Gear, spools: number, amount: string): string =>
  kind === 'line' && spools > 1 ? `${amount} on ${spools}` : amount

const Low = () => <strong className="text-sm text-watch">low</strong>

function Step({
  label,
  icon,
  disabled = false,
  onClick,
}: {
  label: string
  icon: React.ReactNode
  disabled?: boolean
  onClick: () => void
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="grid size-8 shrink-0 place-items-center rounded-md border border-edge bg-sheet hover:bg-well disabled:opacity-45"
    >
      {icon}
    </button>
  )
}

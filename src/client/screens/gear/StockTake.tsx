import { Minus, Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { z } from 'zod'
import type { BoxItem } from '../../../core/batch/candidates.ts'
import { GEAR_KINDS, type GearKind } from '../../../core/documents/gear.ts'
import { parseQuantity } from '../../../core/units/parseQuantity.ts'
import { MAX_QUANTITY } from '../../../shared/stock.ts'
import { shortIn, useBox, useStockChange } from '../../api/stock.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { toast } from '../../regional/toast.ts'
import { useFormats, usePreferences, useShow } from '../../settings/preferences.tsx'
import { useKeptJson } from '../../settings/useKeptJson.ts'
import { Button, buttonClass, fieldClass, Select } from '../../ui/controls.tsx'
import { Empty, Failed, Fault, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { GEAR_KIND_NAMES, gearWords } from '../../words/gearWords.ts'
import { movedWords, quantityWords, SPOOL_RANGE } from '../../words/stockWords.ts'

/** What was typed for each place of the box, kept in this browser until it is written. */
const typedCounts = z.record(z.string(), z.string())

/** A box of pieces or a spool, to be counted. */
type Place = { key: string; item: BoxItem; spool: number; seen: number | undefined }
type Counted = Place & { counted: number }

const placesOf = (item: BoxItem): Place[] => {
  const known = item.spools ?? []
  const spools = known.length > 0 ? known : [{ spool: 1, quantity: undefined }]
  return spools.map(({ spool, quantity }) => ({ key: `${item.id} ${spool}`, item, spool, seen: quantity }))
}

/** Counting the box, kind by kind: what is typed is kept, and the differences are shown before they are written. */
export default function StockTake() {
  usePageTitle('Count the box')
  const { box, error, retry } = useBox()
  const [kind, setKind] = useState<GearKind>('sinker')
  const [typed, setTyped] = useKeptJson('stocktake', typedCounts, {})
  const [isReview, setReview] = useState(false)
  const change = useStockChange()
  const read = useReadCount()
  const places = useMemo(
    () => (box ?? []).toSorted((a, b) => a.gear.name.localeCompare(b.gear.name, undefined, { numeric: true })).flatMap(placesOf),
    [box],
  )
  if (error && !box) return <Failed what="The box" error={error} onRetry={retry} />
  if (!box) return <Loading what="the box" />
  if (box.length === 0) return <Empty title="The box is empty">Add what you own first, then count it here.</Empty>
  const counted = places.flatMap((place): Counted[] => {
    const count = read(place, typed[place.key] ?? '')
    return count.ok ? [{ ...place, counted: count.value }] : []
  })
  const differing = counted.filter(({ seen, counted: count }) => seen !== count)
  const shown = places.filter(({ item }) => item.gear.kind === kind)
  const write = () =>
    change.mutate(
      {
        do: 'count',
        counts: counted.map(({ item, spool, counted: count, seen }) => ({
          itemId: item.id,
          spool,
          counted: count,
          seen: seen ?? null,
        })),
      },
      {
        onSuccess: () => {
          setTyped({})
          setReview(false)
          toast(`${counted.length === 1 ? '1 count is' : `${counted.length} counts are`} written.`)
        },
      },
    )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">Count the box</h1>
        <Link to="/gear/box" className={buttonClass('quiet')}>
          Back to the box
        </Link>
      </div>
      {isReview ? (
        <Review counted={counted} differing={differing} />
      ) : (
        <>
          <div className="w-40">
            <Select
              aria-label="Kind to count"
              value={kind}
              onChoose={setKind}
              choices={GEAR_KINDS.map((value) => ({ value, text: GEAR_KIND_NAMES[value] }))}
            />
          </div>
          {shown.length === 0 && <Empty title="None in the box">There is nothing of this kind to count.</Empty>}
          <ul aria-label="To count" className="grid gap-x-8 lg:grid-cols-2">
            {shown.map((place) => (
              <CountRow
                key={place.key}
                place={place}
                text={typed[place.key] ?? ''}
                fault={faultOf(read(place, typed[place.key] ?? ''))}
                onType={(text) => {
                  const { [place.key]: _old, ...others } = typed
                  setTyped(text.trim() === '' ? others : { ...others, [place.key]: text })
                }}
              />
            ))}
          </ul>
        </>
      )}
      {change.error && (
        <Fault>
          {change.error.message} {shortIn(change.error).length > 0 && 'Your counts are kept.'}
        </Fault>
      )}
      <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-rule bg-ground py-2">
        <p role="status" className="mr-auto">
          {counted.length} counted, {differing.length} {differing.length === 1 ? 'differs' : 'differ'}
        </p>
        {isReview ? (
          <>
            <Button onClick={() => setReview(false)}>Back to counting</Button>
            <Button tone="strong" disabled={change.isPending || counted.length === 0} onClick={write}>
              Write {counted.length === 1 ? 'it' : 'them'}
            </Button>
          </>
        ) : (
          <Button tone="strong" disabled={counted.length === 0} onClick={() => setReview(true)}>
            Look at the differences
          </Button>
        )}
      </div>
    </div>
  )
}

const faultOf = (count: ReturnType<ReturnType<typeof useReadCount>>): string | undefined =>
  count.ok || count.message === '' ? undefined : count.message

/** Reads a count: pieces, or a length of line. Nothing typed is no count and no fault. */
function useReadCount() {
  const { units } = usePreferences()
  const { decimalSign } = useFormats()
  return ({ item }: Place, text: string): { ok: true; value: number } | { ok: false; message: string } => {
    if (text.trim() === '') return { ok: false, message: '' }
    if (item.gear.kind === 'line') {
      const parsed = parseQuantity('length', text, units.length, decimalSign)
      if (!parsed.ok) return parsed
      return parsed.si >= 0 && parsed.si <= MAX_QUANTITY
        ? { ok: true, value: Math.round(parsed.si * 1000) / 1000 }
        : { ok: false, message: SPOOL_RANGE }
    }
    const count = Number(text)
    return Number.isInteger(count) && count >= 0 && count <= MAX_QUANTITY
      ? { ok: true, value: count }
      : { ok: false, message: 'Enter a whole number.' }
  }
}

type RowProps = { place: Place; text: string; fault: string | undefined; onType: (text: string) => void }

function CountRow({ place: { key, item, spool, seen }, text, fault, onType }: RowProps) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { gear } = item
  const isLine = gear.kind === 'line'
  const name = isLine && (item.spools?.length ?? 0) > 1 ? `${gear.name}, spool ${spool}` : gear.name
  const step = (by: 1 | -1) => onType(String(Math.max(0, (text.trim() === '' ? (seen ?? 0) : Number(text) || 0) + by)))
  return (
    <li className="flex flex-wrap items-center gap-2 border-t border-rule py-1.5">
      <label htmlFor={key} className="min-w-40 flex-1">
        {name}{' '}
        <span className="block text-sm text-quiet">
          {[gearWords(catalogue, gear, show), gear.keptIn].filter(Boolean).join(' · ')}
        </span>
      </label>
      <span className="ml-auto flex items-center gap-2">
        <span className="text-right text-sm whitespace-nowrap text-quiet">
          {seen === undefined ? 'not counted' : `was ${quantityWords(gear, seen, show)}`}
        </span>
        {!isLine && <ThumbButton label={`One less: ${name}`} icon={<Minus className="size-5" />} onClick={() => step(-1)} />}
        <input
          id={key}
          className={`${fieldClass} min-h-11! w-24! text-center text-lg`}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={isLine ? 'length' : 'count'}
          aria-invalid={fault ? true : undefined}
          aria-describedby={fault ? `${key} fault` : undefined}
          onChange={({ target }) => onType(target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') nextField(event.currentTarget)?.focus()
          }}
          onFocus={({ target }) => target.select()}
        />
        {!isLine && <ThumbButton label={`One more: ${name}`} icon={<Plus className="size-5" />} onClick={() => step(1)} />}
      </span>
      {fault && (
        <p id={`${key} fault`} role="alert" className="w-full text-right text-sm text-fails">
          {fault}
        </p>
      )}
    </li>
  )
}

/** The field of the next row. */
function nextField(field: HTMLInputElement): HTMLInputElement | undefined {
  const fields = [...(field.closest('ul')?.querySelectorAll('input') ?? [])]
  return fields[fields.indexOf(field) + 1]
}

const ThumbButton = ({ label, icon, onClick }: { label: string; icon: React.ReactNode; onClick: () => void }) => (
  <button
    type="button"
    aria-label={label}
    className="grid size-11 shrink-0 place-items-center rounded-md border border-edge bg-sheet hover:bg-well"
    onClick={onClick}
  >
    {icon}
  </button>
)

function Review({ counted, differing }: { counted: readonly Counted[]; differing: readonly Counted[] }) {
  const show = useShow()
  if (differing.length === 0)
    return <p>All {counted.length} counts agree with the box. Writing them stores that they were counted today.</p>
  return (
    <table className="w-full max-w-3xl" aria-label="Differences">
      <thead className="text-left text-sm text-quiet">
        <tr>
          <th className="font-normal">item</th>
          <th className="text-right font-normal">was</th>
          <th className="text-right font-normal">counted</th>
          <th className="text-right font-normal">difference</th>
        </tr>
      </thead>
      <tbody>
        {differing.map(({ key, item: { gear }, spool, seen, counted: count }) => (
          <tr key={key} className="border-t border-rule tabular-nums">
            <td className="py-1">
              {gear.name}
              {gear.kind === 'line' && <span className="text-quiet"> · spool {spool}</span>}
            </td>
            <td className="text-right">{seen === undefined ? 'not counted' : quantityWords(gear, seen, show)}</td>
            <td className="text-right">{quantityWords(gear, count, show)}</td>
            <td className="text-right font-semibold">
              {seen === undefined ? 'first count' : movedWords(gear, count - seen, show)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

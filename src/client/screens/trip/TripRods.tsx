import { useQuery } from '@tanstack/react-query'
import { Plus, X } from 'lucide-react'
import { MAX_RODS, type Trip, type TripRod } from '../../../core/documents/trip.ts'
import { listQuery, type SavedOutfit } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { Button, Field, namesOf, Select, Sheet } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'

type Props = { trip: Trip; outfits: readonly SavedOutfit[]; onChange: (rods: TripRod[]) => void }

const NONE = ''

/** The rods that go along: outfit, trace, tied trace and the first sinker. */
export function TripRods({ trip: { rods }, outfits, onChange }: Props) {
  const heads = useTraceHeads().data ?? []
  const tied = useQuery(listQuery('tied')).data?.documents ?? []
  const set = (id: string, change: Partial<TripRod>) => onChange(rods.map((rod) => (rod.id === id ? { ...rod, ...change } : rod)))
  const [firstOutfit] = outfits
  return (
    <Sheet
      title="Rods"
      aside={
        <Button
          disabled={!firstOutfit || rods.length >= MAX_RODS}
          onClick={() => firstOutfit && onChange([...rods, { id: newId(), outfitId: firstOutfit.id }])}
        >
          <Plus className="size-4" aria-hidden="true" /> Add a rod
        </Button>
      }
    >
      {rods.length === 0 && <p className="text-quiet">Add the rods you take. On the water, each has its own buttons.</p>}
      <div className="grid gap-3">
        {rods.map((rod, i) => {
          const ready = tied.filter(
            ({ content }) => content.traceId === rod.trace?.id && (content.state === 'ready' || content.state === 'onRod'),
          )
          return (
            <fieldset key={rod.id} className="grid gap-2 border-rule not-first:border-t not-first:pt-2">
              <legend className="sr-only">Rod {i + 1}</legend>
              <Field label={`rod ${i + 1}`} htmlFor={`rod-${rod.id}`}>
                <span className="flex gap-1">
                  <Select
                    id={`rod-${rod.id}`}
                    value={rod.outfitId}
                    onChoose={(outfitId) => set(rod.id, { outfitId, trace: undefined, tiedId: undefined })}
                    choices={namesOf(outfits)}
                  />
                  <Button
                    tone="quiet"
                    aria-label={`Leave rod ${i + 1} at home`}
                    onClick={() => onChange(rods.filter(({ id }) => id !== rod.id))}
                  >
                    <X className="size-4" aria-hidden="true" />
                  </Button>
                </span>
              </Field>
              <Field label="trace" htmlFor={`trace-${rod.id}`}>
                <Select
                  id={`trace-${rod.id}`}
                  value={rod.trace?.id ?? NONE}
                  onChoose={(id) => {
                    const head = heads.find((each) => each.id === id)
                    set(rod.id, { trace: head && { id, revision: head.revision }, tiedId: undefined })
                  }}
                  choices={[
                    { value: NONE, text: 'choose a trace' },
                    ...namesOf(heads.filter(({ content }) => content.outfitId === rod.outfitId)),
                  ]}
                />
              </Field>
              {ready.length > 0 && (
                <Field label="tied trace" htmlFor={`tied-${rod.id}`}>
                  <Select
                    id={`tied-${rod.id}`}
                    value={rod.tiedId ?? NONE}
                    onChoose={(id) => set(rod.id, { tiedId: id === NONE ? undefined : id })}
                    choices={[{ value: NONE, text: 'any of them' }, ...namesOf(ready)]}
                  />
                </Field>
              )}
              <QuantityField
                label="sinker"
                quantity="mass"
                valueSi={rod.sinkerKg}
                placeholder="as its trace"
                check={above(0, 50)}
                onChange={(sinkerKg) => set(rod.id, { sinkerKg })}
                onClear={() => set(rod.id, { sinkerKg: undefined })}
              />
            </fieldset>
          )
        })}
      </div>
    </Sheet>
  )
}

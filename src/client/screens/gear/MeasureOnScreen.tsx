import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { toast } from 'sonner'
import { hookDimensions } from '../../../core/catalogue/hooks.ts'
import { HOOK_PATTERN_IDS, type HookPattern } from '../../../core/catalogue/ids.ts'
import { gearSchema } from '../../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../../core/documents/versions.ts'
import { createDocument } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue.ts'
import { trueSize } from '../../charts/trueSize.ts'
import { Button, Field, Select, Sheet } from '../../ui/controls.tsx'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'

const MOST_MM = 88
const HEIGHT_MM = 25

/** A hook’s gape, or a bait, measured between two edges on the calibrated screen; a hook so measured is kept in the box. */
export function MeasureOnScreen() {
  const id = useId()
  const catalogue = useCatalogue()
  const client = useQueryClient()
  const [mm, setMm] = useState(15)
  const [pattern, setPattern] = useState<HookPattern>('j')
  const [size, setSize] = useState('2/0')
  const nominalM = hookDimensions(catalogue, pattern, size)?.gapeM ?? 0
  const name = `${size} ${catalogue.hooks.patterns[pattern].name}, measured`
  const keep = useMutation({
    mutationFn: () =>
      createDocument(
        'gear',
        gearSchema.parse({ formatVersion: GEAR_VERSION, kind: 'hook', name, pattern, size, gapeM: mm / 1000 }),
      ),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['gear'] })
      toast(`${name}: kept in the box.`)
    },
    onError: (error) => toast.error(error.message),
  })
  return (
    <Sheet title="Measure on the screen">
      <label htmlFor={id} className="mb-2 block">
        Lay a hook’s gap, or a bait, between the edges: <strong aria-live="polite">{mm.toFixed(1)} mm</strong>
      </label>
      <input
        id={id}
        type="range"
        className="w-full"
        min={1}
        max={MOST_MM}
        step={0.5}
        value={mm}
        onChange={(event) => setMm(Number(event.target.value))}
        aria-valuetext={`${mm.toFixed(1)} millimetres`}
      />
      <ScrollAcross label="Between the edges" className="my-2">
        <svg
          viewBox={`0 0 ${MOST_MM + 4} ${HEIGHT_MM}`}
          {...trueSize(MOST_MM + 4, HEIGHT_MM)}
          role="img"
          aria-label={`${mm.toFixed(1)} mm between two edges`}
          className="block text-ink"
        >
          <path d={`M2 0V${HEIGHT_MM}M${2 + mm} 0V${HEIGHT_MM}`} stroke="currentColor" strokeWidth={0.3} />
          <rect x={2} y={0} width={mm} height={HEIGHT_MM} fill="var(--spread)" opacity={0.5} />
        </svg>
      </ScrollAcross>
      <div className="grid gap-2">
        <Field label="it is a" htmlFor={`${id}-pattern`}>
          <Select
            id={`${id}-pattern`}
            value={pattern}
            choices={HOOK_PATTERN_IDS.map((each) => ({ value: each, text: catalogue.hooks.patterns[each].name }))}
            onChange={(event) => setPattern(event.target.value as HookPattern)}
          />
        </Field>
        <Field label="of size" htmlFor={`${id}-size`} hint={`nominal gape ${(nominalM * 1000).toFixed(1)} mm`}>
          <Select
            id={`${id}-size`}
            value={size}
            choices={catalogue.hooks.sizes.map((each) => ({ value: each, text: each }))}
            onChange={(event) => setSize(event.target.value)}
          />
        </Field>
        <Button onClick={() => keep.mutate()} disabled={keep.isPending}>
          Keep it in the box as measured
        </Button>
      </div>
    </Sheet>
  )
}

import { useId, useState } from 'react'
import { hookDimensions } from '../../../core/catalogue/hooks.ts'
import { BAIT_IDS, type BaitType, HOOK_PATTERN_IDS, type HookPattern } from '../../../core/catalogue/ids.ts'
import { type Gear, gearSchema } from '../../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../../core/documents/versions.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useCreate } from '../../documents/useCreation.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { trueSize } from '../../settings/trueSize.ts'
import { Button, Field, Select, Sheet } from '../../ui/controls.tsx'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'

/** Beyond the edges, so that both are seen. */
const MARGIN_MM = 2
const HOOK_HEIGHT_MM = 25
const MAX_MM = { gap: 88, length: 250, depth: 80 }

/** A hook’s gap, or a bait, measured between edges on the calibrated screen, and kept in the box. */
export function MeasureOnScreen() {
  const id = useId()
  const [what, setWhat] = useState<'hook' | 'bait'>('hook')
  return (
    <Sheet title="Measure on screen">
      <div className="grid max-w-full grid-cols-[minmax(0,1fr)] gap-2">
        <Field label="it is a" htmlFor={id}>
          <Select
            id={id}
            value={what}
            choices={[
              { value: 'hook', text: 'hook' },
              { value: 'bait', text: 'bait' },
            ]}
            onChoose={(next) => setWhat(next)}
          />
        </Field>
        {what === 'hook' ? <HookOnScreen /> : <BaitOnScreen />}
      </div>
    </Sheet>
  )
}

function HookOnScreen() {
  const show = useShow()
  const id = useId()
  const catalogue = useCatalogue()
  const [mm, setMm] = useState(15)
  const [pattern, setPattern] = useState<HookPattern>('j')
  const [size, setSize] = useState('2/0')
  const nominalM = hookDimensions(catalogue, pattern, size)?.gapeM ?? 0
  return (
    <>
      <Edge says="Lay the gap of a hook between the edges" mm={mm} most={MAX_MM.gap} onChange={setMm} />
      <Between acrossMm={mm} downMm={HOOK_HEIGHT_MM} />
      <Field label="pattern" htmlFor={`${id}-pattern`}>
        <Select
          id={`${id}-pattern`}
          value={pattern}
          choices={HOOK_PATTERN_IDS.map((each) => ({ value: each, text: catalogue.hooks.patterns[each].name }))}
          onChoose={(next) => setPattern(next)}
        />
      </Field>
      <Field label="size" htmlFor={`${id}-size`} hint={`nominal gap ${show.number(nominalM * 1000, 1)} mm`}>
        <Select
          id={`${id}-size`}
          value={size}
          choices={catalogue.hooks.sizes.map((each) => ({ value: each, text: each }))}
          onChoose={(next) => setSize(next)}
        />
      </Field>
      <Keep
        name={`${size} ${catalogue.hooks.patterns[pattern].name}`}
        measured={{ kind: 'hook', pattern, size, gapeM: mm / 1000 }}
      />
    </>
  )
}

function BaitOnScreen() {
  const id = useId()
  const { baits } = useCatalogue()
  const [lengthMm, setLengthMm] = useState(120)
  const [depthMm, setDepthMm] = useState(25)
  const [bait, setBait] = useState<BaitType>('wholePouting')
  return (
    <>
      <Edge says="Lay the length of the bait between the edges" mm={lengthMm} most={MAX_MM.length} onChange={setLengthMm} />
      <Edge says="and its depth, back to belly" mm={depthMm} most={MAX_MM.depth} onChange={setDepthMm} />
      <Between acrossMm={lengthMm} downMm={depthMm} />
      <Field label="bait" htmlFor={id}>
        <Select
          id={id}
          value={bait}
          choices={BAIT_IDS.map((each) => ({ value: each, text: baits[each].name }))}
          onChoose={(next) => setBait(next)}
        />
      </Field>
      <Keep name={baits[bait].name} measured={{ kind: 'bait', bait, lengthM: lengthMm / 1000, depthM: depthMm / 1000 }} />
    </>
  )
}

type EdgeProps = { says: string; mm: number; most: number; onChange: (mm: number) => void }

function Edge({ says, mm, most, onChange }: EdgeProps) {
  const show = useShow()
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="mb-2 block">
        {says}: <strong aria-live="polite">{show.number(mm, 1)} mm</strong>
      </label>
      <input
        id={id}
        type="range"
        className="w-full"
        min={1}
        max={most}
        step={0.5}
        value={mm}
        onChange={(event) => onChange(Number(event.target.value))}
        aria-valuetext={`${show.number(mm, 1)} millimetres`}
      />
    </div>
  )
}

/** The measure in true size. */
function Between({ acrossMm, downMm }: { acrossMm: number; downMm: number }) {
  const show = useShow()
  const wideMm = acrossMm + 2 * MARGIN_MM
  return (
    <ScrollAcross label="Between the edges" className="my-2">
      <svg
        viewBox={`0 0 ${wideMm} ${downMm}`}
        {...trueSize(wideMm, downMm)}
        role="img"
        aria-label={`${show.number(acrossMm, 1)} mm between two edges`}
        className="block text-ink"
      >
        <rect x={MARGIN_MM} y={0} width={acrossMm} height={downMm} fill="var(--spread)" opacity={0.5} />
        <path d={`M${MARGIN_MM} 0V${downMm}M${MARGIN_MM + acrossMm} 0V${downMm}`} stroke="currentColor" strokeWidth={0.3} />
      </svg>
    </ScrollAcross>
  )
}

type Measured =
  | Pick<Extract<Gear, { kind: 'hook' }>, 'kind' | 'pattern' | 'size' | 'gapeM'>
  | Pick<Extract<Gear, { kind: 'bait' }>, 'kind' | 'bait' | 'lengthM' | 'depthM'>

function Keep({ name: bare, measured }: { name: string; measured: Measured }) {
  const name = `${bare}, measured`
  const keep = useCreate('gear', {
    onMade: () => toast(`${name}: saved to the box.`),
    onError: (error) => toast.error(error.message),
  })
  return (
    <Button
      onClick={() => keep.create(gearSchema.parse({ formatVersion: GEAR_VERSION, name, ...measured }))}
      disabled={keep.isPending}
    >
      Add the measured size to the box
    </Button>
  )
}

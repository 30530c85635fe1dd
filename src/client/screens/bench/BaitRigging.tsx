import { useMemo } from 'react'
import { fitOf } from '../../../core/catalogue/hookSuggest.ts'
import { withFields } from '../../../core/edit/changes.ts'
import { moveHook } from '../../../core/edit/moveHook.ts'
import { takeDrawing } from '../../../core/layout/takeDrawing.ts'
import { judge } from '../../../core/moments/judge.ts'
import { COVERAGE } from '../../../core/moments/thresholds.ts'
import { type Baited, baitedHooks, riggingOf, riggingsFor } from '../../../core/setup/baiting.ts'
import type { Body } from '../../../core/setup/bodies.ts'
import { type Gang, gangsFor } from '../../../core/setup/gangs.ts'
import { prepareSetup } from '../../../core/setup/prepareSetup.ts'
import type { Rig, Setup } from '../../../core/setup/setup.ts'
import { percent } from '../../../core/units/percent.ts'
import { TakeChart } from '../../charts/TakeChart.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { above, within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { RIGGING_WORDS } from '../../words/riggingWords.ts'
import type { Bench } from './useBench.ts'
import type { Edits } from './useEdits.ts'

type Props = { bench: Bench; edits: Edits; rig: Rig; body: Body }

/** How a bait or soft lure is put on its hooks: drawn to scale with the hooks to be moved along it; trimmed, halved, more hooks or fewer. */
export function BaitRigging({ bench, edits, rig, body }: Props) {
  const { conditions } = bench.content
  const setup = useMemo(() => ({ ...rig, conditions }), [rig, conditions])
  const baited = useMemo(() => baitedHooks(prepareSetup(setup)).find(({ bait }) => bait.id === body.id), [setup, body.id])
  if (!baited) return null
  return <OnHooks bench={bench} edits={edits} setup={setup} baited={baited} />
}

function OnHooks({ bench, edits, setup, baited }: { bench: Bench; edits: Edits; setup: Setup; baited: Baited }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const { catalogue } = setup
  const { bait, body, hooks, gang } = baited
  const set = (change: object, tag?: string) => bench.editTrace((old) => withFields(old, bait.id, change), tag)
  const drawing = takeDrawing(catalogue, baited)
  const rigging = riggingOf(catalogue, body, bait.rigging)
  const room = { tailM: drawing.tailMm / 1000, roomM: drawing.roomMm / 1000 }
  const move = (hookId: string, byM: number) => edits.take(moveHook(setup, baited, room, hookId, byM), `${hookId} along the bait`)
  return (
    <div ref={ref} className="grid gap-2 border-t border-rule pt-2">
      <Field label="rigging" htmlFor="bait-rigging" hint={rigging && RIGGING_WORDS[rigging].does}>
        <Select
          id="bait-rigging"
          value={rigging ?? ''}
          onChoose={(next) => set({ rigging: next || undefined })}
          choices={[
            { value: '', text: 'default' },
            ...riggingsFor(catalogue, body).map((id) => ({ value: id, text: RIGGING_WORDS[id].name })),
          ]}
        />
      </Field>
      <TakeChart
        baited={baited}
        freeGape={fitOf(catalogue, baited.hook.pattern, baited.dimensions, baited.wanted).freeGape}
        widthPx={width || 300}
        onMove={move}
      />
      <QuantityField
        label="bend from tail"
        quantity="length"
        valueSi={bait.tailM}
        placeholder="in the middle"
        check={within(0, room.roomM, 'The hooks must stay in the bait.')}
        onChange={(tailM) => set({ tailM }, `${bait.id} tail`)}
        onClear={() => set({ tailM: undefined })}
        hint="last hook: drag it or use the arrow keys"
      />
      {gang && (
        <p className="text-sm text-quiet" aria-live="polite">
          The hooks span {percent(gang.coverage)} of the bait; {percent(COVERAGE.least)} to {percent(COVERAGE.most)} hold it.
        </p>
      )}
      {bait.role === 'bait' && catalogue.baitForms[body.form].live && (
        <CheckField label="alive" checked={body.alive} onChange={(alive) => set({ alive })} />
      )}
      {bait.role === 'bait' && catalogue.baits[bait.bait].spins && (
        <CheckField
          label="tail trimmed: it does not spin"
          checked={bait.trimmed ?? false}
          onChange={(trimmed) => set({ trimmed: trimmed || undefined })}
        />
      )}
      <QuantityField
        label="nail weight"
        quantity="mass"
        valueSi={bait.nailKg}
        placeholder="none"
        check={above(0, 0.5)}
        onChange={(nailKg) => set({ nailKg }, `${bait.id} nail`)}
        onClear={() => set({ nailKg: undefined })}
        hint="pushed into the bait; it sinks faster"
      />
      {bait.role === 'bait' && !body.alive && <Halved setup={setup} baited={baited} onHalve={(half) => set(half)} />}
      <MoreOrFewer gangs={gangsFor(catalogue, baited, COVERAGE)} count={hooks.length} />
    </div>
  )
}

/** What half of the bait would do: twice as many, and a longer cast. */
function Halved({ setup, baited, onHalve }: { setup: Setup; baited: Baited; onHalve: (half: object) => void }) {
  const show = useShow()
  const { bait, body } = baited
  const half = { massKg: body.massKg / 2, lengthM: body.lengthM / 2, depthM: body.depthM }
  const reach = (trace: Setup['trace']) => judge({ ...setup, trace }, ['cast']).moments.cast?.rangeM.least
  const [whole, halved] = [reach(setup.trace), reach(withFields(setup.trace, bait.id, half))]
  const farther = whole !== undefined && halved !== undefined && halved - whole >= 0.5
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button onClick={() => onHalve(half)}>Cut it in half</Button>
      <span className="text-sm text-quiet">
        Twice as many baits{farther && `, cast about ${show.computed('length', halved - whole)} farther`}.
      </span>
    </div>
  )
}

/** Few large hooks beside more small ones. */
function MoreOrFewer({ gangs, count }: { gangs: readonly Gang[]; count: number }) {
  const show = useShow()
  return (
    <details>
      <summary className="cursor-pointer py-1 text-quiet">fewer large hooks or more small ones?</summary>
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left text-quiet">
            {['hooks', 'size', 'span', 'gap free', 'weigh'].map((name) => (
              <th key={name} scope="col" className="pr-2 font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {gangs.map((gang) => (
            <tr key={gang.count} className={`border-t border-rule ${gang.count === count ? 'font-semibold' : ''}`}>
              <th scope="row" className="py-0.5 text-left font-[inherit]">
                {gang.count}
              </th>
              <td>{gang.size}</td>
              <td>
                {percent(gang.coverage)}
                {!gang.sound && gang.count > 1 && <span className="text-watch"> off</span>}
              </td>
              <td>{gang.freeGape < 0 ? 'none' : percent(gang.freeGape)}</td>
              <td>{show.computed('mass', gang.massKg)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}

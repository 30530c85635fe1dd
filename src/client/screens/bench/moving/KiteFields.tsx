import { Plus, X } from 'lucide-react'
import { type KiteBait, MAX_KITE_BAITS } from '../../../../core/documents/moving.ts'
import type { KiteWay } from '../../../../core/setup/moving/kite.ts'
import { KITE_DASHES } from '../../../charts/KiteDrawing.tsx'
import { LineSample } from '../../../charts/LineSample.tsx'
import { Button } from '../../../ui/controls.tsx'
import { within } from '../../../ui/limits.ts'
import { NumberField } from '../../../ui/NumberField.tsx'
import { QuantityField } from '../../../ui/QuantityField.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'

/** Slack as a share over the straight way: dragged finely where little of it does much. */
export function SlackField({ slack, onChange }: { slack: number; onChange: (slack: number) => void }) {
  return (
    <div>
      <NumberField
        label="slack"
        value={slack}
        least={1.001}
        most={1.3}
        hint="line from tip to ring over the straight distance"
        onChange={(next) => next !== undefined && onChange(next)}
      />
      <input
        type="range"
        aria-label="slack"
        aria-valuetext={slack.toFixed(3)}
        className="mt-1 block h-6 w-full accent-tide"
        min={1.002}
        max={1.3}
        step={0.002}
        value={slack}
        onChange={(event) => onChange(Number(Number(event.target.value).toFixed(3)))}
      />
    </div>
  )
}

/** Where the ring of each bait is, and the lead that it carries. */
export function BaitFields({
  moving: { baits },
  onChange,
}: {
  moving: KiteWay
  onChange: (change: Partial<KiteWay>, tag?: string) => void
}) {
  const change = (at: number, to: Partial<KiteBait>, tag: string) =>
    onChange({ baits: baits.map((bait, i) => (i === at ? { ...bait, ...to } : bait)) }, `${tag} ${at}`)
  const last = baits.at(-1)!
  const free = ['short', 'middle', 'long', 'other'].find((name) => baits.every((bait) => bait.name !== name)) ?? 'another'
  return (
    <>
      {baits.map((bait, i) => (
        <fieldset key={bait.name} className="grid gap-2 border-t border-rule pt-2">
          <legend className="flex items-center gap-2 font-semibold">
            <LineSample dash={KITE_DASHES[i]} />
            the {bait.name} bait
            {baits.length > 1 && (
              <Button
                tone="quiet"
                aria-label={`Remove the ${bait.name} bait`}
                onClick={() => onChange({ baits: baits.filter((_, at) => at !== i) })}
              >
                <X className="size-4" />
              </Button>
            )}
          </legend>
          <SliderField
            label={`${bait.name}: ring up`}
            quantity="length"
            valueSi={bait.ringHeightM}
            least={0.5}
            most={60}
            mostTyped={200}
            step={0.5}
            onChange={(ringHeightM) => change(i, { ringHeightM }, 'ring height')}
          />
          <SliderField
            label={`${bait.name}: ring out`}
            quantity="length"
            valueSi={bait.ringDistanceM}
            least={1}
            most={150}
            mostTyped={1000}
            step={1}
            onChange={(ringDistanceM) => change(i, { ringDistanceM }, 'ring distance')}
          />
          <QuantityField
            label={`${bait.name}: sinker`}
            quantity="mass"
            valueSi={bait.leadKg}
            placeholder="as on the trace"
            check={within(0, 2, 'From 0 to 2 kg.')}
            onChange={(leadKg) => change(i, { leadKg }, 'bait sinker')}
            onClear={() =>
              onChange({
                baits: baits.map((each, at) => {
                  const { leadKg: _cleared, ...rest } = each
                  return at === i ? rest : each
                }),
              })
            }
          />
        </fieldset>
      ))}
      {baits.length < MAX_KITE_BAITS && (
        <Button
          onClick={() =>
            onChange({
              baits: [...baits, { name: free, ringHeightM: last.ringHeightM + 5, ringDistanceM: last.ringDistanceM + 20 }],
            })
          }
        >
          <Plus className="size-4" /> Add a bait
        </Button>
      )}
    </>
  )
}

import { Slider } from 'radix-ui'
import { leverNamed } from '../../../core/analysis/levers.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Select, Sheet } from '../../ui/controls.tsx'
import { leverValueWords } from '../../words/leverWords.ts'
import type { Side } from './side.ts'

export type WhatIfSetting = { lever: string; factor: number }

const LEVERS = [
  { value: 'dragN', text: 'drag setting' },
  { value: 'lineOutM', text: 'line out' },
  { value: 'leader', text: 'leader strength' },
  { value: 'sinker', text: 'sinker weight' },
]

type Props = { setting: WhatIfSetting; onChange: (setting: WhatIfSetting) => void; sides: Side[]; supposed: Side[] }

/** One value of every trace made smaller or larger together, and all that follows drawn again. */
export function WhatIf({ setting: { lever, factor }, onChange, sides, supposed }: Props) {
  const show = useShow()
  const shownOf = (side: Side) => {
    const found = leverNamed(side.setup, MOMENT_NAMES, lever)
    return found ? leverValueWords(found, show) : 'not on this trace'
  }
  return (
    <Sheet title="What if">
      <div className="grid items-center gap-x-4 gap-y-2 md:grid-cols-[14rem_minmax(0,1fr)_auto_auto]">
        <Select
          aria-label="Value to change"
          value={lever}
          onChoose={(next) => onChange({ lever: next, factor: 1 })}
          choices={LEVERS}
        />
        <Slider.Root
          className="relative flex h-9 touch-none items-center select-none"
          min={50}
          max={200}
          step={1}
          value={[Math.round(factor * 100)]}
          onValueChange={([percent = 100]) => onChange({ lever, factor: percent / 100 })}
        >
          <Slider.Track className="relative h-1.5 grow rounded-full bg-rule">
            <Slider.Range className="absolute h-full rounded-full bg-tide" />
          </Slider.Track>
          <Slider.Thumb aria-label="Percent of its value" className="block size-6 rounded-full border-2 border-tide bg-sheet" />
        </Slider.Root>
        <output className="w-16 text-right font-semibold">{Math.round(factor * 100)} %</output>
        <Button onClick={() => onChange({ lever, factor: 1 })} disabled={factor === 1}>
          Reset
        </Button>
      </div>
      <p className="mt-2 text-sm text-quiet">
        {sides
          .map((side, i) => `${side.title}: ${shownOf(side)}${factor === 1 ? '' : ` → ${shownOf(supposed[i] ?? side)}`}`)
          .join('; ')}
      </p>
    </Sheet>
  )
}

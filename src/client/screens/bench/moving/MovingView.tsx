import { ArrowLeft } from 'lucide-react'
import { memo } from 'react'
import { type Moving, type MovingWay, usualMoving } from '../../../../core/documents/moving.ts'
import { waysFor } from '../../../../core/setup/moving/ways.ts'
import type { PreparedSetup } from '../../../../core/setup/prepareSetup.ts'
import { Button, Sheet } from '../../../ui/controls.tsx'
import { MOVING_WORDS } from '../../../words/movingWords.ts'
import type { Bench } from '../useBench.ts'
import { KiteView } from './KiteView.tsx'
import { RetrievedView } from './RetrievedView.tsx'
import { TrolledView } from './TrolledView.tsx'

type Props = { bench: Bench; setup: PreparedSetup; sinkersKg: readonly number[]; onBack: () => void }

/** How the line of a trace moves while it fishes: what that does, with the values that do it beside their charts. */
export const MovingView = memo(function MovingView({ bench, setup, sinkersKg, onBack }: Props) {
  const { trace, conditions } = bench.content
  const { moving } = conditions
  const ways = waysFor(trace, conditions)
  const offered: MovingWay[] = moving && !ways.includes(moving.way) ? [...ways, moving.way] : ways
  const set = (next: Moving | undefined, tag?: string) => bench.editConditions({ moving: next }, tag)
  return (
    <section aria-label="Line movement" className="grid grid-cols-[minmax(0,1fr)] gap-2" onBlur={bench.settle}>
      <div className="flex flex-wrap items-center gap-2">
        <Button onClick={onBack}>
          <ArrowLeft className="size-4" /> Bench
        </Button>
        <h2 className="text-lg font-bold">Line movement</h2>
        <fieldset className="flex flex-wrap gap-1">
          <legend className="sr-only">Line movement</legend>
          {offered.map((way) => (
            <Button
              key={way}
              tone={moving?.way === way ? 'strong' : 'plain'}
              aria-pressed={moving?.way === way}
              onClick={() => moving?.way !== way && set(usualMoving(way))}
            >
              {MOVING_WORDS[way]}
            </Button>
          ))}
          {moving && (
            <Button tone="quiet" onClick={() => set(undefined)}>
              with the current
            </Button>
          )}
        </fieldset>
      </div>
      {!moving ? (
        <Sheet>
          <p>
            {offered.length === 0
              ? 'This trace has no lure to tow or retrieve and no clip ring for a kite. Its line only moves with the current.'
              : 'Choose above how it is fished. Its depth, rate or sinker is then judged too.'}
          </p>
        </Sheet>
      ) : moving.way === 'trolled' ? (
        <TrolledView setup={setup} moving={moving} onChange={set} bench={bench} />
      ) : moving.way === 'retrieved' ? (
        <RetrievedView setup={setup} moving={moving} onChange={set} bench={bench} />
      ) : (
        <KiteView setup={setup} moving={moving} onChange={set} sinkersKg={sinkersKg} />
      )}
    </section>
  )
})

import { useQuery } from '@tanstack/react-query'
import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import { CAST_STYLE_IDS, LANDING_IDS } from '../../../core/catalogue/ids.ts'
import { CLARITIES, type Conditions, LIGHTS, ROD_HELD } from '../../../core/documents/conditions.ts'
import { givenFish } from '../../../core/setup/conditionsForFish.ts'
import { givenDrag } from '../../../core/setup/drag.ts'
import { waysFor } from '../../../core/setup/moving/ways.ts'
import { nextDragN } from '../../../core/units/dragSteps.ts'
import { percent } from '../../../core/units/percent.ts'
import { fishQuery } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, namesOf, Select, Sheet } from '../../ui/controls.tsx'
import { above, notBelow, within } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { castName } from '../../words/castWords.ts'
import { MOVING_WORDS } from '../../words/movingWords.ts'
import { CLARITY_WORDS, LIGHT_WORDS } from '../../words/purposeWords.ts'
import { ROD_HELD_WORDS } from '../../words/rushWords.ts'
import type { Bench } from './useBench.ts'
import { WaterFields } from './WaterFields.tsx'

/** What the trace is judged under: drag and where it was measured, line out, cast, and how full the spool is. */
type Props = { bench: Bench; evaluation: Evaluation | undefined; onMoving: () => void }

export function ConditionsPanel({ bench, evaluation, onMoving }: Props) {
  const show = useShow()
  const { units } = usePreferences()
  const { conditions } = bench.content
  const set = (change: Partial<Conditions>, tag?: string) => bench.editConditions(change, tag)
  const spool = evaluation?.setup.spool
  const run = evaluation?.moments.run
  const catalogue = useCatalogue()
  const fish = useQuery(fishQuery).data ?? []
  return (
    <Sheet title="Conditions" aside={run && <span>highest safe drag {show.computed('strength', run.dragCeilingN)}</span>}>
      <div role="group" aria-label="Conditions" className="grid gap-2" onBlur={bench.settle}>
        <QuantityField
          label="drag setting"
          quantity="strength"
          valueSi={evaluation?.setup.conditions.dragN ?? conditions.dragN}
          check={above(0, 5_000)}
          onChange={(dragN) => set(givenDrag(dragN), 'drag')}
          step={(dragN, direction) => nextDragN(dragN, direction, units.strength)}
          {...(conditions.dragAssumed ? { hint: 'assumed: follows the trace' } : {})}
        />
        <Field label="measured" htmlFor="drag-measured">
          <Select
            id="drag-measured"
            value={conditions.dragMeasuredAt}
            onChoose={(next) => set({ dragMeasuredAt: next })}
            choices={[
              { value: 'reel', text: 'straight from the reel' },
              { value: 'tip', text: 'at the rod tip' },
            ]}
          />
        </Field>
        <QuantityField
          label="line out"
          quantity="length"
          valueSi={conditions.lineOutM}
          check={notBelow(5_000)}
          onChange={(lineOutM) => set({ lineOutM }, 'line out')}
          step={(lineOutM, direction) => Math.max(0, lineOutM + direction * 10)}
        />
        <Field label="cast" htmlFor="cast-style">
          <Select
            id="cast-style"
            value={conditions.castStyle}
            onChoose={(next) => set({ castStyle: next })}
            choices={CAST_STYLE_IDS.map((style) => ({ value: style, text: castName(catalogue, style) }))}
          />
        </Field>
        <QuantityField
          label="fish speed"
          quantity="speed"
          valueSi={conditions.fishSpeedMperS}
          check={notBelow(25)}
          onChange={(fishSpeedMperS) => set({ fishSpeedMperS }, 'fish speed')}
        />
        <Field label="rod in a sudden run" htmlFor="rod-held" hint="before the spool turns">
          <Select
            id="rod-held"
            value={conditions.rodHeld}
            onChoose={(next) => set({ rodHeld: next })}
            choices={ROD_HELD.map((held) => ({ value: held, text: ROD_HELD_WORDS[held] }))}
          />
        </Field>
        {fish.length > 0 && (
          <Field label="fish" htmlFor="made-for-fish" hint="sets the weight landed and the mouth">
            <Select
              id="made-for-fish"
              value={fish.some(({ id }) => id === bench.content.fishId) ? bench.content.fishId : ''}
              onChoose={(next) => bench.chooseFish(fish.find(({ id }) => id === next))}
              choices={[{ value: '', text: 'no fish' }, ...namesOf(fish)]}
            />
          </Field>
        )}
        <Field label="water" htmlFor="water-clarity">
          <Select
            id="water-clarity"
            value={conditions.clarity ?? ''}
            onChoose={(next) => set({ clarity: CLARITIES.find((id) => id === next) })}
            choices={[{ value: '', text: 'unknown' }, ...CLARITIES.map((id) => ({ value: id, text: CLARITY_WORDS[id] }))]}
          />
        </Field>
        <Field label="time" htmlFor="time-of-day">
          <Select
            id="time-of-day"
            value={conditions.light ?? ''}
            onChoose={(next) => set({ light: LIGHTS.find((id) => id === next) })}
            choices={[{ value: '', text: 'unknown' }, ...LIGHTS.map((id) => ({ value: id, text: LIGHT_WORDS[id] }))]}
          />
        </Field>
        <QuantityField
          label="fish landed"
          quantity="fish"
          valueSi={conditions.fishMassKg}
          check={above(0, 1_000)}
          onChange={(fishMassKg) => set(givenFish(fishMassKg), 'fish')}
          {...(conditions.fishAssumed ? { hint: 'assumed: what this outfit lifts easily' } : {})}
        />
        <QuantityField
          label="mouth width"
          quantity="diameter"
          valueSi={conditions.mouthWidthM}
          placeholder="unknown"
          check={within(0.001, 2, 'From 1 mm to 2 m.')}
          onChange={(mouthWidthM) => set({ mouthWidthM }, 'mouth')}
          onClear={() => set({ mouthWidthM: undefined }, 'mouth')}
        />
        <Field label="landing" htmlFor="landing">
          <Select
            id="landing"
            value={conditions.landing}
            onChoose={(next) => set({ landing: next })}
            choices={LANDING_IDS.map((landing) => ({ value: landing, text: catalogue.landings[landing].name }))}
          />
        </Field>
        <QuantityField
          label="freeboard"
          quantity="length"
          valueSi={conditions.freeboardM}
          check={notBelow(50)}
          onChange={(freeboardM) => set({ freeboardM }, 'freeboard')}
          hint="feet above the water"
        />
        <CheckField label="line is wet" checked={conditions.wet} onChange={(checked) => set({ wet: checked })} />
        <WaterFields bench={bench} />
        {(conditions.moving || waysFor(bench.content.trace, conditions).length > 0) && (
          <Button onClick={onMoving}>
            {conditions.moving ? `Line movement: ${MOVING_WORDS[conditions.moving.way]}` : 'Line movement'}
          </Button>
        )}
        {spool && (
          <p className="text-sm text-quiet">
            Spool {percent(spool.fillShare)} full; the drag has grown {show.number(spool.dragGrowth, 2)}× with this line out.
          </p>
        )}
      </div>
    </Sheet>
  )
}

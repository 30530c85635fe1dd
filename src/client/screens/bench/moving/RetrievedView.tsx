import { useMemo } from 'react'
import { tried } from '../../../../core/analysis/judged.ts'
import type { Moving, SwimsAt } from '../../../../core/documents/moving.ts'
import { linePerTurnM } from '../../../../core/outfits/outfitLines.ts'
import { type Fall, fallOf } from '../../../../core/setup/moving/fall.ts'
import {
  bedAtM,
  keptShare,
  type RetrievedWay,
  type RetrievePoint,
  retrieve,
  TURNS,
  tipOverWaterM,
} from '../../../../core/setup/moving/retrieved.ts'
import { type Tow, towOf } from '../../../../core/setup/moving/tow.ts'
import type { PreparedSetup } from '../../../../core/setup/prepareSetup.ts'
import { capital } from '../../../../core/units/capital.ts'
import { percent } from '../../../../core/units/percent.ts'
import { CurveChart } from '../../../charts/CurveChart.tsx'
import { LineSample } from '../../../charts/LineSample.tsx'
import { useAxis } from '../../../charts/useAxis.ts'
import { LengthCounts } from '../../../fishing/LengthCounts.tsx'
import { useShow } from '../../../settings/preferences.tsx'
import type { Show } from '../../../settings/show.ts'
import { CheckField } from '../../../ui/CheckField.tsx'
import { Field, Select, Sheet } from '../../../ui/controls.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'
import { useWidth } from '../../../ui/useWidth.ts'
import type { Bench } from '../useBench.ts'
import { Beside, SwimsAtField, WaterDepthField } from './MovingFields.tsx'
import { Trouble } from './Trouble.tsx'

type Props = {
  bench: Bench
  setup: PreparedSetup
  moving: RetrievedWay
  onChange: (next: Moving, tag?: string) => void
}

const UPPER: SwimsAt = { from: 'surface', m: 1 }

/** A lure wound in: the rate that keeps it where it is meant to swim, all the way, for one water or two. */
export function RetrievedView({ bench, setup, moving, onChange }: Props) {
  const set = (change: Partial<RetrievedWay>, tag?: string) => onChange({ ...moving, ...change }, tag)
  const { trace, outfit, catalogue } = setup
  const tow = useMemo(() => tried(() => towOf({ trace, outfit, catalogue })), [trace, outfit, catalogue])
  return (
    <Beside
      fields={
        <>
          <SliderField
            label="line out"
            quantity="length"
            valueSi={moving.lineOutM}
            least={2}
            most={120}
            mostTyped={1000}
            step={1}
            hint="when the retrieve begins"
            onChange={(lineOutM) => set({ lineOutM }, 'retrieve line out')}
          />
          <SwimsAtField
            label="target depth"
            id="swims-at"
            value={moving.swimsAt}
            onChange={(swimsAt) => set({ swimsAt }, 'swims at')}
          />
          <CheckField
            label="second plan"
            checked={moving.otherAt !== undefined}
            onChange={(checked) => set({ otherAt: checked ? UPPER : undefined })}
          />
          {moving.otherAt && (
            <SwimsAtField
              label="second"
              id="other-at"
              value={moving.otherAt}
              onChange={(otherAt) => set({ otherAt }, 'second swims at')}
            />
          )}
          <WaterDepthField
            bench={bench}
            label="depth where it lands"
            valueSi={moving.waterM}
            onChange={(waterM) => set({ waterM }, 'water')}
          />
          <SliderField
            label="depth under the rod"
            quantity="depth"
            valueSi={moving.nearWaterM}
            least={0.5}
            most={60}
            mostTyped={2000}
            step={0.5}
            onChange={(nearWaterM) => set({ nearWaterM }, 'near water')}
          />
          <Field label="rod tip" htmlFor="rod-tip">
            <Select
              id="rod-tip"
              value={moving.rodTip}
              onChoose={(next) => set({ rodTip: next })}
              choices={[
                { value: 'low', text: 'low, at the water' },
                { value: 'high', text: 'high' },
              ]}
            />
          </Field>
          <NumberField
            label="pause, s"
            value={moving.pauseS}
            least={0}
            most={60}
            onChange={(pauseS) => pauseS !== undefined && set({ pauseS }, 'pause')}
          />
        </>
      }
    >
      {tow.ok ? <WoundIn setup={setup} tow={tow.value} moving={moving} /> : <Trouble message={tow.message} />}
    </Beside>
  )
}

type Plan = { name: string; swimsAt: SwimsAt; points: RetrievePoint[] }

type WoundProps = { setup: PreparedSetup; tow: Tow; moving: RetrievedWay }

function WoundIn({ setup, tow, moving }: WoundProps) {
  const show = useShow()
  const plans = useMemo(
    () =>
      tried((): Plan[] => {
        const { swimsAt, otherAt } = moving
        const moved = setup.moved()
        const first = { name: otherAt ? 'first' : 'plan', swimsAt, points: moved?.way === 'retrieved' ? moved.points : [] }
        return otherAt ? [first, { name: 'second', swimsAt: otherAt, points: retrieve(setup, tow, moving, otherAt) }] : [first]
      }),
    [setup, tow, moving],
  )
  const fall = useMemo(() => fallOf(setup, tow), [setup, tow])
  if (!plans.ok) return <Trouble message={plans.message} />
  const { gearRatio } = setup.outfit.reel
  const outM = Math.min(moving.lineOutM, tow.mostM) - tow.traceM
  const turnM = linePerTurnM(setup.catalogue, setup.outfit, Math.max(0, outM))
  return (
    <>
      <Sheet title="Its path in">
        {plans.value.map((plan, i) => (
          <p key={plan.name} className="mb-1">
            {plans.value.length > 1 && <LineSample second={i > 0} />}
            {planWords(plan, moving, fall, show)}
          </p>
        ))}
        <PathChart plans={plans.value} moving={moving} />
        <p className="text-sm text-quiet">
          One turn of the handle brings in {show.computed('length', turnM)} there
          {gearRatio === undefined ? ' (nominal gear ratio)' : ''}; the tip is{' '}
          {show.computed('length', tipOverWaterM(setup, moving))} above the water. Estimates for still water and a steady rate.
        </p>
        <LengthCounts rig={setup} lengthM={moving.lineOutM} label="Line out:" />
      </Sheet>
      <Sheet title="Retrieve rate">
        <RateChart plans={plans.value} moving={moving} />
        <RateTable plans={plans.value} fall={fall} pauseS={moving.pauseS} />
      </Sheet>
    </>
  )
}

/** A plan in a sentence or two: the count before winding, the rate, and how much of the way it holds. */
function planWords(
  { name, points, swimsAt }: Plan,
  { waterM, pauseS }: RetrievedWay,
  fall: Fall | undefined,
  show: Show,
): string {
  const [first] = points
  if (!first) return ''
  const called =
    name === 'plan'
      ? ''
      : `The ${name} plan, ${show.entered('length', swimsAt.m)} ${swimsAt.from === 'bed' ? 'above the bottom' : 'under the surface'}: `
  const count =
    fall === undefined
      ? 'it floats, so retrieve at once; '
      : first.wantedM > 0
        ? `count ${Math.round(fall.timeToS(Math.min(first.wantedM, waterM)))} s down, then `
        : ''
  const rate =
    first.off === 'tooShallow'
      ? `even at ${TURNS.least} turns a second it stays above its depth`
      : first.off === 'tooDeep'
        ? `even at ${TURNS.most} turns a second it is below its depth`
        : `start with ${show.number(first.turnsPerS, 1)} turns a second`
  const kept = `; it stays there for ${percent(keptShare(points))} of the way`
  const pause = fall && pauseS > 0 ? pauseWords(fall, first, pauseS, show) : ''
  return capital(`${called}${count}${rate}${kept}${pause}.`)
}

/** What a pause does where winding begins: so far down, or on to the bed. */
function pauseWords(fall: Fall, { depthM, bedM }: RetrievePoint, pauseS: number, show: Show): string {
  const dropM = fall.dropM(Math.max(depthM, 0.5), pauseS)
  return `. In a pause of ${pauseS} s it ${dropM < bedM - depthM ? `falls ${show.depth(dropM)}` : 'sinks to the bottom'}`
}

function PathChart({ plans, moving }: { plans: Plan[]; moving: RetrievedWay }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const axis = useAxis()
  const mostM = Math.max(...plans.flatMap(({ points }) => points.map(({ awayM }) => awayM)), 1)
  const deepM = Math.max(moving.waterM, moving.nearWaterM)
  const bed = [0, mostM].map((x) => ({ x, y: bedAtM(moving, x) }))
  return (
    <div ref={ref} style={{ minHeight: 200 }}>
      {width > 0 && (
        <CurveChart
          curves={plans.flatMap(({ name, points }, i) => [
            { id: `${name} meant`, look: 'meant' as const, points: points.map(({ awayM: x, wantedM: y }) => ({ x, y })) },
            {
              id: name,
              look: i === 0 ? ('first' as const) : ('second' as const),
              points: points.map(({ awayM: x, depthM: y }) => ({ x, y })),
            },
          ])}
          span={{ x: [0, mostM], y: [0, 1.1 * deepM], down: true }}
          x={axis('from the rod', 'length')}
          y={axis('depth', 'length')}
          bed={bed}
          width={width}
          height={200}
          summary="The path of the lure to the rod, above the bottom. Dotted: target depth."
        />
      )}
    </div>
  )
}

function RateChart({ plans, moving }: { plans: Plan[]; moving: RetrievedWay }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const axis = useAxis()
  const fastest = Math.max(...plans.flatMap(({ points }) => points.map(({ turnsPerS }) => turnsPerS)), 1)
  return (
    <div ref={ref} style={{ minHeight: 140 }}>
      {width > 0 && (
        <CurveChart
          curves={plans.map(({ name, points }, i) => ({
            id: name,
            look: i === 0 ? ('first' as const) : ('second' as const),
            points: points.map(({ lineOutM: x, turnsPerS: y }) => ({ x, y })),
          }))}
          span={{ x: [0, Math.max(moving.lineOutM, 1)], y: [0, 1.15 * fastest] }}
          x={axis('line out', 'length')}
          y={{ name: 'turns of the handle', unit: 'a second', factor: 1 }}
          width={width}
          height={140}
          summary="Turns of the handle a second by line out."
        />
      )}
    </div>
  )
}

/** The same at a few places, to be read on the water. */
function RateTable({ plans, fall, pauseS }: { plans: Plan[]; fall: Fall | undefined; pauseS: number }) {
  const show = useShow()
  return (
    <table className="w-full text-sm">
      <caption className="sr-only">Retrieve rate by line out</caption>
      <thead>
        <tr className="text-quiet">
          {['plan', 'line out', 'depth', 'turns a second', 'speed', `sinks in ${pauseS} s`].map((head) => (
            <th key={head} scope="col" className="text-right font-normal first:text-left">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {plans.flatMap(({ name, points }) =>
          [0, 0.33, 0.67, 0.93].map((share) => {
            const point = points[Math.round(share * (points.length - 1))]!
            return (
              <tr key={`${name} ${share}`} className="border-t border-rule">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {name}
                </th>
                <td className="text-right">{show.entered('length', Math.round(point.lineOutM))}</td>
                <td className="text-right">{show.depth(point.depthM)}</td>
                <td className={`text-right ${point.off ? 'text-watch' : ''}`}>
                  {point.off === 'tooShallow'
                    ? 'too shallow'
                    : point.off === 'tooDeep'
                      ? 'too deep'
                      : show.number(point.turnsPerS, 1)}
                </td>
                <td className="text-right">{show.computed('speed', point.speedMperS)}</td>
                <td className="text-right">
                  {fall
                    ? show.depth(Math.min(fall.dropM(Math.max(point.depthM, 0.5), pauseS), point.bedM - point.depthM))
                    : 'floats'}
                </td>
              </tr>
            )
          }),
        )}
      </tbody>
    </table>
  )
}

import { useMemo } from 'react'
import { tried } from '../../../../core/analysis/judged.ts'
import { lineDiameterM } from '../../../../core/catalogue/materials.ts'
import type { Moving } from '../../../../core/documents/moving.ts'
import { pieceNamed } from '../../../../core/documents/pieces.ts'
import { strikeWhileTowed } from '../../../../core/moments/towedStrike.ts'
import { freeLine } from '../../../../core/outfits/outfitLines.ts'
import { fallOf, runsOffS } from '../../../../core/setup/moving/fall.ts'
import { type Tow, towOf } from '../../../../core/setup/moving/tow.ts'
import {
  deepestOf,
  depthByLineOut,
  leastWaterM,
  lineOutFor,
  type TrolledWay,
  trolledAt,
  wantedDepthM,
} from '../../../../core/setup/moving/trolled.ts'
import { pieceName } from '../../../../core/setup/names.ts'
import type { PreparedSetup } from '../../../../core/setup/prepareSetup.ts'
import type { Setup } from '../../../../core/setup/setup.ts'
import { CurveChart } from '../../../charts/CurveChart.tsx'
import { useAxis } from '../../../charts/useAxis.ts'
import { LengthCounts } from '../../../fishing/LengthCounts.tsx'
import { useShow } from '../../../settings/preferences.tsx'
import { Button, Sheet } from '../../../ui/controls.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'
import { useWidth } from '../../../ui/useWidth.ts'
import type { Bench } from '../useBench.ts'
import { BesideFields } from './BesideFields.tsx'
import { CourseFields } from './CourseFields.tsx'
import { Beside, SwimsAtField, WaterDepthField } from './MovingFields.tsx'
import { SideBySide } from './SideBySide.tsx'
import { Trouble } from './Trouble.tsx'

type Props = { bench: Bench; setup: PreparedSetup; moving: TrolledWay; onChange: (next: Moving, tag?: string) => void }

/** A trace towed behind a boat: how deep by line out, over the bed of its mark and way, and beside another line. */
export function TrolledView({ bench, setup, moving, onChange }: Props) {
  const set = (change: Partial<TrolledWay>, tag?: string) => onChange({ ...moving, ...change }, tag)
  const { trace, outfit, catalogue } = setup
  const rig = useMemo(() => ({ trace, outfit, catalogue }), [trace, outfit, catalogue])
  const tow = useMemo(() => tried(() => towOf(rig)), [rig])
  return (
    <Beside
      fields={
        <>
          <SliderField
            label="boat speed"
            quantity="speed"
            valueSi={moving.speedMperS}
            least={0.2}
            most={4}
            mostTyped={10}
            step={0.05}
            hint="through the water"
            onChange={(speedMperS) => set({ speedMperS }, 'boat speed')}
          />
          <SliderField
            label="line out"
            quantity="length"
            valueSi={moving.lineOutM}
            least={1}
            most={120}
            mostTyped={1000}
            step={1}
            hint="in the water, to the lure"
            onChange={(lineOutM) => set({ lineOutM }, 'trolled line out')}
          />
          <SwimsAtField
            label="target depth"
            id="swims-at"
            value={moving.swimsAt}
            onChange={(swimsAt) => set({ swimsAt }, 'swims at')}
          />
          <WaterDepthField bench={bench} label="water" valueSi={moving.waterM} onChange={(waterM) => set({ waterM }, 'water')} />
          <CourseFields
            course={moving.course ?? []}
            onChange={(course) => set({ course: course.length > 0 ? course : undefined })}
          />
          <BesideFields moving={moving} legs={trace.pieces.filter(({ role }) => role === 'lure').length > 1} onChange={set} />
        </>
      }
    >
      {tow.ok ? (
        <Towing setup={setup} tow={tow.value} moving={moving} onLineOut={(lineOutM) => set({ lineOutM })} />
      ) : (
        <Trouble message={tow.message} />
      )}
    </Beside>
  )
}

type TowingProps = { setup: PreparedSetup; tow: Tow; moving: TrolledWay; onLineOut: (lineOutM: number) => void }

function Towing({ setup, tow, moving, onLineOut }: TowingProps) {
  const show = useShow()
  const { speedMperS, lineOutM, swimsAt } = moving
  const waterM = leastWaterM(moving)
  const wantedM = wantedDepthM(swimsAt, waterM)
  const now = useMemo(
    () =>
      tried(() => {
        const moved = setup.moved()
        return moved?.way === 'trolled' ? moved.towed : undefined
      }),
    [setup],
  )
  const neededM = useMemo(() => lineOutFor(tow, speedMperS, wantedM), [tow, speedMperS, wantedM])
  const fall = useMemo(() => fallOf(setup, tow), [setup, tow])
  if (!now.ok) return <Trouble message={now.message} />
  const towed = now.value
  const deepest = towed && deepestOf(towed.places)
  if (!deepest) return <Trouble message="Nothing hangs on the line." />
  return (
    <>
      <Sheet title="Depth by line out">
        <p className="mb-1">
          With {show.computed('length', lineOutM)} out at {show.computed('speed', speedMperS)} the{' '}
          {pieceName(pieceNamed(setup.trace, deepest.id))} swims <strong>{show.depth(deepest.depthM)} down</strong>,{' '}
          {deepest.depthM >= waterM ? (
            <strong className="text-fails">on the bottom</strong>
          ) : (
            <>{show.depth(waterM - deepest.depthM)} above the bottom</>
          )}
          .
        </p>
        <DepthChart tow={tow} moving={moving} waterM={waterM} wantedM={wantedM} at={{ x: lineOutM, y: deepest.depthM }} />
        <p className="mt-1 flex flex-wrap items-center gap-2">
          {neededM === undefined ? (
            <span className="text-watch">
              {wantedM > deepest.depthM ? 'No line on the reel takes it' : 'The trace alone runs deeper than'}{' '}
              {show.depth(wantedM)}{' '}
              {wantedM > deepest.depthM
                ? 'down at this speed. Go slower, heavier or thinner.'
                : 'at this speed. Go faster or lighter.'}
            </span>
          ) : (
            <>
              <span>
                For {show.depth(wantedM)} let out <strong>{show.entered('length', Math.round(neededM))}</strong>
              </span>
              {Math.round(neededM) !== Math.round(lineOutM) && (
                <Button onClick={() => onLineOut(Math.max(1, Math.round(neededM)))}>Use this line out</Button>
              )}
            </>
          )}
        </p>
        <LengthCounts rig={setup} lengthM={lineOutM} label="Line out:" />
        <p className="text-sm text-quiet">
          In free spool it runs off in about {runsOffS(lineOutM, speedMperS, fall, deepest.depthM).toFixed(0)} s. Estimates for
          still water, a straight course and a fixed drag area. Try it over a bottom you know.
        </p>
        <Thickness tow={tow} moving={moving} setup={setup} />
        <TowingDrag setup={setup} moving={moving} towN={towed.topTensionN} />
      </Sheet>
      {(moving.course?.length ?? 0) > 1 && <Course moving={moving} depthM={deepest.depthM} />}
      <SideBySide setup={setup} tow={tow} moving={moving} />
    </>
  )
}

type DepthProps = { tow: Tow; moving: TrolledWay; waterM: number; wantedM: number; at: { x: number; y: number } }

function DepthChart({ tow, moving: { speedMperS, lineOutM }, waterM, wantedM, at }: DepthProps) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const show = useShow()
  const axis = useAxis()
  const mostM = Math.max(60, 20 * Math.ceil((1.2 * lineOutM) / 20))
  const points = useMemo(() => depthByLineOut(tow, speedMperS, mostM), [tow, speedMperS, mostM])
  const topM = Math.max(1.15 * Math.min(waterM, 3 * Math.max(at.y, wantedM, 1)), 1.1 * at.y, 1.1 * wantedM, 2)
  return (
    <div ref={ref} style={{ minHeight: 200 }}>
      {width > 0 && (
        <CurveChart
          curves={[{ id: 'depth', look: 'first', points: points.map(({ lineOutM: x, depthM: y }) => ({ x, y })) }]}
          span={{ x: [0, mostM], y: [0, topM], down: true }}
          x={axis('line out', 'length')}
          y={axis('depth', 'length')}
          {...(waterM <= topM
            ? {
                bed: [
                  { x: 0, y: waterM },
                  { x: mostM, y: waterM },
                ],
              }
            : {})}
          marks={[
            { id: 'meant', y: wantedM, text: `target: ${show.depth(wantedM)}` },
            { id: 'now', ...at, text: show.depth(at.y) },
          ]}
          width={width}
          height={200}
          summary={`Depth by line out at this speed: ${show.depth(at.y)} with ${show.computed('length', lineOutM)} out; target ${show.depth(wantedM)}, bottom at ${show.depth(waterM)}.`}
        />
      )}
    </div>
  )
}

const THICKNESSES = [0.7, 1.4] as const

/** What a thinner and a thicker main line would make of it, as metres of depth. */
function Thickness({ tow, moving, setup }: { tow: Tow; moving: TrolledWay; setup: Setup }) {
  const show = useShow()
  const line = freeLine(setup.outfit)
  const diameterM = lineDiameterM(setup.catalogue, line)
  const worked = useMemo(
    () =>
      tried(() => {
        const depth = (times: number) => deepestOf(trolledAt(tow, moving, 1, times).places)?.depthM ?? 0
        return { now: depth(1), others: THICKNESSES.map((times) => ({ times, depthM: depth(times) })) }
      }),
    [tow, moving],
  )
  if (!worked.ok) return null
  return (
    <p className="mt-1 text-sm">
      <span className="font-semibold">Thinner or thicker line:</span>{' '}
      {worked.value.others
        .map(({ times, depthM }) => {
          const by = depthM - worked.value.now
          return `${show.computed('diameter', times * diameterM)} of line instead of ${show.computed('diameter', diameterM)} runs ${show.depth(Math.abs(by))} ${by > 0 ? 'deeper' : 'shallower'}`
        })
        .join('; ')}
      .
    </p>
  )
}

/** The drag between what the tow takes and what the chain holds as a fish takes it, the water’s drag on the line counted. */
function TowingDrag({ setup, moving, towN }: { setup: Setup; moving: TrolledWay; towN: number }) {
  const show = useShow()
  const run = useMemo(() => strikeWhileTowed(setup, moving), [setup, moving])
  if (!run) return null
  const { dragN } = setup.conditions
  const ceilingN = run.dragCeilingN
  const trouble = dragN <= towN ? 'the tow pulls line off the reel' : dragN > ceilingN ? 'more than the chain holds' : undefined
  return (
    <p className="mt-1 text-sm">
      <span className="font-semibold">Drag while towing:</span> over {show.computed('strength', towN)} for the tow, up to{' '}
      {show.computed('strength', ceilingN)} when a fish takes it. Water drag on the line is{' '}
      {show.computed('strength', run.waterDragN)} of that. It is set to {show.computed('strength', dragN)}
      {trouble ? <strong className="text-watch">: {trouble}.</strong> : '.'}
    </p>
  )
}

/** The bed along the boat’s way, and the depth at which the lure passes over it. */
function Course({ moving: { course = [], swimsAt }, depthM }: { moving: TrolledWay; depthM: number }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const show = useShow()
  const axis = useAxis()
  const sorted = course.toSorted((a, b) => a.alongM - b.alongM)
  const [first, last] = [sorted[0]!, sorted.at(-1)!]
  const deepM = Math.max(...sorted.map((row) => row.depthM))
  const touches = sorted.filter((row) => row.depthM <= depthM)
  const meant = sorted.map(({ alongM: x, depthM: waterM }) => ({ x, y: wantedDepthM(swimsAt, waterM) }))
  const words =
    touches.length > 0
      ? `It touches the bottom from about ${show.entered('length', touches[0]!.alongM)}.`
      : `It clears the bottom all the way, by ${show.depth(Math.min(...sorted.map((row) => row.depthM)) - depthM)} at least.`
  return (
    <Sheet title="Along the route">
      <div ref={ref} style={{ minHeight: 160 }}>
        {width > 0 && (
          <CurveChart
            curves={[
              { id: 'meant', look: 'meant', points: meant },
              {
                id: 'lure',
                look: 'first',
                points: [
                  { x: first.alongM, y: depthM },
                  { x: last.alongM, y: depthM },
                ],
              },
            ]}
            span={{
              x: [first.alongM, Math.max(last.alongM, first.alongM + 1)],
              y: [0, 1.15 * Math.max(deepM, depthM)],
              down: true,
            }}
            x={axis('along the way', 'length')}
            y={axis('depth', 'length')}
            bed={sorted.map(({ alongM: x, depthM: y }) => ({ x, y }))}
            width={width}
            height={160}
            summary={`The bottom along the route. ${words}`}
          />
        )}
      </div>
      <p className={`text-sm ${touches.length > 0 ? 'font-semibold text-fails' : ''}`}>{words} Dotted: target depth.</p>
    </Sheet>
  )
}

import { Tabs } from 'radix-ui'
import { useCallback, useMemo, useState } from 'react'
import { layOutProfile } from '../../../core/layout/profile.ts'
import type { Evaluation } from '../../../core/moments/evaluate.ts'
import type { SnagPath } from '../../../core/moments/snag.ts'
import { pieceName } from '../../../core/trace/names.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import { ridesOn } from '../../../core/trace/redraw/along.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { formatComputed } from '../../../core/units/formatQuantity.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { Reach, type ReachAction } from '../../charts/Reach.tsx'
import { type LoadLine, StrengthProfile } from '../../charts/StrengthProfile.tsx'
import { useReach } from '../../charts/useReach.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { useStable } from '../../ui/useStable.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { linkName } from '../../words/names.ts'
import { EditBar } from './EditBar.tsx'
import type { Redraw } from './useRedraw.ts'

type Props = {
  trace: Trace
  outfit: Outfit
  evaluation: Evaluation | undefined
  path: SnagPath | undefined
  dragN: number
  selected: string
  onSelect: (id: string) => void
  onEnd: (end: string) => void
  redraw: Redraw
  onSettle: () => void
}

const PROFILE_HEIGHT = 190

/** The reach, and under it, part by part, the strength of the chosen path with the loads across it. */
export function StrengthView({ trace, outfit, evaluation, path, dragN, selected, onSelect, onEnd, redraw, onSettle }: Props) {
  const show = useShow()
  const { units } = usePreferences()
  const [trueScale, setTrueScale] = useState(false)
  const { ref, width } = useWidth<HTMLDivElement>()
  const { label, labelWidth, layout } = useReach(trace, outfit, width, show, trueScale)
  const loads = useMemo(() => loadsOf(evaluation, path, dragN), [evaluation, path, dragN])
  const unitN = QUANTITIES.strength.units[units.strength as 'lb' | 'kg' | 'N']
  const profile = useMemo(
    () =>
      path &&
      layOutProfile(path.links, path.first, layout, {
        height: PROFILE_HEIGHT,
        padTop: 20,
        padBottom: 12,
        loadsN: loads.map(({ forceN }) => forceN),
        tickUnitN: unitN,
      }),
    [path, layout, loads, unitN],
  )
  const weakest = profile?.steps.find((step) => step.weakest)
  const name = useCallback((id: string) => linkName(trace, outfit, id), [trace, outfit])
  const rides = useCallback((id: string) => ridingLine(trace, id), [trace])
  const select = useStable(onSelect)
  const slide = useStable(redraw.slideTo)
  const slid = useStable(onSettle)
  const onKey = useStable((action: ReachAction) => KEYS[action](redraw))
  const ends = trace.pieces.filter(({ id }) => evaluation?.snag?.paths.some(({ end }) => end === id))

  return (
    <Tabs.Root asChild value={path?.end ?? ''} onValueChange={onEnd} activationMode="automatic">
      <section className="rounded-lg border border-rule bg-sheet" aria-label="Reach and strength profile">
        <div className="flex flex-wrap items-center justify-between gap-x-4 px-3 pt-2 text-sm">
          <Tabs.List className="flex flex-wrap gap-1" aria-label="Strength to which end">
            {ends.map((piece) => (
              <Tabs.Trigger
                key={piece.id}
                value={piece.id}
                className="rounded-md px-2 py-1 text-quiet data-[state=active]:bg-well data-[state=active]:font-semibold data-[state=active]:text-ink"
              >
                to {pieceName(piece)}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <EditBar trace={trace} outfit={outfit} selected={selected} redraw={redraw} />
          <label className="flex items-center gap-1.5 text-quiet">
            <input
              type="checkbox"
              className="size-4"
              checked={trueScale}
              onChange={(event) => setTrueScale(event.target.checked)}
            />
            true scale
            {width > 0 && layout.metresPerUnit !== undefined && <ScaleBar metresPerUnit={layout.metresPerUnit} />}
          </label>
        </div>
        <Tabs.Content value={path?.end ?? ''} tabIndex={-1} ref={ref} className="mx-3 overflow-x-auto" data-drawing>
          {width > 0 && (
            <>
              <Reach
                trace={trace}
                outfit={outfit}
                layout={layout}
                label={label}
                labelWidth={labelWidth}
                name={name}
                selected={selected}
                weakest={weakest?.id}
                onSelect={select}
                rides={rides}
                onSlide={slide}
                onSlid={slid}
                onKey={onKey}
              />
              {profile && (
                <StrengthProfile
                  layout={profile}
                  width={layout.width}
                  height={PROFILE_HEIGHT}
                  loads={loads}
                  selected={selected}
                  onSelect={onSelect}
                  name={name}
                  format={(forceN) => formatComputed('strength', forceN, units.strength).value.replace(/\.0$/, '')}
                  unit={units.strength}
                  summary={
                    weakest
                      ? `Strength profile: the weakest link is ${name(weakest.id)} at ${show.computed('strength', weakest.strengthN)}`
                      : ''
                  }
                />
              )}
            </>
          )}
        </Tabs.Content>
      </section>
    </Tabs.Root>
  )
}

const KEYS: Record<ReachAction, (redraw: Redraw) => void> = {
  add: (redraw) => redraw.ask('add'),
  remove: (redraw) => redraw.remove(),
  nudgeToReel: (redraw) => redraw.nudge('reel'),
  nudgeToHook: (redraw) => redraw.nudge('hook'),
}

function ridingLine(trace: Trace, id: string): string | undefined {
  const piece = trace.pieces.find((each) => each.id === id)
  return piece && ridesOn(piece)
}

function loadsOf(evaluation: Evaluation | undefined, path: SnagPath | undefined, dragN: number): LoadLine[] {
  const peakN = evaluation?.run?.paths[0]?.drag.peakN
  const onCastPath = evaluation?.cast && evaluation.cast.end === path?.end
  return [
    ...(peakN === undefined ? [] : [{ name: 'peak in a run', forceN: peakN, tone: 'watch' as const }]),
    { name: 'drag as set', forceN: dragN, tone: 'tide' as const },
    ...(onCastPath ? [{ name: 'peak of the cast', forceN: evaluation.cast!.peakN, tone: 'watch' as const }] : []),
  ]
}

function ScaleBar({ metresPerUnit }: { metresPerUnit: number }) {
  const show = useShow()
  const rough = metresPerUnit * 90
  const power = 10 ** Math.floor(Math.log10(rough))
  const lengthM = ([5, 2, 1].find((multiple) => multiple * power <= rough) ?? 1) * power
  return (
    <span className="inline-flex items-center gap-1">
      <svg width={lengthM / metresPerUnit + 2} height={10} aria-hidden="true">
        <path d={`M1 1v8M1 5h${lengthM / metresPerUnit}m0-4v8`} stroke="currentColor" fill="none" strokeWidth={1.5} />
      </svg>
      {show.entered('length', lengthM)}
    </span>
  )
}

import { Tabs } from 'radix-ui'
import { memo, useCallback, useMemo, useState } from 'react'
import { type LinkRef, linkKey, pieceIdOf } from '../../../core/documents/linkRef.ts'
import { pieceById } from '../../../core/documents/pieces.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { ridesOn } from '../../../core/edit/along.ts'
import { layOutProfile } from '../../../core/layout/profile.ts'
import type { Moments } from '../../../core/moments/moments.ts'
import { pieceName } from '../../../core/setup/names.ts'
import type { EndPath } from '../../../core/setup/prepareSetup.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { formatComputed } from '../../../core/units/formatQuantity.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { Reach, type ReachAction } from '../../charts/Reach.tsx'
import { type LoadLine, StrengthProfile } from '../../charts/StrengthProfile.tsx'
import { useReach } from '../../charts/useReach.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { useStableCallback } from '../../ui/useStableCallback.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { linkName } from '../../words/names.ts'
import { EditBar } from './EditBar.tsx'
import type { Edits } from './useEdits.ts'

type Props = {
  rig: Setup
  /** To each end; none where the trace does not hold together. */
  paths: readonly EndPath[]
  /** What was last said of it, for the loads. */
  moments: Moments | undefined
  path: EndPath | undefined
  selected: LinkRef
  onSelect: (ref: LinkRef) => void
  onEnd: (end: string) => void
  edits: Edits
  onSettle: () => void
}

const PROFILE_HEIGHT = 148

/** The reach, and under it, part by part, the strength of the chosen path with the loads across it. */
export const StrengthView = memo(function StrengthView({
  rig,
  paths,
  moments,
  path,
  selected,
  onSelect,
  onEnd,
  edits,
  onSettle,
}: Props) {
  const { trace, outfit } = rig
  const { conditions } = rig
  const dragN = (conditions.dragAssumed ? moments?.run?.dragN : undefined) ?? conditions.dragN
  const chosen = linkKey(selected)
  const show = useShow()
  const { units } = usePreferences()
  const [trueScale, setTrueScale] = useState(false)
  const { ref, width } = useWidth<HTMLDivElement>()
  const { label, labelWidth, layout } = useReach(rig, width, show, trueScale, pieceIdOf(selected), path?.end.id)
  const loads = useMemo(() => loadsOf(moments, path?.end.id, dragN), [moments, path?.end.id, dragN])
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
  const name = useCallback((ref: LinkRef) => linkName(rig, ref), [rig])
  const rides = useCallback((ref: LinkRef) => ridingLine(trace, ref), [trace])
  const select = useStableCallback(onSelect)
  const slide = useStableCallback(edits.slideTo)
  const slid = useStableCallback(onSettle)
  const onKey = useStableCallback((action: ReachAction) => KEYS[action](edits))

  return (
    <Tabs.Root asChild value={path?.end.id ?? ''} onValueChange={onEnd} activationMode="automatic">
      <section className="rounded-lg border border-rule bg-sheet" aria-label="Reach and strength profile">
        <div className="flex flex-wrap items-center justify-between gap-x-4 px-3 pt-2 text-sm">
          <Tabs.List className="flex flex-wrap gap-1" aria-label="Path to show">
            {paths.map(({ end: piece }) => (
              <EndTab key={piece.id} id={piece.id} name={pieceName(piece)} />
            ))}
          </Tabs.List>
          <EditBar rig={rig} selected={selected} edits={edits} />
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
        <Tabs.Content value={path?.end.id ?? ''} tabIndex={-1} ref={ref} className="mx-3 overflow-x-auto" data-drawing>
          {width > 0 && (
            <>
              <Reach
                trace={trace}
                outfit={outfit}
                layout={layout}
                label={label}
                labelWidth={labelWidth}
                name={name}
                selected={chosen}
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
                  selected={chosen}
                  onSelect={select}
                  name={name}
                  format={(forceN) => formatComputed('strength', forceN, units.strength).value.replace(/\.0$/, '')}
                  unit={units.strength}
                  summary={
                    weakest
                      ? `Strength profile: the weakest link is ${name(weakest.ref)} at ${show.computed('strength', weakest.strengthN)}`
                      : ''
                  }
                />
              )}
            </>
          )}
        </Tabs.Content>
        {layout.width > width && width > 0 && (
          <p className="px-3 pb-1 text-right text-sm text-quiet">More to the right: scroll the drawing →</p>
        )}
      </section>
    </Tabs.Root>
  )
})

const EndTab = memo(function EndTab({ id, name }: { id: string; name: string }) {
  return (
    <Tabs.Trigger
      value={id}
      className="rounded-md px-2 py-1 text-quiet data-[state=active]:bg-well data-[state=active]:font-semibold data-[state=active]:text-ink"
    >
      to {name}
    </Tabs.Trigger>
  )
})

const KEYS: Record<ReachAction, (redraw: Edits) => void> = {
  add: (redraw) => redraw.ask('add'),
  remove: (redraw) => redraw.remove(),
  nudgeToReel: (redraw) => redraw.nudge('reel'),
  nudgeToHook: (redraw) => redraw.nudge('hook'),
}

function ridingLine(trace: Trace, ref: LinkRef): string | undefined {
  const piece = ref.at === 'piece' ? pieceById(trace, ref.id) : undefined
  return piece && ridesOn(piece)
}

function loadsOf(moments: Moments | undefined, end: string | undefined, dragN: number): LoadLine[] {
  const { run, cast } = moments ?? {}
  const peakN = run?.paths[0]?.drag.peakN
  return [
    ...(peakN === undefined ? [] : [{ name: 'run, up to', forceN: peakN, tone: 'watch' as const }]),
    { name: 'drag setting', forceN: dragN, tone: 'tide' as const },
    ...(cast && cast.carrier === end ? [{ name: 'cast, up to', forceN: cast.peakN, tone: 'watch' as const }] : []),
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

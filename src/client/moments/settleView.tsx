import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useMemo } from 'react'
import { pieceNamed } from '../../core/documents/pieces.ts'
import type { Trace } from '../../core/documents/trace.ts'
import { GRAVITY_M_PER_S2 } from '../../core/math/constants.ts'
import type { Holding, Settle } from '../../core/moments/settle.ts'
import { fishingModeOf } from '../../core/setup/fishingMode.ts'
import { pieceName } from '../../core/setup/names.ts'
import { bestBow } from '../../core/setup/settling/bestBow.ts'
import type { Settling } from '../../core/setup/settling/settling.ts'
import type { Twist } from '../../core/setup/settling/twist.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { percent } from '../../core/units/percent.ts'
import { roundedUpKg } from '../../core/units/roundedUp.ts'
import { sinkersQuery } from '../api/documents.ts'
import { useShow } from '../settings/preferences.tsx'
import type { Show } from '../settings/show.ts'
import { MOVING_WORDS, movedFigure, movedWords } from '../words/movingWords.ts'
import type { MomentView, Wording } from './momentView.ts'

/** The drawing is fetched once it is looked at: lists show verdicts only. */
const LineInWater = lazy(async () => ({ default: (await import('./LineInWater.tsx')).LineInWater }))

export const SETTLE_VIEW: MomentView<Settle> = {
  rule: () =>
    'To hold: the sinker against the lightest that holds in the strongest current, times the reserve of the method. Enough for two thirds of that current is watch. Swell and weed need more. Under a float: the load against the float. Free or worked: how deep it fishes. Towed or retrieved: whether it swims at its target depth. Under a kite: the sinkers against the gusts.',
  absent: ({ trace }) =>
    fishingModeOf(trace) === undefined
      ? 'Choose how the end fishes, under Conditions.'
      : 'Choose a mark, or add depth and current.',
  figure: figureWords,
  decides: ({ settling, sinkS, moved }, { catalogue }) =>
    settling
      ? `${catalogue.methods[settling.water.method].name}; ${sinkS === undefined ? 'does not sink' : `sinks in ${sinkS.toFixed(0)} s`}`
      : MOVING_WORDS[moved.way],
  inputs: {
    method: 'method',
    weightThatHolds: 'sinker',
    depth: 'depth',
    streamAtPeak: 'strongest current',
    drift: 'drift',
    distance: 'distance',
    grip: 'grip on the bottom',
    scope: 'line out over the straight distance',
    lineDiameter: 'line diameter',
    weedFactor: 'weed on the line',
    baitDragArea: 'bait’s drag area',
    leastThatHolds: 'lightest that holds',
    reserve: 'reserve',
    holdsToStream: 'holds up to a current of',
    timeToSink: 'time to sink',
    floatBears: 'float carries',
    underFloat: 'weight in water below it',
    lineOutFree: 'line out',
    sinksToStream: 'reaches the bottom up to a current of',
    boatSpeed: 'boat speed through the water',
    lineOutTrolled: 'line out',
    depthMeant: 'target depth',
    swimsAt: 'swims at',
    leastWater: 'shallowest water',
    pullOfLine: 'line load at the rod',
    windingSpeed: 'retrieve rate at first',
    keptShare: 'at its depth for',
    wind: 'wind',
    slackOfLine: 'line to the ring over the straight distance',
    leadCarried: 'sinker carried',
    leadInWind: 'sinker needed in the wind',
    leadInGusts: 'sinker needed in gusts',
  },
  words: ({ catalogue }) => Object.fromEntries(Object.entries(catalogue.methods).map(([id, { name }]) => [id, name])),
  Why: SettleWhy,
}

const VIEW_HEIGHT = 220

/** What is wanted, the next weight owned, the stream it holds to, the line's true shape, and what makes up the drag. */
function SettleWhy({ result: settle, setup }: { result: Settle; setup: Setup }) {
  const show = useShow()
  if (settle.moved)
    return (
      <div className="mb-3 grid gap-2 text-sm">
        <p>{movedWords(settle.moved, show)}</p>
        {settle.twists.map((twist) => (
          <p key={twist.id}>{twistWords(setup.trace, twist, show)}</p>
        ))}
      </div>
    )
  return <InWaterWhy result={settle} />
}

type InWater = Extract<Settle, { settling: Settling }>

function InWaterWhy({ result: settle }: { result: InWater }) {
  const show = useShow()
  const owned = useQuery(sinkersQuery).data ?? []
  const { settling, holding, falling, twists } = settle
  const next = owned
    .filter(({ shape }) => shape === settling.weight.shape)
    .map(({ massKg }) => massKg)
    .filter((massKg) => holding?.wantedKg !== undefined && massKg >= holding.wantedKg)
  const bow = useMemo(() => (holding ? bestBow(settling) : undefined), [holding, settling])
  const lines = useMemo(() => [{ name: 'this line', settling }], [settling])
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        {fishesWords(settle, show)}
        {next.length > 0 && ` The next sinker of this shape in your box: ${show.entered('mass', Math.min(...next))}.`}
      </p>
      {bow && holding && (
        <p>
          With {show.number(bow.scope, 2)} times the straight distance of line out,{' '}
          {show.computed('mass', bow.neededKg * holding.reserve)} are needed; more line saves little.
        </p>
      )}
      {falling && (
        <p>
          Released together, the lower sinker sinks at {show.computed('speed', falling.lower.speedMperS)}, the upper at{' '}
          {show.computed('speed', falling.upper.speedMperS)}:{' '}
          {falling.lower.speedMperS > falling.upper.speedMperS ? 'they stay apart.' : 'they tangle.'}
        </p>
      )}
      {twists.map((twist) => (
        <p key={twist.id}>{twistWords(settling.trace, twist, show)}</p>
      ))}
      {(settle.holding || settle.free?.reachesBed) && (
        <Suspense fallback={<div style={{ height: VIEW_HEIGHT }} />}>
          <LineInWater lines={lines} height={VIEW_HEIGHT} />
        </Suspense>
      )}
    </div>
  )
}

/** What takes the twist of what spins. */
function twistWords(trace: Trace, { id, swivel }: Twist, show: Show): string {
  const spins = `The ${pieceName(pieceNamed(trace, id))} spins`
  if (!swivel) return `${spins}, and no swivel takes the twist, so the line twists.`
  const away = `${show.computed('length', swivel.awayM)} above it`
  const by = `the ${pieceName(pieceNamed(trace, swivel.id))} ${away}`
  return swivel.takes ? `${spins}; ${by} takes the twist.` : `${spins}, and ${by} does not take the twist.`
}

/** A depth as far as it is known: to half a metre, from ten metres on to one. */
function depthWords(depthM: number, show: Show, quantity: 'depth' | 'length' = 'depth'): string {
  const step = depthM < 10 ? 0.5 : 1
  return show.entered(quantity, Math.round(depthM / step) * step)
}

function figureWords({ settling, holding, onFloat, free, moved }: Settle, { show, sinkersKg }: Wording): string {
  if (moved) return movedFigure(moved, show)
  if (onFloat) return `The load is ${percent(onFloat.loadN / onFloat.bearsN)} of what the float carries.`
  if (free) return free.reachesBed ? 'It reaches the bottom.' : `It fishes ${depthWords(free.depthM, show)} down.`
  const has = `Sinker ${show.computed('mass', settling.weight.massKg)}`
  if (holding?.wantedKg === undefined) return `${has}; none holds.`
  const needed = (kg: number) => show.entered('mass', roundedUpKg(usefulKg(kg, holding, sinkersKg)))
  const { atNeaps } = holding
  if (!atNeaps) return `${has}, needed ${needed(holding.wantedKg)}.`
  const neaps = atNeaps.wantedKg === undefined ? 'at neaps none holds' : `neaps ${needed(atNeaps.wantedKg)}`
  return `${has}; springs need ${needed(holding.wantedKg)}, ${neaps}.`
}

/** A sinker that is of use: no lighter than the cast asks for, nor than the smallest that is owned. */
const usefulKg = (kg: number, { toReachKg = 0 }: Holding, sinkersKg: readonly number[] = []): number =>
  Math.max(kg, toReachKg, sinkersKg.length > 0 ? Math.min(...sinkersKg) : 0)

/** What comes of how it is meant to fish, in a sentence or two. */
function fishesWords({ holding, onFloat, free, settling }: InWater, show: Show): string {
  if (onFloat)
    return `The float carries ${show.computed('mass', onFloat.bearsN / GRAVITY_M_PER_S2)} before it sinks; the parts below weigh ${show.computed('mass', onFloat.loadN / GRAVITY_M_PER_S2)} in water.`
  if (free) {
    const line = `With ${depthWords(free.lineOutM, show, 'length')} of line out`
    const depth = free.reachesBed
      ? `${line} it reaches the bottom`
      : `${line} it fishes ${depthWords(free.depthM, show)} down of ${show.entered('depth', settling.water.depthM)}`
    return free.sinksToMperS === undefined
      ? `${depth}.`
      : `${depth}. It reaches the bottom in a current up to ${show.computed('speed', free.sinksToMperS)}.`
  }
  return holding ? wantedWords(holding, show) : ''
}

function wantedWords(holding: Holding, show: Show): string {
  const { neededKg, wantedKg, reserve, trouble, holdsToMperS, atNeaps, toReachKg = 0 } = holding
  if (neededKg === undefined || wantedKg === undefined) return `No sinker holds: ${trouble}.`
  const least =
    wantedKg < toReachKg
      ? `Any sinker holds that reaches this far: ${show.entered('mass', roundedUpKg(toReachKg))}.`
      : `In the strongest current ${show.computed('mass', neededKg)} holds in a calm sea; with a reserve of ${show.plain(reserve)} for swell and swing, use ${show.entered('mass', roundedUpKg(wantedKg))}.`
  const holdsTo = holdsToMperS === undefined ? '' : ` This sinker holds up to ${show.computed('speed', holdsToMperS)}.`
  const neaps =
    atNeaps === undefined
      ? ''
      : ` At neaps the current reaches ${show.computed('speed', atNeaps.streamMperS)}${atNeaps.wantedKg === undefined ? ', and none holds.' : `: use ${show.entered('mass', roundedUpKg(Math.max(atNeaps.wantedKg, toReachKg)))}.`}`
  return `${least}${holdsTo}${neaps}`
}

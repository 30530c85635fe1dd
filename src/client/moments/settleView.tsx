import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useMemo } from 'react'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { Settle } from '../../core/moments/settle.ts'
import { pieceName } from '../../core/setup/names.ts'
import type { Twist } from '../../core/setup/settling/twist.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { sinkersQuery } from '../api/documents.ts'
import { type Show, useShow } from '../settings/preferences.tsx'
import type { MomentView } from './momentView.ts'

/** The drawing is fetched once it is looked at: lists show verdicts only. */
const LineInWater = lazy(async () => ({ default: (await import('./LineInWater.tsx')).LineInWater }))

export const SETTLE_VIEW: MomentView<Settle> = {
  name: 'Settle',
  rule: 'The sinker against the least that holds at the stream’s peak, times the method’s reserve. Down to what holds at two thirds of the peak it is to be watched: it holds part of the tide. Still water: swell and weed want more.',
  absent: 'Say the depth and the stream below, for a trace with a sinker.',
  figure: ({ settling: { weight }, wantedKg }, { show }) => {
    const has = show.computed('mass', weight.massKg)
    return wantedKg === undefined ? `${has}; none would hold` : `${has}, ${show.computed('mass', wantedKg)} wanted`
  },
  decides: ({ settling: { water }, sinkS }, { catalogue }) =>
    `${catalogue.methods[water.method].name}; ${sinkS === undefined ? 'does not sink' : `sinks in ${sinkS.toFixed(0)} s`}`,
  inputs: {
    method: 'method',
    weightThatHolds: 'weight that holds',
    depth: 'depth',
    streamAtPeak: 'stream at its peak',
    drift: 'drift',
    distance: 'distance',
    grip: 'grip on the bed',
    scope: 'scope',
    lineDiameter: 'line’s thickness',
    weedFactor: 'weed on the line',
    baitDragArea: 'bait’s drag area',
    leastThatHolds: 'least that holds',
    reserve: 'reserve',
    holdsToStream: 'holds up to a stream of',
    timeToSink: 'time to sink',
  },
  words: ({ catalogue }) => Object.fromEntries(Object.entries(catalogue.methods).map(([id, { name }]) => [id, name])),
  Why: SettleWhy,
}

const VIEW_HEIGHT = 220

/** What is wanted, the next weight owned, the stream it holds to, the line's true shape, and what makes up the drag. */
function SettleWhy({ result: settle, setup: { catalogue } }: { result: Settle; setup: Setup }) {
  const show = useShow()
  const owned = useQuery(sinkersQuery).data ?? []
  const { settling, holdsToMperS, falling, twists } = settle
  const next = owned
    .filter(({ shape }) => shape === settling.weight.shape)
    .map(({ massKg }) => massKg)
    .filter((massKg) => settle.wantedKg !== undefined && massKg >= settle.wantedKg)
  const lines = useMemo(() => [{ name: 'this line', settling }], [settling])
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        {wantedWords(settle, show)}
        {next.length > 0 && ` The next of this shape that you own: ${show.entered('mass', Math.min(...next))}.`}
        {holdsToMperS !== undefined && ` As it is, it holds up to ${show.computed('speed', holdsToMperS)}.`}
      </p>
      {falling && (
        <p>
          Let go together, the lower weight sinks at {show.computed('speed', falling.lower.speedMperS)}, the upper at{' '}
          {show.computed('speed', falling.upper.speedMperS)}:{' '}
          {falling.lower.speedMperS > falling.upper.speedMperS ? 'they stay apart.' : 'they foul.'}
        </p>
      )}
      {twists.map((twist) => (
        <p key={twist.hookId}>{twistWords(catalogue, twist, show)}</p>
      ))}
      <Suspense fallback={<div style={{ height: VIEW_HEIGHT }} />}>
        <LineInWater lines={lines} height={VIEW_HEIGHT} />
      </Suspense>
    </div>
  )
}

/** What takes the twist of a bait that spins. */
function twistWords({ baits }: Catalogue, { bait, swivel }: Twist, show: Show): string {
  const spins = `The ${baits[bait].name} spins in the stream`
  if (!swivel) return `${spins}, and no swivel takes the twist: it goes into the leader.`
  const away = `${show.computed('length', swivel.awayM)} above it`
  return swivel.ballBearing
    ? `${spins}; a ball-bearing swivel ${away} takes the twist.`
    : `${spins}; the ${pieceName(swivel)} ${away} takes the twist, a ball-bearing one would turn under load.`
}

function wantedWords({ neededKg, wantedKg, reserve, trouble }: Settle, show: Show): string {
  return neededKg === undefined || wantedKg === undefined
    ? `No weight was found that holds: ${trouble}.`
    : `At the stream’s peak ${show.computed('mass', neededKg)} hold in still water; with a reserve of ${reserve} for swell and swing, ${show.computed('mass', wantedKg)} are wanted.`
}

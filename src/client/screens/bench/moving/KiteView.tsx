import { useMemo } from 'react'
import { nextLabelN } from '../../../../core/catalogue/labels.ts'
import type { Moving } from '../../../../core/documents/moving.ts'
import { isLine } from '../../../../core/documents/pieces.ts'
import { mainLine } from '../../../../core/outfits/outfitLines.ts'
import { tipHeightM } from '../../../../core/setup/lineWanted.ts'
import {
  carriedKgOf,
  type FlownBait,
  GUST,
  gustLeadKg,
  hungKg,
  isTold,
  KITE_FLIES_FROM_MPERS,
  type KiteWay,
  kiteLineOutM,
  mostWindMperS,
  onMainLine,
  ownedFor,
  ringLoadN,
} from '../../../../core/setup/moving/kite.ts'
import type { PreparedSetup } from '../../../../core/setup/prepareSetup.ts'
import type { Setup } from '../../../../core/setup/setup.ts'
import { percent } from '../../../../core/units/percent.ts'
import { useRuleSetInForce } from '../../../api/useRuleSetInForce.ts'
import { KITE_DASHES, KiteDrawing } from '../../../charts/KiteDrawing.tsx'
import { LineSample } from '../../../charts/LineSample.tsx'
import { LengthCounts } from '../../../fishing/LengthCounts.tsx'
import { usePreferences, useShow } from '../../../settings/preferences.tsx'
import { Sheet } from '../../../ui/controls.tsx'
import { above } from '../../../ui/limits.ts'
import { NumberField } from '../../../ui/NumberField.tsx'
import { QuantityField } from '../../../ui/QuantityField.tsx'
import { ScrollAcross } from '../../../ui/ScrollAcross.tsx'
import { SliderField } from '../../../ui/SliderField.tsx'
import { useWidth } from '../../../ui/useWidth.ts'
import { type KiteSetup, SlackChart, WindChart } from './KiteCharts.tsx'
import { BaitFields, SlackField } from './KiteFields.tsx'
import { Beside } from './MovingFields.tsx'

type Props = {
  setup: PreparedSetup
  moving: KiteWay
  sinkersKg: readonly number[]
  onChange: (next: Moving, tag?: string) => void
}

/** Baits under a kite: rod, lines and rings to scale, and the lead that each wants in the wind and in its gusts. */
export function KiteView({ setup, moving, sinkersKg, onChange }: Props) {
  const set = (change: Partial<KiteWay>, tag?: string) => onChange({ ...moving, ...change }, tag)
  const flown = useMemo(() => {
    const moved = setup.moved()
    return moved?.way === 'kite' ? moved.baits : []
  }, [setup])
  const { trace, outfit, catalogue } = setup
  const { freeboardM } = setup.conditions
  // The same while the wind is dragged, so that what does not ask for the wind rests.
  const rig = useMemo(() => ({ trace, outfit, catalogue, conditions: { freeboardM } }), [trace, outfit, catalogue, freeboardM])
  const answered = flown.map((each) => (isTold(each) ? '1' : '0')).join('')
  const baits = useMemo(() => moving.baits.filter((_, i) => answered[i] === '1'), [moving.baits, answered])
  const asked = { moving, baits, rig }
  return (
    <Beside
      fields={
        <>
          <SliderField
            label="wind"
            quantity="speed"
            valueSi={moving.windMperS}
            least={0.5}
            most={20}
            mostTyped={40}
            step={0.25}
            hint={`at 10 m above the sea; gusts count ${GUST} times`}
            onChange={(windMperS) => set({ windMperS }, 'wind')}
          />
          <SlackField slack={moving.slack} onChange={(slack) => set({ slack }, 'slack')} />
          <NumberField
            label="ring friction"
            value={moving.ringFriction}
            least={0}
            most={1}
            hint="0.1 for a smooth ring"
            onChange={(ringFriction) => ringFriction !== undefined && set({ ringFriction }, 'ring friction')}
          />
          <QuantityField
            label="kite line"
            quantity="strength"
            valueSi={moving.kiteLineN}
            placeholder="unknown"
            hint="its label"
            check={above(0, 100_000)}
            onChange={(kiteLineN) => set({ kiteLineN }, 'kite line')}
            onClear={() => {
              const { kiteLineN: _cleared, ...rest } = moving
              onChange(rest)
            }}
          />
          <BaitFields moving={moving} onChange={set} />
        </>
      }
    >
      <Sheet title="Side view, to scale">
        <Drawing setup={setup} flown={flown} />
      </Sheet>
      <Sheet title="Sinkers">
        <LeadTable asked={asked} flown={flown} sinkersKg={sinkersKg} />
        <WindWords moving={moving} flown={flown} />
        <KiteLineWords setup={setup} moving={moving} flown={flown} />
        <Hung setup={setup} />
      </Sheet>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <Sheet title="Sinker by slack">
          <SlackChart {...asked} />
        </Sheet>
        <Sheet title="Sinker by wind">
          <WindChart {...asked} />
        </Sheet>
      </div>
    </Beside>
  )
}

function Drawing({ setup, flown }: { setup: Setup; flown: FlownBait[] }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const show = useShow()
  const tipM = tipHeightM(setup)
  const lines = useMemo(
    () =>
      flown.map((each) => {
        const { name, ringDistanceM: x, ringHeightM: z } = each.bait
        // What has no answer is drawn straight.
        return {
          name,
          points: isTold(each)
            ? each.line
            : [
                { x: 0, z: tipM },
                { x, z },
              ],
          ring: { x, z },
        }
      }),
    [flown, tipM],
  )
  const height = width < 500 ? 200 : 280
  return (
    <>
      <div ref={ref} style={{ minHeight: height }}>
        {width > 0 && (
          <KiteDrawing
            lines={lines}
            tipM={tipM}
            width={width}
            height={height}
            summary={`From the side: the rod’s tip ${show.computed('length', tipM)} over the sea, ${flown
              .map(
                ({ bait: { name, ringHeightM, ringDistanceM } }) =>
                  `the ${name} bait’s ring ${show.entered('length', ringHeightM)} up and ${show.entered('length', ringDistanceM)} out`,
              )
              .join(', ')}.`}
            lengthText={(metres) => show.entered('length', metres)}
          />
        )}
      </div>
      {flown.filter(isTold).map(({ bait, steady }) => (
        <LengthCounts key={bait.name} rig={setup} lengthM={steady.lineToRingM} label={`To the ${bait.name} ring:`} />
      ))}
    </>
  )
}

type LeadProps = { asked: KiteSetup; flown: FlownBait[]; sinkersKg: readonly number[] }

/** What each bait wants and carries, side by side, and what a heavier main line would want. */
function LeadTable({ asked: { moving, baits, rig }, flown, sinkersKg }: LeadProps) {
  const show = useShow()
  const { units } = usePreferences()
  const heavierN = nextLabelN(nextLabelN(mainLine(rig.outfit).strengthN, 1, units.strength), 1, units.strength)
  const heavierKg = useMemo(() => {
    const thick = onMainLine(rig, heavierN)
    return new Map(baits.map((bait) => [bait.name, gustLeadKg(thick, moving, bait)]))
  }, [rig, moving, baits, heavierN])
  const { slack, ringFriction } = moving
  const enough = useMemo(
    () => new Map(baits.map((bait) => [bait.name, mostWindMperS(rig, { slack, ringFriction }, bait, carriedKgOf(rig, bait))])),
    [rig, slack, ringFriction, baits],
  )
  const mass = (kg: number | undefined) => (kg === undefined ? '–' : show.computed('mass', kg))
  return (
    <ScrollAcross label="Sinker for each bait">
      <table className="w-full text-sm">
        <caption className="sr-only">Sinker for each bait, needed and carried</caption>
        <thead>
          <tr className="text-quiet">
            {[
              'bait',
              'in the wind',
              'in gusts',
              'carries',
              'from your box',
              `on ${show.entered('strength', heavierN)} line`,
              'enough up to',
            ].map((head) => (
              <th key={head} scope="col" className="pl-2 text-right font-normal first:pl-0 first:text-left">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {flown.map((each, i) =>
            isTold(each) ? (
              <tr key={each.bait.name} className="border-t border-rule">
                <th scope="row" className="py-1 text-left font-normal whitespace-nowrap">
                  <LineSample dash={KITE_DASHES[i]} />
                  {each.bait.name}
                </th>
                <td className="pl-2 text-right">{mass(each.steady.leadMassKg)}</td>
                <td className="pl-2 text-right font-semibold">{mass(each.gust.leadMassKg)}</td>
                <td className={`pl-2 text-right ${each.carriedKg < each.gust.leadMassKg ? 'font-semibold text-watch' : ''}`}>
                  {mass(each.carriedKg)}
                </td>
                <td className="pl-2 text-right">
                  {each.gust.leadMassKg > 0 ? mass(ownedFor(each.gust.leadMassKg, sinkersKg)) : 'none'}
                </td>
                <td className="pl-2 text-right">{mass(heavierKg.get(each.bait.name))}</td>
                <td className="pl-2 text-right whitespace-nowrap">{windWords(enough.get(each.bait.name), show)}</td>
              </tr>
            ) : (
              <tr key={each.bait.name} className="border-t border-rule">
                <th scope="row" className="py-1 text-left font-normal">
                  {each.bait.name}
                </th>
                <td colSpan={6} role="alert" className="pl-2 text-watch">
                  {each.trouble}.
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </ScrollAcross>
  )
}

const windWords = (windMperS: number | undefined, show: ReturnType<typeof useShow>) =>
  windMperS === undefined ? 'any wind' : show.computed('speed', windMperS)

/** How much of the kite’s line is out to each ring, and what the rings pull on it in gusts. */
function KiteLineWords({ setup, moving, flown }: { setup: Setup; moving: KiteWay; flown: FlownBait[] }) {
  const show = useShow()
  const known = flown.filter(isTold)
  const loadN = known.reduce((sum, { gust }) => sum + ringLoadN(gust, moving.ringFriction), 0)
  const out = known
    .map(({ bait }) => `${show.entered('length', Math.round(kiteLineOutM(setup, bait)))} to the ${bait.name} ring`)
    .join(', ')
  return (
    <p>
      Kite line out: {out}. In gusts the rings pull it with {show.computed('strength', loadN)}, besides the kite{' '}
      {moving.kiteLineN !== undefined && `: ${percent(loadN / moving.kiteLineN)} of its label`}.
    </p>
  )
}

/** Too little wind, too much for the lead carried, and a belly in the sea. */
function WindWords({ moving, flown }: { moving: KiteWay; flown: FlownBait[] }) {
  const show = useShow()
  const known = flown.filter(isTold)
  const lifted = known.filter(({ carriedKg, gust }) => carriedKg < gust.leadMassKg).map(({ bait }) => bait.name)
  const wet = known.filter(({ steady }) => steady.lowestM <= 0).map(({ bait }) => bait.name)
  const words = [
    ...(moving.windMperS < KITE_FLIES_FROM_MPERS
      ? [`Too little wind: most kites need about ${show.computed('speed', KITE_FLIES_FROM_MPERS)}.`]
      : []),
    ...(lifted.length > 0
      ? [`Too much wind for the sinkers: gusts lift the ${lifted.join(' and the ')} bait out of the water.`]
      : []),
    ...(wet.length > 0 ? [`The line to the ${wet.join(' and the ')} ring hangs in the sea: take in slack.`] : []),
  ]
  return words.length > 0 ? (
    <p className="mt-2 font-semibold text-watch">{words.join(' ')}</p>
  ) : (
    <p className="mt-2">Every bait stays in the water, even in gusts.</p>
  )
}

/** What helps the lead, and the leader against the rule in force. */
function Hung({ setup }: { setup: Setup }) {
  const show = useShow()
  const ruleSet = useRuleSetInForce()
  const leader = setup.trace.pieces.filter(isLine).find(({ role }) => role === 'leader')
  const most = ruleSet?.maxLeaderM
  return (
    <p className="text-sm text-quiet">
      {show.computed('mass', hungKg(setup))} of marker, swivel and leader help the sinker. The water carries bait and hook.
      {leader &&
        ` The leader of ${show.entered('length', leader.lengthM)} is ${
          most === undefined
            ? 'not limited by a rule set'
            : leader.lengthM <= most
              ? `within the ${show.entered('length', most)} of ${ruleSet?.name}`
              : `over the ${show.entered('length', most)} of ${ruleSet?.name}`
        }.`}{' '}
      The long line catches more wind, so it needs a heavier sinker. Estimates for a steady wind and a still ring.
    </p>
  )
}

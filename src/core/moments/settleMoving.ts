import type { Moving } from '../documents/moving.ts'
import { CoreError } from '../errors.ts'
import { towRows } from '../physics/flown/trollTow.ts'
import { type FlownBait, GUST, isTold, kiteInput, type ToldBait } from '../setup/moving/kite.ts'
import type { Moved } from '../setup/moving/moved.ts'
import { keptShare, type RetrievePoint } from '../setup/moving/retrieved.ts'
import { liftsOf, towOf } from '../setup/moving/tow.ts'
import { deepestOf, leastWaterM, wantedDepthM } from '../setup/moving/trolled.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { type CalculationRequest, type Figure, gradeAtLeast, type Input, type Verdict, worseVerdict } from './moment.ts'
import { KEPT_SHARE, OFF_DEPTH } from './thresholds.ts'

/** Whether what moves with its line swims where it is meant to; `trouble`: why that is unknown. */
export type MovingSettled =
  | { way: 'trolled'; depthM: number; wantedM: number; waterM: number; trouble?: never }
  | { way: 'retrieved'; points: RetrievePoint[]; keptShare: number; trouble?: never }
  | { way: 'kite'; baits: FlownBait[]; trouble?: never }
  | { way: Moving['way']; trouble: string }

export type JudgedMoving = {
  end?: string
  verdict: Verdict
  margin: number
  figure: Figure
  inputs: Input[]
  moved: MovingSettled
}

/** How a line that is towed, wound in or flown takes what it carries to where it is meant to be. */
export function judgeMoving(setup: PreparedSetup, moving: Moving): JudgedMoving {
  try {
    return JUDGES[moving.way](moving as never, setup.moved() as never)
  } catch (error) {
    if (error instanceof CoreError) return troubled(moving.way, error.message)
    throw error
  }
}

const set = (key: string, value: number, quantity: Input['quantity']): Input => ({ key, value, quantity, origin: 'document' })
const computed = (key: string, value: number, quantity: Input['quantity']): Input => ({
  key,
  value,
  quantity,
  origin: 'computed',
})

const troubled = (way: Moving['way'], trouble: string): JudgedMoving => ({
  verdict: 'fails',
  margin: 0,
  figure: { key: 'cannotBeTold', quantity: 'word', value: 0 },
  inputs: [],
  moved: { way, trouble },
})

type Judge<Way extends Moving['way']> = (
  moving: Extract<Moving, { way: Way }>,
  moved: Extract<Moved, { way: Way }>,
) => JudgedMoving
const JUDGES: { [Way in Moving['way']]: Judge<Way> } = {
  /** By how far what swims deepest is off the depth meant; on the bed it fails. */
  trolled: (moving, { towed }) => {
    const deepest = deepestOf(towed.places)
    if (!deepest) return troubled('trolled', 'The line has no lure or bait')
    const waterM = leastWaterM(moving)
    const wantedM = wantedDepthM(moving.swimsAt, waterM)
    const offM = Math.abs(deepest.depthM - wantedM)
    const margin = Math.max(OFF_DEPTH.leastM, OFF_DEPTH.share * wantedM) / Math.max(offM, 1e-3)
    return {
      end: deepest.id,
      verdict: deepest.depthM >= waterM ? 'fails' : gradeAtLeast(margin, OFF_DEPTH),
      margin,
      figure: { key: 'swimsAt', quantity: 'length', value: deepest.depthM },
      inputs: [
        set('boatSpeed', moving.speedMperS, 'speed'),
        set('lineOutTrolled', moving.lineOutM, 'length'),
        computed('depthMeant', wantedM, 'length'),
        computed('swimsAt', deepest.depthM, 'length'),
        computed('leastWater', waterM, 'length'),
        computed('pullOfLine', towed.topTensionN, 'strength'),
      ],
      moved: { way: 'trolled', depthM: deepest.depthM, wantedM, waterM },
    }
  },
  /** By the share of the way over which some rate of winding keeps it there. */
  retrieved: (moving, { points }) => {
    const kept = keptShare(points)
    const [first] = points
    return {
      verdict: gradeAtLeast(kept, KEPT_SHARE),
      margin: kept / KEPT_SHARE.holds,
      figure: { key: 'keptShare', quantity: 'share', value: kept },
      inputs: [
        set('lineOutTrolled', moving.lineOutM, 'length'),
        ...(first ? [computed('depthMeant', first.wantedM, 'length'), computed('windingSpeed', first.speedMperS, 'speed')] : []),
        computed('keptShare', kept, 'share'),
      ],
      moved: { way: 'retrieved', points, keptShare: kept },
    }
  },
  /** By the lead that each bait carries, against what the wind and its gusts ask for; a belly in the sea is to be watched. */
  kite: (moving, { baits }) => {
    const trouble = baits.find((bait) => bait.trouble !== undefined)?.trouble
    if (trouble !== undefined) return troubled('kite', trouble)
    const known = baits.filter(isTold)
    const verdicts = known.map(({ carriedKg, steady, gust }): Verdict => {
      const byLead = carriedKg >= gust.leadMassKg ? 'holds' : carriedKg >= steady.leadMassKg ? 'watch' : 'fails'
      return steady.lowestM > 0 ? byLead : worseVerdict(byLead, 'watch')
    })
    const worst = known.toSorted((a, b) => spareOf(a) - spareOf(b))[0]!
    return {
      verdict: verdicts.reduce(worseVerdict),
      margin: spareOf(worst),
      figure: { key: 'leadWanted', quantity: 'mass', value: worst.gust.leadMassKg },
      inputs: [
        set('wind', moving.windMperS, 'speed'),
        set('slackOfLine', moving.slack, 'ratio'),
        ...known.flatMap(({ carriedKg, steady, gust }) => [
          set('leadCarried', carriedKg, 'mass'),
          computed('leadInWind', steady.leadMassKg, 'mass'),
          computed('leadInGusts', gust.leadMassKg, 'mass'),
        ]),
      ],
      moved: { way: 'kite', baits },
    }
  },
}

/** Lead carried over what the gusts ask for; with none asked for, more than enough. */
const spareOf = ({ carriedKg, gust }: ToldBait): number => (gust.leadMassKg > 0 ? carriedKg / gust.leadMassKg : 10)

/**
 * The calculations behind it: what a lure’s rating says of its lip, and where all that is towed swims, of a retrieve as winding begins; or of
 * each bait under a kite the lead in wind and gusts.
 */
export function movingRequests(setup: Setup, moved: MovingSettled | undefined): CalculationRequest[] {
  const { moving } = setup.conditions
  if (moving?.way !== 'kite')
    return [
      ...liftsOf(setup).map(
        (input): CalculationRequest => ({
          calculation: 'troll.lift',
          input,
          from: { layers: 'nominal', endDensityKgperM3: 'nominal', endDragAreaM2: 'nominal' },
        }),
      ),
      ...towedAs(moving, moved).map(
        ({ speedMperS, lineOutM }): CalculationRequest => ({
          calculation: 'troll.tow',
          input: { speedMperS, ...towRows(towOf(setup).line(lineOutM)) },
          from: { bodies: 'nominal', ...(moving?.way === 'retrieved' ? { speedMperS: 'computed' } : {}) },
        }),
      ),
    ]
  return moving.baits.flatMap((bait) =>
    [moving.windMperS, GUST * moving.windMperS].map(
      (windMperS): CalculationRequest => ({
        calculation: 'kite.lead',
        input: kiteInput(setup, moving, bait, windMperS),
        from: { lineDiameterM: 'nominal', lineDensityKgperM3: 'nominal', hungMassKg: 'computed', tipHeightM: 'computed' },
      }),
    ),
  )
}

/** How fast it is towed, on how much line in the water; none where it is unknown. */
function towedAs(moving: Moving | undefined, moved: MovingSettled | undefined): { speedMperS: number; lineOutM: number }[] {
  if (!moving || !moved || moved.trouble !== undefined) return []
  if (moving.way === 'trolled') return [moving]
  const [first] = moved.way === 'retrieved' ? moved.points : []
  return first ? [{ speedMperS: first.speedMperS, lineOutM: first.inWaterM }] : []
}

import { describe, expect, test } from 'vitest'
import { sampleOf } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated } from '../../../tests/fixtures/setups.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { METHODS } from '../catalogue/tables/methods.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import type { Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { defaultWater, type Water } from '../documents/water.ts'
import { sliding } from '../edit/attach.ts'
import { withFields } from '../edit/changes.ts'
import { drawInWords } from '../edit/inWords.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import { FAMILIES } from '../families/families.ts'
import { waterHangMass } from '../physics/water/hangMass.ts'
import { waterShoreLine } from '../physics/water/shoreLine.ts'
import { fishingModeOf } from '../setup/fishingMode.ts'

const outfit = braidOutfit(50)
const ledger = draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' })
const settleIn = (water: Water | undefined, massKg = 0.34) => {
  const trace = withFields(ledger.trace, 'sinker', { massKg })
  const conditions: Conditions = { ...ledger.conditions, ...(water ? { water } : {}) }
  return evaluated(trace, outfit, conditions).settle
}
const anchor = { ...defaultWater(catalogue, 'anchor'), depthM: 28, streamMperS: 0.7 }

describe('settle', () => {
  test('needs water to settle in, and something that takes it down', () => {
    expect(settleIn(undefined)).toBeUndefined()
    const free = draftOf('freeLine', outfit, defaultConditions())
    const bare = { ...free.trace, pieces: free.trace.pieces.filter(({ role }) => role !== 'bait') }
    expect(evaluated(bare, outfit, { ...free.conditions, water: anchor }).settle).toBeUndefined()
  })

  test('at anchor on one line it wants what water.hangMass says, and its reserve', () => {
    // The trace cut short: the braid alone, with the bait of the ledger (a sandeel, 8 cm² in the stream).
    const main = outfit.wound.at(-1)!
    const bare = {
      ...ledger.trace,
      pieces: ledger.trace.pieces.map((piece) =>
        'lengthM' in piece
          ? { ...piece, lengthM: 1e-6, material: 'braid' as const, diameterM: lineDiameterM(catalogue, main) }
          : piece,
      ),
    }
    const joined = {
      ...bare,
      pieces: bare.pieces.map((piece) =>
        piece.attach.how === 'sliding' ? { ...piece, attach: { ...piece.attach, atM: 0 } } : piece,
      ),
    }
    const { neededKg, wantedKg } = evaluated(joined as typeof ledger.trace, outfit, { ...ledger.conditions, water: anchor })
      .settle!.holding!
    const { sinkerMassKg } = waterHangMass({
      scope: anchor.scope,
      sinkerDensityKgperM3: 11340,
      sinkerDragCoefficient: 0.5,
      baitDragAreaM2: 0.0008,
      lineDiameterM: lineDiameterM(catalogue, main),
      lineDensityKgperM3: 970,
      surfaceCurrentMperS: 0.7,
      depthM: 28,
      profileExponent: 1 / 7,
    })
    expect(neededKg! / sinkerMassKg).toBeCloseTo(1, 3)
    expect(wantedKg! / neededKg!).toBeCloseTo(METHODS.anchor.reserve, 12)
  })

  test('holds with what is wanted, is to be watched down to what holds at two thirds of the stream, fails under it', () => {
    const { wantedKg } = settleIn(anchor)!.holding!
    const part = settleIn({ ...anchor, streamMperS: (anchor.streamMperS * 2) / 3 })!.holding!.wantedKg!
    expect(part).toBeLessThan(wantedKg!)
    const verdictAt = (kg: number) => settleIn(anchor, kg)!.verdict
    expect([wantedKg! * 1.01, wantedKg! * 0.99, part * 1.01, part * 0.99].map(verdictAt)).toEqual([
      'holds',
      'watch',
      'watch',
      'fails',
    ])
  })

  test('from the shore it is the bow of the line, by the grip of the sinker on the bed', () => {
    const shore = { ...defaultWater(catalogue, 'shore'), distanceM: 90, streamMperS: 0.3 }
    const { neededKg } = settleIn(shore, 0.15)!.holding!
    // A pear or bomb on sand grips 0.5 of its weight in water.
    const expected = waterShoreLine({
      lineDiameterM: lineDiameterM(catalogue, outfit.wound.at(-1)!),
      lineDensityKgperM3: 970,
      surfaceCurrentMperS: 0.3,
      depthM: 5,
      spanM: 90,
      tipHeightM: 0.9 * outfit.rod.lengthM,
      scope: 1.15,
      profileExponent: 1 / 7,
      grip: 0.5,
      breakOutN: 0,
      sinkerDensityKgperM3: 11340,
      baitDragAreaM2: 0.0008,
    }).sinkerMassKg
    expect(neededKg).toBeCloseTo(expected, 12)
  })

  test('thicker line or weed wants more; drifting with the stream wants less; slack water wants next to nothing', () => {
    const { neededKg } = settleIn(anchor)!.holding!
    expect(settleIn({ ...anchor, weedFactor: 2 })!.holding!.neededKg).toBeGreaterThan(neededKg!)
    expect(settleIn({ ...anchor, method: 'drift', driftMperS: 0.4 })!.holding!.neededKg).toBeLessThan(neededKg!)
    expect(settleIn({ ...anchor, streamMperS: 0 })).toMatchObject({ verdict: 'holds' })
  })

  test('the stream it holds to is the one at which it is just wanted', () => {
    for (const water of [
      anchor,
      { ...defaultWater(catalogue, 'shore'), distanceM: 90, streamMperS: 0.3 },
      { ...defaultWater(catalogue, 'drift'), driftMperS: 0.2 },
    ]) {
      const { holding, settling } = settleIn(water, 0.4)!
      const { holdsToMperS } = holding!
      const share = holdsToMperS! / water.streamMperS
      const then = settleIn({ ...water, streamMperS: holdsToMperS!, driftMperS: water.driftMperS * share }, 0.4)!
      expect(then.holding!.wantedKg! / settling!.weight.massKg, water.method).toBeCloseTo(1, 2)
    }
  })

  test('a float on a hook length lifts the bait; one above it holds the trace', () => {
    const rotating = draftOf('rotating', outfit, defaultConditions())
    const floatOn = (line: string): Trace => ({
      ...rotating.trace,
      family: 'ownDesign',
      pieces: [...rotating.trace.pieces, { id: 'float', role: 'float', massKg: 0.003, attach: sliding(line, 0.1, {}) }],
    })
    expect(fishingModeOf(floatOn('snood'))).toBe('holds')
    expect(fishingModeOf(floatOn('tail-line'))).toBe('hangs')
  })

  test('a free line is told how deep it fishes: less in a faster stream, never past the bed, and down in what it sinks to', () => {
    const free = draftOf('freeLine', outfit, defaultConditions())
    const inStream = (streamMperS: number) =>
      evaluated(free.trace, outfit, { ...free.conditions, water: { ...anchor, depthM: 6, streamMperS } }).settle!
    const depths = [0.01, 0.05, 0.1, 0.2, 0.4, 0.8].map((stream) => inStream(stream).free!.depthM)
    expect(depths[0]).toBe(6)
    expect(depths.at(-1)).toBeLessThan(1)
    for (const [i, depth] of depths.entries()) if (i > 0) expect(depth).toBeLessThanOrEqual(depths[i - 1]!)
    const { sinksToMperS } = inStream(0.1).free!
    expect(inStream(sinksToMperS! * 0.99).free!.reachesBed).toBe(true)
    expect(inStream(sinksToMperS! * 1.02).free!.reachesBed).toBe(false)
    expect(inStream(0.8).verdict).toBe('holds')
    expect(inStream(0.1).settling!.weight.densityKgperM3).toBeLessThan(1400)
    expect(inStream(0.1).sinkS).toBeGreaterThan(settleIn({ ...anchor, depthM: 6 })!.sinkS!)
  })

  test('told to hold, a free line is judged by holding, and is not offered a heavier bait', () => {
    const free = draftOf('freeLine', outfit, defaultConditions())
    const held = { ...free.trace, fishes: 'holds' as const }
    const { settle, findings } = evaluated(held, outfit, {
      ...free.conditions,
      water: { ...anchor, depthM: 6, streamMperS: 0.8 },
    })
    expect(settle!.verdict).toBe('fails')
    const finding = findings.find(({ rule }) => rule === 'sinker-too-light')!
    expect(JSON.stringify(finding.why)).toContain('Free-lined')
    expect(finding.remedies.map(({ label }) => label)).toEqual([
      'let out a third more line than the depth',
      'fish near slack water, in half the current',
    ])
  })

  test('a float’s lead is judged against the float, whatever the stream', () => {
    const drafted = draftOf('slidingFloat', outfit, defaultConditions())
    const under = (sinkerKg: number, streamMperS: number) => {
      const trace = withFields(drafted.trace, 'sinker', { massKg: sinkerKg })
      return evaluated(trace, outfit, { ...drafted.conditions, water: { ...anchor, streamMperS } })
    }
    // 25 g of float, a third as dense as water, bears 50 g; 60 g of lead weigh 54.6 in water.
    const { onFloat } = under(0.02, 0.5).settle!
    expect(onFloat!.bearsN).toBeCloseTo(0.05 * 9.80665, 9)
    expect(under(0.02, 2).settle!.verdict).toBe('holds')
    expect(under(0.06, 0.1).settle!.verdict).toBe('fails')
    expect(under(0.06, 0.1).findings.map(({ rule }) => rule)).toContain('float-goes-under')
    expect(under(0.02, 2).findings.map(({ rule }) => rule)).not.toContain('sinker-too-light')
  })

  test('a jig takes its line down by its own weight; under a kite nothing settles', () => {
    const jig = draftOf('jigAndTrailer', outfit, { ...defaultConditions(), castStyle: 'none' })
    const { settle } = evaluated(jig.trace, outfit, { ...jig.conditions, water: { ...anchor, streamMperS: 0.3 } })
    expect(settle).toMatchObject({ fishes: 'worked', end: 'jig', free: { reachesBed: true } })
    const kite = draftOf('kiteBait', outfit, { ...defaultConditions(), castStyle: 'none' })
    expect(evaluated(kite.trace, outfit, { ...kite.conditions, water: anchor, moving: undefined }).settle).toBeUndefined()
  })

  test('a weight on the hook falls off at the bottom: the hold-down is what holds, however heavy the other', () => {
    const deep = draftOf('deepDrop', outfit, { ...defaultConditions(), castStyle: 'none' })
    const { settling, falling } = evaluated(deep.trace, outfit, { ...deep.conditions, water: anchor }).settle!
    expect(settling!.weight.id).toBe('hold-down-sinker')
    expect(falling).toMatchObject({ lower: { sinker: { id: 'release-weight' } }, upper: { sinker: { id: 'hold-down-sinker' } } })
    expect(falling!.lower.speedMperS).toBeGreaterThan(falling!.upper.speedMperS)
  })

  test('a stream that nothing holds in says so, and no figure is NaN', () => {
    const wild = settleIn({ ...anchor, depthM: 1500, streamMperS: 4, scope: 1.05 })!
    expect(wild).toMatchObject({ verdict: 'fails', margin: 0 })
    expect(wild.holding!.trouble).toMatch(/needed/)
  })

  test('a mark says both its springs and its neaps: each as if it were the only stream', () => {
    const both = settleIn({ ...anchor, streamMperS: 0.9, neapMperS: 0.5 })!
    const [springs, neaps] = [0.9, 0.5].map((streamMperS) => settleIn({ ...anchor, streamMperS })!)
    expect(both).toMatchObject({ verdict: springs!.verdict, margin: springs!.margin })
    expect(both.holding!.atNeaps).toMatchObject({ streamMperS: 0.5, verdict: neaps!.verdict })
    expect(both.holding!.atNeaps!.wantedKg).toBeCloseTo(neaps!.holding!.wantedKg!, 9)
    expect(springs!.holding!.atNeaps).toBeUndefined()
  })

  test('the least that is of use in a cast is what the cast carries as far', () => {
    const cast = { ...defaultConditions(), castStyle: 'overhead' as const }
    const at = (distanceM: number) => {
      const water = { ...defaultWater(catalogue, 'shore'), streamMperS: 0.05, distanceM }
      return evaluated(ledger.trace, outfit, { ...ledger.conditions, ...cast, water }).settle!.holding!.toReachKg
    }
    expect(at(60)!).toBeGreaterThan(at(40)!)
    expect(at(900)).toBeUndefined()
    // Thrown with it, the cast reaches as far: the step of its range is 5 m.
    const trace = withFields(ledger.trace, 'sinker', { massKg: at(60)! })
    expect(Math.abs(evaluated(trace, outfit, { ...ledger.conditions, ...cast }).cast!.rangeM.most - 60)).toBeLessThanOrEqual(2.5)
  })

  test('a design of one’s own says by its parts how it fishes, where they mean one thing only', () => {
    const own = (words: string) => {
      const made = drawInWords({ trace: emptyTrace('own'), outfit, catalogue }, { at: 'end', of: OUTFIT }, words)
      if (!made.ok) throw new Error(made.why)
      return made.trace
    }
    const worked = own('leader 20 lb 2 m (bullet 14 g), lure 5 g')
    expect(fishingModeOf(own('leader 20 lb 2 m, bomb 100 g'))).toBe('holds')
    expect(fishingModeOf(own('leader 20 lb 2 m, J 2/0, sandeel'))).toBe('swims')
    expect(fishingModeOf(worked)).toBeUndefined()
    expect(evaluated(worked, outfit, { ...ledger.conditions, water: anchor }).settle).toBeUndefined()
    expect(evaluated({ ...worked, fishes: 'holds' }, outfit, { ...ledger.conditions, water: anchor }).settle).toBeDefined()
  })

  test('every family with a sinker settles by every method without error', () => {
    for (const { id } of sampleOf(FAMILIES, 3)) {
      const draft = draftOf(id, outfit, { ...defaultConditions(), dragN: 10 * LB })
      for (const method of ['anchor', 'uptide', 'drift', 'shore'] as const) {
        const { settle } = evaluated(draft.trace, outfit, { ...draft.conditions, water: defaultWater(catalogue, method) })
        if (!settle) continue
        expect(Number.isFinite(settle.margin), `${id} ${method}`).toBe(true)
        expect(settle.sinkS ?? 1).toBeGreaterThan(0)
      }
    }
  })
})

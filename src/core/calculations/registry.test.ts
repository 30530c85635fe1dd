import { expect, test } from 'vitest'
import cases from './reference/cases.json'
import { CALCULATIONS, type CalculationName, calculate } from './registry.ts'

/** Calculations of our own fields, without an independent case: they are held against closed forms where they live. */
const OWN_INPUT: Partial<Record<CalculationName, object>> = {
  'water.line': {
    ...cases.find(({ calculation }) => calculation === 'water.hang')!.input,
    lineDiameterM: undefined,
    lineDensityKgperM3: undefined,
    layers: [
      { diameterM: 0.0006, densityKgperM3: 1140, lengthM: 2 },
      { diameterM: 0.0003, densityKgperM3: 970 },
    ],
  },
  'troll.tow': {
    speedMperS: 1.5,
    lines: [
      { hangsFrom: 0, lengthM: 20, diameterM: 3e-4, densityKgperM3: 970 },
      { hangsFrom: 1, lengthM: 2, diameterM: 5e-4, densityKgperM3: 1140 },
      { hangsFrom: 1, lengthM: 1, diameterM: 5e-4, densityKgperM3: 1140 },
    ],
    bodies: [
      { hangsFrom: 2, id: 'lure', massKg: 0.06, densityKgperM3: 1100, dragAreaM2: 3e-4, liftAreaM2: 2e-4 },
      { hangsFrom: 3, id: 'sinker', massKg: 0.1, densityKgperM3: 11340, dragAreaM2: 2e-4, liftAreaM2: 0 },
    ],
  },
  'hook.suggest': { pattern: 'j', baitLengthM: 0.18, baitDepthM: 0.006, baitMassKg: 0.02, alive: false, rig: 'single' },
  'tide.height': {
    meanLevelM: 3,
    constituents: [{ name: 'M2', amplitudeM: 1.5, phaseDeg: 190 }],
    time: '2026-11-23T12:00:00Z',
  },
}
const inputOf = (name: CalculationName) =>
  JSON.parse(JSON.stringify(OWN_INPUT[name] ?? cases.find(({ calculation }) => calculation === name)!.input))

/** For each calculation, inputs that must be refused, and the field that is to blame. */
// biome-ignore format: a table reads better in rows
const REFUSED: [CalculationName, (input: any) => void, (string | number)[]][] = [
  ['strength.chain', (i) => { i.path = [] }, ['path']],
  ['strength.chain', (i) => { i.path[0].strengthN = -1 }, ['path', 0, 'strengthN']],
  ['strength.chain', (i) => { i.path[0].condition = 1.1 }, ['path', 0, 'condition']],
  ['strength.chain', (i) => { i.path[0].strands = 1.5 }, ['path', 0, 'strands']],
  ['strength.chain', (i) => { i.path[1].efficiencyAbove = 0 }, ['path', 1, 'efficiencyAbove']],
  ['strength.chain', (i) => { i.path[0].type = 'rope' }, ['path', 0, 'type']],
  ['strength.failure', (i) => { i.links[0].variation = 0 }, ['links', 0, 'variation']],
  ['strength.failure', (i) => { i.loadN = null }, ['loadN']],
  ['strength.failure', (i) => { i.links.push({ id: 'knot', line: 'ghost', efficiency: 0.9, variation: 0.05 }) }, ['links', 3, 'line']],
  ['strength.drag', (i) => { i.spoolRadiusM = 0 }, ['spoolRadiusM']],
  ['strength.drag', (i) => { i.allowedFraction = 1.5 }, ['allowedFraction']],
  ['strength.drag', (i) => { delete i.dragN }, ['dragN']],
  ['strength.waterDrag', (i) => { i.diameterM = '0.3 mm' }, ['diameterM']],
  ['strength.waterDrag', (i) => { i.speedMperS = -1 }, ['speedMperS']],
  ['spool.fill', (i) => { i.layers = [] }, ['layers']],
  ['spool.fill', (i) => { i.fullRadiusM = i.arborRadiusM }, ['fullRadiusM']],
  ['spool.fill', (i) => { i.lineOutM = -1 }, ['lineOutM']],
  ['cast.load', (i) => { i.strokeM = 0 }, ['strokeM']],
  ['cast.range', (i) => { i.launchDeg = 90 }, ['launchDeg']],
  ['cast.range', (i) => { i.massKg = Number.POSITIVE_INFINITY }, ['massKg']],
  ['stock.spares', (i) => { i.assurance = 1 }, ['assurance']],
  ['stock.spares', (i) => { i.planned = 0 }, ['planned']],
  ['learn.rate', (i) => { i.priorExposure = 0 }, ['priorExposure']],
  ['learn.rate', (i) => { i.events = -1 }, ['events']],
  ['learn.betterRate', (i) => { i.a = { events: 1 } }, ['a', 'exposure']],
  ['learn.share', (i) => { i.priorYes = 0 }, ['priorYes']],
  ['learn.foretold', (i) => { i.chances = [1.2] }, ['chances', 0]],
  ['learn.foretold', (i) => { i.happened = 99 }, ['happened']],
  ['stock.batch', (i) => { i.cutsM = [] }, ['cutsM']],
  ['stock.batch', (i) => { i.remnantsM = Array(13).fill(1) }, ['remnantsM']],
  ['hook.gang', (i) => { i.count = 0 }, ['count']],
  ['hook.gang', (i) => { i.count = 2.5 }, ['count']],
  ['hook.fit', (i) => { i.gapeM = 0 }, ['gapeM']],
  ['hook.suggest', (i) => { i.pattern = 'grapnel' }, ['pattern']],
  ['hook.suggest', (i) => { i.baitLengthM = 90 }, ['baitLengthM']],
  ['gear.barMass', (i) => { i.lengthM = -0.4 }, ['lengthM']],
  ['water.hang', (i) => { i.depthM = 0.5 }, ['depthM']],
  ['water.hang', (i) => { i.sinkerMassKg = 0 }, ['sinkerMassKg']],
  ['water.hang', (i) => { i.surfaceCurrentMperS = -1 }, ['surfaceCurrentMperS']],
  ['water.line', (i) => { delete i.layers[0].lengthM }, ['layers', 0, 'lengthM']],
  ['water.line', (i) => { i.profile = [{ heightM: 2, speedMperS: 1 }, { heightM: 1, speedMperS: 1 }] }, ['profile', 1, 'heightM']],
  ['water.hangMass', (i) => { i.scope = 1 }, ['scope']],
  ['water.hangMass', (i) => { i.surfaceCurrentMperS = 0 }, ['surfaceCurrentMperS']],
  ['water.driftLine', (i) => { i.driftAcrossMperS = 21 }, ['driftAcrossMperS']],
  ['water.driftMass', (i) => { i.scope = 1 }, ['scope']],
  ['water.shoreHold', (i) => { i.grip = 0 }, ['grip']],
  ['water.shoreLine', (i) => { i.breakOutN = -1 }, ['breakOutN']],
  ['strength.lunge', (i) => { i.layers = [] }, ['layers']],
  ['water.uptideHold', (i) => { i.lineOutM = '50 m' }, ['lineOutM']],
  ['water.sink', (i) => { i.dragAreaM2 = 0 }, ['dragAreaM2']],
  ['tide.height', (i) => { i.constituents[0].name = 'MOON' }, ['constituents', 0, 'name']],
  ['tide.height', (i) => { i.time = '2026-02-30T00:00:00Z' }, ['time']],
  ['tide.stream', (i) => { i.table = [] }, ['table']],
  ['tide.stream', (i) => { i.table[0].hour = 9 }, ['table', 0, 'hour']],
  ['troll.depth', (i) => { i.layers = [] }, ['layers']],
  ['troll.depth', (i) => { i.speedMperS = 60 }, ['speedMperS']],
  ['troll.lift', (i) => { i.depthM = 0 }, ['depthM']],
  ['troll.tow', (i) => { i.lines[1].hangsFrom = 2 }, ['lines', 1, 'hangsFrom']],
  ['troll.tow', (i) => { i.bodies[1].hangsFrom = 4 }, ['bodies', 1, 'hangsFrom']],
  ['kite.lead', (i) => { i.windMperS = -1 }, ['windMperS']],
  ['kite.lead', (i) => { i.ringHeightM = 'high' }, ['ringHeightM']],
  ['tests.efficiency', (i) => { i.priorDegrees = 2 }, ['priorDegrees']],
  ['tests.efficiency', (i) => { i.tested = [0.8, -0.1] }, ['tested', 1]],
  ['tests.better', (i) => { i.b.priorWeight = 0 }, ['b', 'priorWeight']],
]

test.each(REFUSED)('%s refuses a bad input (%#) with the path to it', (name, spoil, path) => {
  const input = inputOf(name)
  spoil(input)
  const outcome = calculate(name, input)
  expect(outcome.ok ? [] : outcome.issues.map((issue) => issue.path)).toContainEqual(path)
})

test('every calculation is tried with a bad input, refuses a field it does not know, and anything that is no object', () => {
  const names = Object.keys(CALCULATIONS) as CalculationName[]
  expect(new Set(REFUSED.map(([name]) => name))).toEqual(new Set(names))
  for (const name of names) {
    expect(calculate(name, { ...inputOf(name), surprise: 1 }).ok).toBe(false)
    for (const value of [null, 7, 'x', []]) expect(calculate(name, value).ok).toBe(false)
  }
})

test('fresh water drags and lifts less than the sea', () => {
  const run = (name: CalculationName, waterDensityKgperM3: number) => {
    const outcome = calculate(name, { ...inputOf(name), waterDensityKgperM3 })
    return outcome.ok ? (outcome.output as Record<string, number>) : {}
  }
  expect(run('strength.waterDrag', 1000).dragN! / run('strength.waterDrag', 1025).dragN!).toBeCloseTo(1000 / 1025, 12)
  expect(run('gear.barMass', 1000).submergedN!).toBeGreaterThan(run('gear.barMass', 1025).submergedN!)
})

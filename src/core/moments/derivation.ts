import { CALCULATIONS, type CalculationName } from '../calculations.ts'
import { CoreError } from '../errors.ts'
import { lineDiameterM } from '../gear/materials.ts'
import { lineInput, shoreInput, sinkInput, uptideInput } from '../settling/asked.ts'
import { nominalGrip, settlingOf } from '../settling/settling.ts'
import { chainElements } from '../strength/pathLinks.ts'
import { castMoment } from './cast.ts'
import { handMoment } from './hand.ts'
import type { Fished } from './levers.ts'
import type { Input, MomentName } from './moment.ts'
import { dragInput, runMoment, waterDragN } from './run.ts'
import { snagMoment } from './snag.ts'
import { asUncertain, prepare, type Workings } from './workings.ts'

/** One calculation on the way to a verdict, with exactly what went in and what came out. */
export type Step = {
  calculation: CalculationName
  input: object
  output: object
  /** Where an input came from, by its field; what is not named here was set in the documents. */
  from: Readonly<Record<string, Input['from']>>
}

/** Every calculation behind a moment’s verdict, in order; empty where the moment does not apply. Worked out anew, on demand. */
export function derivationOf({ trace, outfit, conditions }: Fished, moment: MomentName): Step[] {
  const workings = prepare(trace, outfit, conditions)
  switch (moment) {
    case 'cast':
      return ofCast(workings)
    case 'run':
      return ofRun(workings)
    case 'snag':
      return ofSnag(workings)
    case 'settle':
      return ofSettle(workings)
    case 'hand': {
      const hand = handMoment(workings)
      return hand ? [chain(workings, hand.end)] : []
    }
  }
}

function step(calculation: CalculationName, input: object, from: Step['from']): Step {
  const { run } = CALCULATIONS[calculation] as { run: (input: object) => object }
  return { calculation, input, output: run(input), from }
}

function ofCast(workings: Workings): Step[] {
  const cast = castMoment(workings)
  if (!cast) return []
  return [
    step('cast.load', cast.load, { massKg: 'computed', releaseSpeedMperS: 'nominal', strokeM: 'nominal', peakFactor: 'nominal' }),
    step(
      'strength.chain',
      { path: cast.links.map(({ id, strengthN }) => ({ type: 'hardware', id, strengthN })) },
      { path: 'computed' },
    ),
    step('cast.range', cast.flight, {
      massKg: 'computed',
      dragAreaM2: 'nominal',
      releaseSpeedMperS: 'nominal',
      releaseHeightM: 'computed',
    }),
  ]
}

function ofRun(workings: Workings): Step[] {
  const run = runMoment(workings)
  const path = run?.paths.find(({ end }) => end === run.end)
  if (!path) return []
  const { conditions, out } = workings
  const water = out.map(({ line, outM }) =>
    step(
      'strength.waterDrag',
      { lineOutM: outM, diameterM: lineDiameterM(line), speedMperS: conditions.fishSpeedMperS },
      { lineOutM: 'computed', diameterM: line.diameterM === undefined ? 'nominal' : 'document' },
    ),
  )
  const drag = dragInput(workings, path.weakest.strengthN, waterDragN(workings), run!.lineClassN, conditions.dragN)
  return [
    spool(workings),
    ...water,
    chain(workings, path.end),
    step('strength.drag', drag, {
      weakestN: 'computed',
      spoolFullRadiusM: 'computed',
      spoolRadiusM: 'computed',
      waterDragN: 'computed',
      allowedFraction: 'rule',
    }),
    step('strength.failure', { links: asUncertain(path.links), loadN: path.drag.peakN }, { links: 'nominal', loadN: 'computed' }),
  ]
}

function ofSnag(workings: Workings): Step[] {
  const snag = snagMoment(workings)
  const path = snag?.paths.find(({ end }) => end === snag.end)
  if (!path) return []
  return [
    chain(workings, path.end),
    step('strength.failure', { links: asUncertain(path.links), loadN: 0 }, { links: 'nominal', loadN: 'rule' }),
  ]
}

function ofSettle(workings: Workings): Step[] {
  const { water } = workings.conditions
  const settling = water && settlingOf(workings, water)
  if (!settling) return []
  const nominal = { lineDiameterM: 'nominal', lineDensityKgperM3: 'nominal', grip: 'nominal', baitDragAreaM2: 'nominal' } as const
  const held = () => {
    const grip = nominalGrip(settling)
    if (settling.water.method === 'shore') return step('water.shoreHold', shoreInput(settling, grip), nominal)
    if (settling.water.method === 'uptide') return step('water.uptideHold', uptideInput(settling, grip), nominal)
    return step('water.line', lineInput(settling), { layers: 'nominal', ...nominal })
  }
  const sunk = () => step('water.sink', sinkInput(settling), { dragAreaM2: 'nominal', lineDiameterM: 'nominal' })
  return [...ifInRange(held), ...ifInRange(sunk)]
}

/** A step, or none where it is blown out, floats, or leaves no line to reckon with: the panel says so. */
function ifInRange(make: () => Step): Step[] {
  try {
    return [make()]
  } catch (error) {
    if (error instanceof CoreError) return []
    throw error
  }
}

function spool({ outfit, conditions }: Workings): Step {
  const { capacityLengthM, capacityDiameterM, arborRadiusM, fullRadiusM } = outfit.reel
  const layers = outfit.wound.map((line) => ({
    id: line.role,
    diameterM: lineDiameterM(line),
    ...(line.lengthM === undefined ? {} : { lengthM: line.lengthM }),
  }))
  const reel = { capacityLengthM, capacityDiameterM, arborRadiusM, fullRadiusM }
  const nominal = outfit.wound.some(({ diameterM }) => diameterM === undefined)
  return step('spool.fill', { ...reel, layers, lineOutM: conditions.lineOutM }, nominal ? { layers: 'nominal' } : {})
}

function chain({ out, tracePath, conditions }: Workings, end: string): Step {
  const path = chainElements(
    out.map(({ line }) => line),
    tracePath(end),
    conditions.wet,
  )
  return step('strength.chain', { path }, { path: 'nominal' })
}

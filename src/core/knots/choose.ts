import { type Catalogue, efficiencyOf, type Measured } from '../catalogue/catalogue.ts'
import { DEFAULT_LOOP_M, lineUsedM } from '../catalogue/connections.ts'
import { type LineSpec, lineDiameterM } from '../catalogue/materials.ts'
import { type End, misfitBetween } from '../joints/ends.ts'
import { usualTurns } from '../setup/cutLength.ts'
import { KNOT_FACTS, type KnotId } from './facts.ts'

/** One of the two things that are tied together; a line, or a loop in one, with what it is. */
export type TiedEnd = { end: End['end']; line?: LineSpec & { hollow?: boolean } }

/** What matters most in a connection. */
export const WISHES = ['strength', 'guides', 'speed', 'sea', 'cold', 'swing', 'snug'] as const
export type Wish = (typeof WISHES)[number]

/** A connection for the two ends: what it holds and what it costs. */
export type KnotChoice = {
  id: KnotId
  turns: number
  /** Load that it holds, and that as a share of the weaker line. */
  strengthN: number
  share: number
  /** Of the line that decides. */
  figure: Measured
  bulkM: number
  minutes: number
  lineUsedM: number
}
export type Chosen = { suited: KnotChoice[]; others: { id: KnotId; why: string }[] }

/** Under this share of the weaker line a connection is not offered. Ours. */
const MIN_SHARE = 0.5
/** Longer than this with cold, wet hands nothing is tied again at sea, minutes. Ours. */
const LONGEST_AT_SEA_MIN = 5

/**
 * The connections that hold two ends together, best first by what matters most, and of every other one why it is not among them.
 * Source: the table of connections; the order is ours.
 */
export function chooseKnots(catalogue: Catalogue, above: TiedEnd, below: TiedEnd, wish: Wish): Chosen {
  const chosen: Chosen = { suited: [], others: [] }
  for (const id of Object.keys(KNOT_FACTS) as KnotId[]) {
    const why = misfitOf(catalogue, id, above, below) ?? unwantedBy(catalogue, id, wish)
    if (why !== undefined) {
      chosen.others.push({ id, why })
      continue
    }
    const choice = choiceOf(catalogue, id, above, below)
    if (choice.share < MIN_SHARE) chosen.others.push({ id, why: 'keeps less than half of the weaker line' })
    else chosen.suited.push(choice)
  }
  const order = ORDER[wish]
  chosen.suited.sort((a, b) => order(a) - order(b) || b.strengthN - a.strengthN)
  return chosen
}

const linesOf = (above: TiedEnd, below: TiedEnd) => [above, below].flatMap(({ line }) => (line ? [line] : []))

function misfitOf(catalogue: Catalogue, id: KnotId, above: TiedEnd, below: TiedEnd): string | undefined {
  const misfit = misfitBetween(catalogue, id, asEnd(above), asEnd(below))
  if (misfit) return misfit
  if (linesOf(above, below).length === 0) return 'needs a line to be tied in'
  const { closesUpToM } = catalogue.connections[id]
  for (const line of linesOf(above, below)) {
    if (!efficiencyOf(catalogue, { connection: id }, line.material))
      return `cannot be tied in ${catalogue.materials[line.material].name}`
    const isStiff = line.material === 'mono' || line.material === 'fluoro'
    if (isStiff && closesUpToM !== undefined && lineDiameterM(catalogue, line) > closesUpToM)
      return 'is not drawn down by hand in line so thick'
  }
  return undefined
}

function asEnd({ end, line }: TiedEnd): End {
  if (end === 'loop' || end === 'eye' || end === 'hook') return { end }
  return { end, material: line?.material ?? 'mono', hollow: line?.hollow ?? false }
}

function unwantedBy(catalogue: Catalogue, id: KnotId, wish: Wish): string | undefined {
  const { passesGuides, minutes } = catalogue.connections[id]
  const { sits, coldFactor } = KNOT_FACTS[id]
  switch (wish) {
    case 'guides':
      return passesGuides ? undefined : 'is too thick for the guides'
    case 'sea':
      return minutes * coldFactor > LONGEST_AT_SEA_MIN ? 'takes too long at sea' : undefined
    case 'swing':
      return sits === 'swings' ? undefined : 'does not leave a loop to swing on'
    case 'snug':
      return sits === 'snug' ? undefined : 'does not sit tight on the eye'
    default:
      return undefined
  }
}

function choiceOf(catalogue: Catalogue, id: KnotId, above: TiedEnd, below: TiedEnd): KnotChoice {
  const lines = linesOf(above, below)
  const turns = usualTurns(catalogue, id, lines)
  const borne = [above, below].flatMap((side) => {
    const figure = side.line && efficiencyOf(catalogue, { connection: id }, side.line.material)
    return figure && side.line ? [{ figure, strengthN: figure.mean * side.line.strengthN * (side.end === 'double' ? 2 : 1) }] : []
  })
  const weakest = borne.reduce((least, each) => (each.strengthN < least.strengthN ? each : least))
  const thickestM = Math.max(...lines.map((line) => lineDiameterM(catalogue, line)))
  const { minutes } = catalogue.connections[id]
  return {
    id,
    turns,
    ...weakest,
    share: weakest.strengthN / Math.min(...lines.map(({ strengthN }) => strengthN)),
    bulkM: KNOT_FACTS[id].bulk * thickestM,
    minutes,
    lineUsedM: lines
      .map((line) =>
        lineUsedM(
          catalogue,
          id,
          { material: line.material, diameterM: lineDiameterM(catalogue, line) },
          { turns, loopM: DEFAULT_LOOP_M },
        ),
      )
      .reduce((sum, each) => sum + each, 0),
  }
}

const cold = ({ id, minutes }: KnotChoice) => minutes * KNOT_FACTS[id].coldFactor
/** Smaller is better. */
const ORDER: Record<Wish, (choice: KnotChoice) => number> = {
  strength: ({ strengthN }) => -strengthN,
  guides: ({ bulkM, share }) => bulkM / share,
  speed: ({ minutes }) => minutes,
  sea: (choice) => cold(choice) / choice.share,
  cold,
  swing: ({ strengthN }) => -strengthN,
  snug: ({ strengthN }) => -strengthN,
}

export const isKnot = (id: string): id is KnotId => id in KNOT_FACTS

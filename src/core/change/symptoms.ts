import type { Happening } from '../documents/tripEvent.ts'

/** What happened on one rod, and when. */
export type RodEvent = { at: string; what: Happening }

export const SYMPTOMS = [
  'tracesLost',
  'sinkersLost',
  'brokeInCast',
  'brokeInRun',
  'lostAtSide',
  'bittenOffAgain',
  'bittenOff',
  'lineChafed',
  'drags',
  'sinkerBuried',
  'tangles',
  'baitSpins',
  'hookedDeep',
  'oneHook',
  'bitesNoFish',
  'smallFish',
  'fishFollow',
  'noBitesOthersCatch',
  'noBites',
] as const
export type Symptom = (typeof SYMPTOMS)[number]

const MINUTE_MS = 60_000
/** What lies further back than this says little about now. */
const WINDOW_MS = 60 * MINUTE_MS
/** So long without a bite is long: the time of two baits. A working value of the craft. */
const QUIET_MS = 40 * MINUTE_MS
/** So many of a kind are no accident. */
const SEVERAL = 3
const AGAIN = 2

/**
 * What the last hour on a rod shows, the most pressing first: what loses gear or fish comes before what catches none. Signs that the
 * craft reads; no chances.
 * @param now the instant that is asked about, ms; what comes after it is not looked at.
 */
export function symptomsOf(events: readonly RodEvent[], now: number): Symptom[] {
  const recent = sinceLastChange(events, now).filter(({ at }) => Date.parse(at) >= now - WINDOW_MS)
  const all = recent.map(({ what }) => what)
  const count = (is: (what: Happening) => boolean) => all.filter(is).length
  const of = (type: Happening['type']) => count((what) => what.type === type)
  const seen = (sign: string) => all.some((what) => what.type === 'seen' && what.sign === sign)
  const fish = all.filter((what) => what.type === 'fish')
  const touches = of('bite') + of('missed') + of('fish') + of('lost') + of('biteOff')
  const broke = (during: string) => count((what) => what.type === 'break' && what.during === during)
  const lostIn = (lost: string) => count((what) => what.type === 'snag' && what.lost === lost)
  const lastHold = all.findLast(({ type }) => type === 'held' || type === 'dragged')
  const shown: Record<Symptom, boolean> = {
    tracesLost: lostIn('trace') + broke('snag') > 0,
    sinkersLost: lostIn('sinker') > 0 || of('snag') >= SEVERAL,
    brokeInCast: broke('cast') > 0,
    brokeInRun: broke('run') > 0,
    lostAtSide: broke('hand') > 0 || count((what) => what.type === 'lost' && what.where === 'side') > 0,
    bittenOffAgain: of('biteOff') >= AGAIN,
    bittenOff: of('biteOff') === 1,
    lineChafed: seen('lineChafed'),
    drags: lastHold?.type === 'dragged',
    sinkerBuried: seen('sinkerBuried'),
    tangles: of('tangle') > 0,
    baitSpins: seen('baitSpins'),
    hookedDeep: fish.filter(({ hooked }) => hooked === 'deep').length >= AGAIN,
    oneHook: isOnOneHook(all),
    bitesNoFish: of('bite') + of('missed') + of('lost') >= SEVERAL && fish.length === 0,
    smallFish: seen('smallFish') || seen('baitStripped') || (fish.length >= AGAIN && fish.every(({ size }) => size === 'small')),
    fishFollow: seen('fishFollow'),
    noBitesOthersCatch: touches === 0 && seen('othersCatch'),
    noBites: touches === 0 && isLongQuiet(recent, now) && !seen('othersCatch'),
  }
  return SYMPTOMS.filter((symptom) => shown[symptom])
}

/** What happened since the trace or its parts were last changed: a change starts anew. */
function sinceLastChange(events: readonly RodEvent[], now: number): RodEvent[] {
  const before = events.filter(({ at }) => Date.parse(at) <= now).toSorted((a, b) => a.at.localeCompare(b.at))
  return before.slice(before.findLastIndex(({ what }) => what.type === 'changed') + 1)
}

/** Whether every bite and fish that names its hook names the same one, and several do. */
function isOnOneHook(all: readonly Happening[]): boolean {
  const hooks = all.flatMap((what) => ('hook' in what && what.hook !== undefined ? [what.hook] : []))
  return hooks.length >= SEVERAL && new Set(hooks).size === 1
}

/** Whether a line lies in the water for long, with nothing on it. */
function isLongQuiet(recent: readonly RodEvent[], now: number): boolean {
  const first = recent.find(({ what }) => what.type === 'cast')
  return first !== undefined && now - Date.parse(first.at) >= QUIET_MS
}

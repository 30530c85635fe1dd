import type { Gear } from '../documents/gear.ts'
import type { Setup } from '../setup/setup.ts'
import type { ChangeId } from './changeIds.ts'
import { type RodEvent, type Symptom, symptomsOf } from './symptoms.ts'
import { type Cost, tryChange } from './tryChange.ts'

/** A single change that is worth trying now, why, and what it does to the verdicts. */
export type Change = { id: ChangeId; symptom: Symptom | 'none'; why: string; costs: Cost[]; with?: string }

/** More than these are no longer one change at a time. */
const MAX_CHANGES = 5

/** What most people try, in their order; what is missing or cannot be made here is passed over. */
const TRIED_FOR: Readonly<Record<Symptom, readonly ChangeId[]>> = {
  tracesLost: ['weakLink', 'sinkerShape', 'raiseOffBottom', 'moveMark'],
  sinkersLost: ['weakLink', 'sinkerShape', 'raiseOffBottom', 'moveMark'],
  brokeInCast: ['heavierLeader', 'brakeCast', 'retie'],
  brokeInRun: ['lowerDrag', 'retie', 'heavierLeader'],
  lostAtSide: ['lowerDrag', 'longerLeader'],
  bittenOffAgain: ['biteTrace', 'heavierLeader', 'retie'],
  bittenOff: ['retie', 'cutBack'],
  lineChafed: ['cutBack', 'heavierLeader', 'longerLeader'],
  drags: ['moreBow', 'gripSinker', 'heavierSinker', 'thinnerMain'],
  sinkerBuried: ['sinkerShape', 'raiseOffBottom'],
  tangles: ['brakeCast', 'shorterSnood', 'stifferSnood', 'widerSpacing', 'clipBait', 'swivel'],
  baitSpins: ['hookPosition', 'swivel'],
  hookedDeep: ['hookKind', 'largerHook', 'strike'],
  oneHook: ['snoodsTowards'],
  bitesNoFish: ['smallerHook', 'hookPosition', 'strike', 'hookKind'],
  smallFish: ['biggerBait', 'largerHook'],
  fishFollow: ['longerLeader', 'thinnerHookLine', 'smallerHook'],
  noBitesOthersCatch: ['thinnerHookLine', 'longerHookLine', 'smallerHook', 'otherBait'],
  noBites: ['depth', 'otherBait', 'raiseOffBottom', 'moveMark'],
}

const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  tracesLost: 'Traces are lost in snags.',
  sinkersLost: 'Sinkers are lost in snags.',
  brokeInCast: 'It broke in the cast.',
  brokeInRun: 'It broke while a fish ran.',
  lostAtSide: 'A fish was lost at the side.',
  bittenOffAgain: 'It was bitten off again and again.',
  bittenOff: 'It was bitten off once.',
  lineChafed: 'The line is chafed.',
  drags: 'The sinker drags.',
  sinkerBuried: 'The sinker is buried.',
  tangles: 'The trace tangles.',
  baitSpins: 'The bait spins.',
  hookedDeep: 'Fish are hooked deep.',
  oneHook: 'One hook gets all the bites.',
  bitesNoFish: 'There are bites and no fish.',
  smallFish: 'Small fish take the bait.',
  fishFollow: 'Fish follow and do not take.',
  noBitesOthersCatch: 'There are no bites, and others catch.',
  noBites: 'There are no bites.',
}

/**
 * A short list of single changes for a rod, the first to try first: from what was seen in the last hour, each with gear that is along,
 * each tried on the trace. With several symptoms the first change for each comes before the second for any. Order: the craft's.
 * @param now the instant that is asked about, ms.
 */
export function whatToChange(
  setup: Setup,
  gear: readonly Gear[] | undefined,
  events: readonly RodEvent[],
  now: number,
): Change[] {
  const symptoms = symptomsOf(events, now)
  const lists = symptoms.map((symptom) =>
    TRIED_FOR[symptom].flatMap((id): Change[] => {
      const outcome = tryChange(id, { setup, gear, symptom })
      return outcome ? [{ id, symptom, why: SYMPTOM_WORDS[symptom], ...outcome }] : []
    }),
  )
  const ranked = Array.from({ length: MAX_CHANGES }, (_, place) => lists.flatMap((list) => list[place] ?? [])).flat()
  const once = ranked.filter(({ id }, i) => ranked.findIndex((each) => each.id === id) === i).slice(0, MAX_CHANGES)
  return once.length > 0 ? once : [{ id: 'nothing', symptom: 'none', why: 'Nothing asks for a change yet.', costs: [] }]
}

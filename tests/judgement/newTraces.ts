import type { FamilyId } from '../../src/core/catalogue/familyIds.ts'
import type { Conditions } from '../../src/core/documents/conditions.ts'
import type { DemoOutfit } from '../../src/server/demo/outfits.ts'

/**
 * A fish, a place and an outfit; the family that most would tie there, a hook as most would take it for that bait, and why. The draft
 * of it must have nothing found against it above a note, and its hook must lie within a size of the one here.
 */
export type NewTraceCase = {
  fish: string
  mark: string
  outfit: DemoOutfit
  family: FamilyId
  hook: string
  why: string
  more?: Pick<Conditions, 'clarity' | 'light'>
}

const on = (
  fish: string,
  mark: string,
  outfit: DemoOutfit,
  family: FamilyId,
  hook: string,
  why: string,
  more?: NewTraceCase['more'],
): NewTraceCase => ({ fish, mark, outfit, family, hook, why, ...(more ? { more } : {}) })

export const NEW_TRACES: readonly NewTraceCase[] = [
  on(
    'smooth-hound',
    'Hesk Bar',
    'beach',
    'runningLedger',
    '3/0',
    'a small mouth that sucks: a middling circle, for it goes back',
  ),
  on('smooth-hound', 'Hesk Bar', 'beach', 'pulley', '6/0', 'half a fish on two hooks wants the larger gap'),
  on('smooth-hound', 'Long Ledge', 'rocks', 'threeWay', '3/0', 'the same hook; the ledge costs sinkers, so a weak link'),
  on('smooth-hound', 'Kettle Narrows', 'deep', 'runningLedger', '3/0', 'lead for the stream, the hook as ashore'),
  on(
    'tope',
    'Hesk Bar',
    'beach',
    'runningLedger',
    '10/0',
    'a wide mouth and a fish bait: a big circle, strong line for its teeth',
  ),
  on('tope', 'Kettle Narrows', 'boat', 'pulley', '10/0', 'the pulley keeps the sinker out of the fight'),
  on('tope', 'Outer Bank', 'deep', 'threeWay', '10/0', 'on the drift the hook line is longer than the fish'),
  on('conger', 'Long Ledge', 'beach', 'threeWay', '5/0', 'a J, for it is said to shake circles; rough ground: a weak link'),
  on('conger', 'Kettle Narrows', 'boat', 'threeWay', '5/0', 'heavy line at the hook for its teeth'),
  on('conger', 'The Sill', 'deep', 'threeWay', '5/0', 'the same in deep water'),
  on('pollack', 'Long Ledge', 'rocks', 'freeLine', '1/0', 'a live sandeel swims with a light hook; line that it does not see', {
    clarity: 'clear',
    light: 'day',
  }),
  on('pollack', 'Kettle Narrows', 'boat', 'liveBaitLeader', '1', 'a leader of the rod’s length; the bait decides the hook', {
    clarity: 'clear',
  }),
  on('pollack', 'Long Ledge', 'rocks', 'slidingFloat', '1/0', 'under a float at the kelp’s edge', { light: 'night' }),
  on('ling', 'Kettle Narrows', 'boat', 'threeWay', '4/0', 'a large mouth: a small hook is swallowed'),
  on('ling', 'Outer Bank', 'boat', 'threeWay', '4/0', 'on the drift, with teeth to mind'),
  on('ling', 'The Sill', 'deep', 'pulley', '4/0', 'half a fish on two hooks, clear of the rough'),
  on('turbot', 'Hesk Bar', 'beach', 'runningLedger', '1/0', 'kept for the table: a J that clears a strip'),
  on('turbot', 'Outer Bank', 'boat', 'runningLedger', '1/0', 'on the bank’s edge adrift'),
  on('gurnard', 'Hesk Bar', 'rocks', 'boomPaternoster', '2', 'several small baits; a small hook for a small mouth'),
  on('gurnard', 'Outer Bank', 'boat', 'boomPaternoster', '2', 'the same over the boat’s side'),
]

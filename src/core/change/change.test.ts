import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import type { FamilyId } from '../catalogue/familyIds.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Gear } from '../documents/gear.ts'
import { hookPieces } from '../documents/pieces.ts'
import type { Happening } from '../documents/tripEvent.ts'
import { GEAR_VERSION } from '../documents/versions.ts'
import { judge } from '../moments/judge.ts'
import { CHANGE_IDS, type ChangeId } from './changeIds.ts'
import { parseChangeRequest } from './parseChangeRequest.ts'
import type { RodEvent } from './symptoms.ts'
import { tryChange } from './tryChange.ts'
import { whatToChange } from './whatToChange.ts'

const outfit = braidOutfit(50)
const setupFor = (family: FamilyId) => setupOf(draftOf(family, outfit, defaultConditions()).trace, outfit, defaultConditions())
const paternoster = setupFor('boomPaternoster')
const ledger = setupFor('runningLedger')
const hookA = hookPieces(paternoster.trace)[0]!.id

const NOW = Date.parse('2026-11-30T20:00:00Z')
const ago = (minutes: number, what: Happening): RodEvent => ({ at: new Date(NOW - minutes * 60_000).toISOString(), what })
const fish = (change: Partial<Extract<Happening, { type: 'fish' }>> = {}): Happening => ({
  type: 'fish',
  name: 'pouting',
  size: 'usual',
  isKept: false,
  hooked: 'lip',
  ...change,
})
const cast = { type: 'cast' } as const
const bite = (hook?: string): Happening => ({ type: 'bite', ...(hook ? { hook } : {}) })
const seen = (sign: Extract<Happening, { type: 'seen' }>['sign']): Happening => ({ type: 'seen', sign })
const snag = (lost: 'nothing' | 'sinker' | 'trace'): Happening => ({ type: 'snag', lost })
const broke = (during: 'cast' | 'run' | 'snag' | 'hand'): Happening => ({ type: 'break', during })
const casting = [55, 40, 20].map((minutes) => ago(minutes, cast))

const common = { formatVersion: GEAR_VERSION } as const
const gear: Gear[] = [
  { ...common, kind: 'line', name: 'mono 12', material: 'mono', strengthN: 12 * LB, lengthM: 100 },
  { ...common, kind: 'line', name: 'mono 25', material: 'mono', strengthN: 25 * LB, lengthM: 100 },
  { ...common, kind: 'line', name: 'mono 80', material: 'mono', strengthN: 80 * LB, lengthM: 100 },
  { ...common, kind: 'line', name: 'mono 60', material: 'mono', strengthN: 60 * LB, lengthM: 100 },
  { ...common, kind: 'line', name: 'wire 40', material: 'wire', strengthN: 40 * LB, lengthM: 10 },
  ...(['1', '1/0', '2/0', '4/0', '6/0', '8/0'] as const).flatMap((size): Gear[] => [
    { ...common, kind: 'hook', name: `circle ${size}`, pattern: 'circle', size },
    { ...common, kind: 'hook', name: `J ${size}`, pattern: 'j', size },
  ]),
  { ...common, kind: 'sinker', name: 'wired 175', shape: 'gripWire', massKg: 0.175 },
  { ...common, kind: 'sinker', name: 'bomb 200', shape: 'bomb', massKg: 0.2 },
  { ...common, kind: 'hardware', name: 'swivel', type: 'swivel', size: '4' },
  { ...common, kind: 'bait', name: 'crab', bait: 'peelerCrab' },
]

type Situation = { what: string; events: RodEvent[]; first: ChangeId[]; setup?: typeof ledger; gear?: Gear[] }

/** What happened, and the changes that most people would try first: one of them is to be first or second. */
const SITUATIONS: readonly Situation[] = [
  {
    what: 'no bites, others catch',
    events: [...casting, ago(5, seen('othersCatch'))],
    first: ['thinnerHookLine', 'longerHookLine'],
  },
  { what: 'the same on one hook', events: [...casting, ago(5, seen('othersCatch'))], first: ['thinnerHookLine'], setup: ledger },
  { what: 'no bites, nobody catches', events: casting, first: ['depth', 'otherBait'] },
  { what: 'no bites on a running ledger', events: casting, first: ['depth', 'otherBait'], setup: ledger },
  {
    what: 'bites, no fish',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, bite()))],
    first: ['smallerHook', 'hookPosition'],
  },
  {
    what: 'bites missed',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, { type: 'missed' }))],
    first: ['smallerHook', 'hookPosition'],
  },
  {
    what: 'bites, no fish, only large hooks along',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, bite()))],
    first: ['hookPosition', 'strike'],
    gear: [],
  },
  {
    what: 'fish come off',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, { type: 'lost', where: 'run' } as const))],
    first: ['smallerHook', 'hookPosition', 'strike'],
  },
  {
    what: 'one hook gets all the bites',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, fish({ hook: hookA })))],
    first: ['snoodsTowards'],
  },
  {
    what: 'small fish',
    events: [...casting, ...[30, 20].map((m) => ago(m, fish({ size: 'small' })))],
    first: ['biggerBait', 'largerHook'],
  },
  { what: 'bait stripped', events: [...casting, ago(9, seen('baitStripped'))], first: ['biggerBait', 'largerHook'] },
  {
    what: 'deep in a J',
    events: [...casting, ...[30, 20].map((m) => ago(m, fish({ hooked: 'deep' })))],
    first: ['hookKind', 'largerHook'],
  },
  { what: 'bitten off once', events: [...casting, ago(9, { type: 'biteOff' })], first: ['retie', 'cutBack'] },
  {
    what: 'bitten off again',
    events: [...casting, ago(19, { type: 'biteOff' }), ago(9, { type: 'biteOff' })],
    first: ['biteTrace', 'heavierLeader'],
  },
  {
    what: 'bitten off again, no wire along',
    events: [...casting, ago(19, { type: 'biteOff' }), ago(9, { type: 'biteOff' })],
    first: ['heavierLeader'],
    gear: gear.filter(({ name }) => name !== 'wire 40'),
  },
  { what: 'chafed', events: [...casting, ago(9, seen('lineChafed'))], first: ['cutBack', 'retie'] },
  { what: 'drags', events: [...casting, ago(9, { type: 'dragged' })], first: ['moreBow', 'gripSinker'] },
  {
    what: 'drags after it held',
    events: [...casting, ago(30, { type: 'held' }), ago(9, { type: 'dragged' })],
    first: ['moreBow', 'gripSinker'],
  },
  { what: 'holds after it dragged', events: [ago(30, { type: 'dragged' }), ago(9, { type: 'held' })], first: ['nothing'] },
  { what: 'buried', events: [...casting, ago(9, seen('sinkerBuried'))], first: ['sinkerShape', 'raiseOffBottom'] },
  { what: 'a sinker lost', events: [...casting, ago(9, snag('sinker'))], first: ['weakLink', 'sinkerShape'] },
  {
    what: 'snagged again and again',
    events: [...casting, ...[30, 20, 9].map((m) => ago(m, snag('nothing')))],
    first: ['weakLink', 'sinkerShape', 'raiseOffBottom'],
  },
  { what: 'everything lost', events: [...casting, ago(9, snag('trace'))], first: ['weakLink'] },
  { what: 'tangles', events: [...casting, ago(9, { type: 'tangle' })], first: ['brakeCast', 'shorterSnood'] },
  { what: 'bait spins', events: [...casting, ago(9, seen('baitSpins'))], first: ['hookPosition', 'swivel'] },
  { what: 'fish follow', events: [...casting, ago(9, seen('fishFollow'))], first: ['longerLeader', 'thinnerHookLine'] },
  {
    what: 'lost at the side',
    events: [...casting, ago(9, { type: 'lost', where: 'side' })],
    first: ['lowerDrag', 'longerLeader'],
  },
  { what: 'broke in the hand', events: [...casting, ago(9, broke('hand'))], first: ['lowerDrag', 'longerLeader'] },
  { what: 'broke in the cast', events: [...casting, ago(9, broke('cast'))], first: ['heavierLeader', 'brakeCast'] },
  { what: 'broke in a run', events: [...casting, ago(9, broke('run'))], first: ['lowerDrag', 'retie'] },
  { what: 'just begun', events: [ago(9, cast)], first: ['nothing'] },
  { what: 'fish come well', events: [...casting, ago(30, fish()), ago(9, fish())], first: ['nothing'] },
  {
    what: 'a change was just made',
    events: [...[30, 20, 9].map((m) => ago(m, bite())), ago(2, { type: 'changed', part: 'hook', to: '1/0' })],
    first: ['nothing'],
  },
]

describe('what to change now', () => {
  test.each(SITUATIONS)('$what', ({ events, first, setup = paternoster, gear: along = gear }) => {
    const changes = whatToChange(setup, along, events, NOW)
    const [one, two] = changes
    expect(
      first.some((id) => id === one?.id || id === two?.id),
      JSON.stringify(changes.map(({ id }) => id)),
    ).toBe(true)
    expect(changes.length).toBeLessThanOrEqual(5)
    expect(new Set(changes.map(({ id }) => id)).size).toBe(changes.length)
    for (const change of changes) {
      expect(CHANGE_IDS).toContain(change.id)
      expect(change.costs.every(({ after }) => after !== 'fails')).toBe(true)
      if (change.with !== undefined) expect(along.map(({ name }) => name)).toContain(change.with)
    }
  })

  test('what is not along is not advised; with nothing said of the gear it is', () => {
    const events = [...casting, ago(5, seen('othersCatch'))]
    const ids = (along: Gear[] | undefined) => whatToChange(paternoster, along, events, NOW).map(({ id }) => id)
    expect(ids([])).not.toContain('thinnerHookLine')
    expect(ids([])).not.toContain('smallerHook')
    expect(ids(undefined).slice(0, 2)).toEqual(['thinnerHookLine', 'longerHookLine'])
    expect(whatToChange(paternoster, gear, events, NOW)[0]).toMatchObject({
      id: 'thinnerHookLine',
      with: expect.stringMatching(/^mono/),
    })
  })

  test('with two symptoms the first change for each comes before the second for any', () => {
    const events = [...casting, ago(9, snag('trace')), ago(5, { type: 'tangle' })]
    expect(
      whatToChange(paternoster, gear, events, NOW)
        .map(({ id }) => id)
        .slice(0, 2),
    ).toEqual(['weakLink', 'brakeCast'])
  })

  test('a request is read with gear of an earlier format; what is wrong is named by its path', () => {
    const { trace, conditions } = paternoster
    const request = { trace, outfit, conditions, events: casting }
    const old = { formatVersion: 3, kind: 'hook', name: 'old', pattern: 'j', size: '1/0' }
    const read = parseChangeRequest({ ...request, gear: [old] }, catalogue)
    expect(read.ok && read.request).toMatchObject({
      gear: [{ formatVersion: GEAR_VERSION, name: 'old' }],
      now: Date.parse(casting.at(-1)!.at),
    })
    const wrong = parseChangeRequest({ ...request, events: [{ at: 'yesterday', what: cast }] }, catalogue)
    expect(wrong.ok ? [] : wrong.issues.map(({ path }) => path.join('.'))).toEqual(['events.0.at'])
    expect(parseChangeRequest({ ...request, trace: {} }, catalogue).ok).toBe(false)
  })
})

describe('a change is tried on the trace', () => {
  const tried = (id: ChangeId, along: Gear[] | undefined, setup = paternoster) =>
    tryChange(id, { setup, gear: along, symptom: 'tracesLost' })

  test('a weak link makes Snag hold, or better, and nothing fail', () => {
    const outcome = tried('weakLink', gear, ledger)!
    expect(outcome.costs.every(({ after }) => after !== 'fails')).toBe(true)
    const before = judge(ledger).moments.snag!.verdict
    expect(outcome.costs.filter(({ moment }) => moment === 'snag')).toEqual(
      before === 'holds' ? [] : [{ moment: 'snag', before, after: 'holds' }],
    )
    const weak = { ...ledger, trace: { ...ledger.trace, weakLink: ledger.trace.pieces[0]!.id } }
    expect(tried('weakLink', gear, weak)).toBeUndefined()
  })

  test('a sinker is the one along that is nearest in mass and goes; without one there is none, untold it is left open', () => {
    const heavier: Gear[] = [
      { ...common, kind: 'sinker', name: 'bomb 900', shape: 'bomb', massKg: 0.9 },
      { ...common, kind: 'sinker', name: 'bomb 170', shape: 'bomb', massKg: 0.17 },
    ]
    expect(tried('heavierSinker', heavier)).toHaveProperty('with', 'bomb 170')
    expect(tried('heavierSinker', [])).toBeUndefined()
    expect(tried('heavierSinker', undefined)).toEqual({ costs: [] })
  })
})

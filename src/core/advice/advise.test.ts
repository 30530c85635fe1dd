import { describe, expect, test } from 'vitest'
import type { Content } from '../../../tests/fixtures/judgedDrafts.ts'
import {
  advised,
  base,
  fished,
  found,
  inWords,
  joint,
  judged,
  lowered,
  of,
  outfit,
  set,
  under,
  withOutfit,
  without,
} from '../../../tests/fixtures/judgedDrafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { targetNamed } from '../../../tests/fixtures/purposes.ts'
import { catalogue, rigOf } from '../../../tests/fixtures/setups.ts'
import { pieceRef } from '../documents/linkRef.ts'
import { type MovingBy, type SwimsAt, usualMoving } from '../documents/moving.ts'
import { defaultWater } from '../documents/water.ts'
import { addPart } from '../edit/addPart.ts'
import { fixedOn } from '../edit/attach.ts'
import { withLength, withoutClip } from '../edit/changes.ts'
import { placesAt } from '../edit/places.ts'
import { FAMILIES } from '../families/families.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { phraseText } from '../units/phrase.ts'
import { RULE_IDS } from './advise.ts'
import { tryRemedies } from './tryRemedies.ts'

const monoOutfit = braidOutfit(20, { wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] })
const trolledAt = (swimsAt: SwimsAt) => ({ ...(usualMoving('trolled') as MovingBy<'trolled'>), swimsAt })

/** One failing example of each rule; `bare` where no step on the trace or its conditions could fix it. */
const EXAMPLES: Record<string, { failing: () => Content; passing?: () => Content; bare?: true }> = {
  'knot-slips-in-braid': { failing: () => of(base('slidingFloat'), joint('swivel', { connection: 'clinch' })) },
  'few-turns': { failing: () => of(base('runningLedger'), joint('swivel', { connection: 'clinch', turns: 2 })) },
  'blood-unlike': {
    failing: () =>
      of(base('rotating'), (trace) =>
        joint('tail-line', { connection: 'blood' })(set('tail-line', { strengthN: 15 * LB })(trace)),
      ),
  },
  'leader-out-of-reach': {
    failing: () =>
      fished(
        of(base('runningLedger', lowered), (trace) => withLength(trace, 'leader', 0.2)),
        { landing: 'leadered', freeboardM: 6 },
      ),
  },
  'no-weak-link': {
    failing: () =>
      inWords('leader 40 lb 2 m, three-way swivel 4 (hook length 40 lb 60 cm, J 2/0, strip; bomb 200 g)', {
        water: { ...defaultWater(catalogue, 'anchor'), bed: 'rock', depthM: 15, streamMperS: 0.2 },
      }),
  },
  'open-point-over-rock': {
    failing: () =>
      inWords('leader 20 lb 1 m, J 2/0, soft lure 14 g', {
        water: { ...defaultWater(catalogue, 'shore'), bed: 'rock', depthM: 6 },
      }),
    passing: () =>
      inWords('leader 20 lb 1 m, J 2/0 weed guard, soft lure 14 g', {
        water: { ...defaultWater(catalogue, 'shore'), bed: 'rock', depthM: 6 },
      }),
  },
  'chafes-on-rock': {
    failing: () =>
      inWords('leader 30 lb 3 m, J 2/0, prawn', { water: { ...defaultWater(catalogue, 'drift'), bed: 'rock', depthM: 20 } }),
  },
  'weight-parts-from-lure': {
    failing: () =>
      inWords('leader 40 lb 1 m (bullet 14 g), J 2/0, soft lure 10 g', {
        fishes: 'worked',
        water: { ...defaultWater(catalogue, 'anchor'), bed: 'rock', depthM: 15 },
      }),
  },
  'live-bait-twists': { failing: () => inWords('leader 30 lb 2 m, J 1/0, live bait 80 g', { on: monoOutfit, fishes: 'swims' }) },
  'bait-half-hooked': { failing: () => inWords('leader 40 lb 1 m, J 5/0, dead bait 250 g', { fishes: 'swims' }) },
  'wire-too-light': {
    failing: () =>
      inWords('leader 60 lb 2 m, swivel 4, bite trace 20 lb 30 cm wire, circle 8/0, fillet', { target: targetNamed('tope') }),
  },
  'too-long-to-cast': {
    failing: () => inWords('leader 60 lb 6 m, bomb 120 g', { castStyle: 'overhead', dropM: 3.4 }),
  },
  'leader-far-over-main': { failing: () => inWords('leader 130 lb 2 m, swivel 1/0, hook length 40 lb 1 m, J 1/0, fillet') },
  'main-line-breaks': {
    failing: () => withOutfit(base('windOn', lowered), { wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] }),
    passing: () => base('windOn', lowered),
    bare: true,
  },
  'equal-labels': {
    failing: () => of(base('liveBaitLeader'), (trace) => set('leader', { strengthN: 50 * LB })(trace)),
  },
  'lighter-than-its-knots-allow': {
    failing: () => fished(of(base('runningLedger', lowered), set('leader', { strengthN: 15 * LB })), { dragN: 9 * LB }),
  },
  'drag-over-ceiling': { failing: () => fished(base('runningLedger'), { dragN: 25 * LB }) },
  'drag-over-reel': { failing: () => fished(base('runningLedger'), { dragN: 160 }) },
  'weak-link-not-weaker': { failing: () => of(base('threeWay', lowered), set('sinker-line', { strengthN: 60 * LB })) },
  'weak-link-too-thin-to-cast': {
    failing: () => of(base('threeWay'), (trace) => withoutClip(set('sinker-line', { strengthN: 12 * LB })(trace), 'sinker')),
  },
  'cast-too-hard': {
    failing: () => fished(of(base('runningLedger'), set('sinker', { massKg: 0.15 })), { castStyle: 'offTheGround' }),
  },
  'leader-under-rule': { failing: () => of(base('runningLedger'), set('leader', { strengthN: 30 * LB })) },
  'no-shock-leader': {
    failing: () => of(base('runningLedger', {}, braidOutfit(12)), (trace) => withLength(trace, 'leader', 2)),
  },
  'hardware-undersize': { failing: () => of(base('runningLedger', lowered), set('swivel', { size: '12' })) },
  'hardware-oversize': {
    failing: () =>
      of(base('freeLine'), (trace) => {
        const added = addPart(rigOf(trace, outfit), placesAt(trace, pieceRef('leader'))[0]!, 'swivel')
        return added.ok ? set('swivel', { size: '1/0' })(added.trace) : trace
      }),
  },
  'hook-hardly-meant': { failing: () => of(base('captiveSinker', lowered), set('hook-c', { size: '4' })) },
  'line-hardly-meant': { failing: () => of(base('runningLedger', lowered), set('leader', { strengthN: 661 * LB })) },
  'joint-misfits': { failing: () => of(base('runningLedger'), joint('swivel', { connection: 'snell' })) },
  'float-goes-under': {
    failing: () => fished(of(base('slidingFloat'), set('sinker', { massKg: 0.1 })), { water: defaultWater(catalogue, 'anchor') }),
  },
  'sinker-chafes-knot': { failing: () => without(base('runningLedger'), 'bead') },
  'sinker-too-light': {
    failing: () => fished(base('threeWay', lowered), { water: { ...defaultWater(catalogue, 'anchor'), streamMperS: 1 } }),
    passing: () => fished(base('threeWay', lowered), { water: { ...defaultWater(catalogue, 'anchor'), streamMperS: 0.2 } }),
  },
  'lower-weight-slower': {
    failing: () =>
      of(base('deepDrop', lowered), (trace) =>
        set('release-weight', { massKg: 0.4, shape: 'bar' })(set('hold-down-sinker', { shape: 'pear' })(trace)),
      ),
    passing: () => base('deepDrop', lowered),
  },
  'swivel-through-bore': {
    failing: () =>
      of(without(base('barrelLead'), 'bead'), (trace) => set('sinker', { massKg: 0.2 })(set('swivel', { size: '12' })(trace))),
  },
  'snoods-meet': {
    failing: () =>
      of(base('boomPaternoster', lowered), (trace) => withLength(withLength(trace, 'snood-a', 0.35), 'snood-b', 0.35)),
  },
  'snood-past-sinker': { failing: () => of(base('rotating'), (trace) => withLength(trace, 'snood', 0.9)) },
  'lower-stop-slips': { failing: () => of(base('rotating'), set('stop-lower', { attach: fixedOn('tail-line', 0.4) })) },
  'stop-through-bore': { failing: () => without(base('slidingFloat'), 'bead-upper') },
  'thick-knot': { failing: () => of(base('captiveSinker', lowered), set('leader', { strengthN: 200 * LB })) },
  'trail-too-long': { failing: () => of(base('runningLedger'), (trace) => withLength(trace, 'hook-length', 3)) },
  'crimp-bore': { failing: () => of(base('windOn'), joint('swivel', { boreM: 0.0015 })) },
  'tandem-alike': { failing: () => of(base('tandemTroll'), set('light', { massKg: 0.05 })) },
  'rod-rating': { failing: () => base('runningLedger', {}, braidOutfit(80)), bare: true },
  'rod-cast-weight': {
    failing: () => withOutfit(base('runningLedger'), { rod: { ...outfit.rod, castLowKg: 0.03, castHighKg: 0.08 } }),
  },
  'spool-overfull': {
    failing: () =>
      base(
        'runningLedger',
        {},
        braidOutfit(50, { wound: [{ role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 400 }] }),
      ),
    bare: true,
  },
  'spool-underfilled': {
    failing: () =>
      base(
        'runningLedger',
        {},
        braidOutfit(50, { wound: [{ role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 150 }] }),
      ),
    bare: true,
  },
  'backing-decides': {
    failing: () =>
      fished(
        base(
          'liveBaitLeader',
          lowered,
          braidOutfit(50, {
            wound: [
              { role: 'backing', material: 'mono', strengthN: 12 * LB, lengthM: 100 },
              { role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 100, joint: { connection: 'doubleUni' } },
            ],
          }),
        ),
        { lineOutM: 120 },
      ),
  },
  'label-sanity': { failing: () => of(base('runningLedger'), set('leader', { diameterM: 0.0003 })) },
  'worn-line': { failing: () => of(base('runningLedger'), set('hook-length', { condition: 0.6 })) },
  'hook-straightens': {
    failing: () => fished(of(base('liveBaitLeader', lowered), set('hook', { size: '8', pattern: 'lightJ' })), { dragN: 6 * LB }),
  },
  'too-long-for-rod': { failing: () => of(base('runningLedger', lowered), (trace) => withLength(trace, 'hook-length', 7)) },
  'off-its-depth': {
    failing: () => fished(base('castingLeader', lowered), { moving: trolledAt({ from: 'surface', m: 8 }) }),
  },
  'legs-meet': {
    failing: () =>
      fished(
        of(base('tandemTroll'), (trace) => set('light', { massKg: 0.06 })(withLength(trace, 'long-leg', 1.5))),
        { moving: trolledAt({ from: 'surface', m: 3.5 }) },
      ),
    bare: true,
  },
  'kite-lead-too-light': {
    failing: () => fished(base('kiteBait'), { moving: { ...(usualMoving('kite') as MovingBy<'kite'>), windMperS: 12 } }),
  },
  'rush-breaks': {
    failing: () => fished(base('castingLeader', lowered), { fishSpeedMperS: 18, rodHeld: 'pointed', lineOutM: 20 }),
  },
  'drop-too-long': { failing: () => of(base('threeWay', lowered), (trace) => withLength(trace, 'sinker-line', 2)) },
  'lift-too-heavy': { failing: () => fished(base('runningLedger', lowered), { fishMassKg: 12 }) },
  'fuse-not-first': {
    failing: () => of(base('runningLedger'), (trace) => ({ ...trace, fuse: { at: 'piece' as const, id: 'swivel' } })),
  },
  'light-near-bait': { failing: () => of(base('deepDrop'), set('band-a', { attach: fixedOn('wind-on', 23) })) },
  'lighter-than-teeth': { failing: () => fished(base('freeLine'), { target: targetNamed('conger') }) },
  'shorter-than-tail': { failing: () => fished(base('splitShot'), { target: targetNamed('tope') }) },
  'heavier-than-shy': {
    failing: () => fished(base('runningLedger'), { target: targetNamed('pollack'), fishMassKg: 1, dragN: 4 * LB }),
  },
  'under-least-size': {
    failing: () =>
      under(fished(of(base('runningLedger'), set('hook', { pattern: 'j' })), { target: targetNamed('turbot') }), {
        leastLengths: [{ fish: 'Turbot', lengthM: 0.55 }],
      }),
    passing: () =>
      under(fished(of(base('runningLedger'), set('hook', { pattern: 'j' })), { target: targetNamed('turbot') }), {
        leastLengths: [{ fish: 'turbot', lengthM: 0.45 }],
      }),
  },
  'bent-circle': { failing: () => of(base('runningLedger'), set('hook', { pattern: 'circle', offset: true })) },
  'hook-kind-for-fish': {
    failing: () => fished(of(base('runningLedger'), set('hook', { pattern: 'j' })), { target: targetNamed('smooth-hound') }),
  },
  'gap-filled': {
    failing: () => of(of(base('runningLedger'), set('hook-bait', { bait: 'wholePouting' })), set('hook', { size: '1' })),
  },
  'hooks-off-bait': { failing: () => of(base('captiveSinker'), set('hook-c-bait', { lengthM: 0.4, depthM: 0.05 })) },
  'hook-tires-bait': { failing: () => of(base('sinkerAtHook'), set('hook', { size: '6/0' })) },
  'no-bead-at-tip': {
    failing: () => of(without(base('runningLedger'), 'bead'), (trace) => withLength(trace, 'hook-length', 7)),
    passing: () => without(base('runningLedger'), 'bead'),
  },
  'bait-spins': { failing: () => of(base('freeLine'), set('hook-bait', { bait: 'cuttlefishStrip' })) },
  'mixed-units': { failing: () => of(base('freeLine'), (trace) => ({ ...trace, notes: '30 lb leader, drag 4 kg' })), bare: true },
  'deeper-than-spool': {
    failing: () =>
      fished(base('runningLedger', lowered), { water: { ...defaultWater(catalogue, 'anchor'), depthM: 500, streamMperS: 0 } }),
    passing: () =>
      fished(base('runningLedger', lowered), { water: { ...defaultWater(catalogue, 'anchor'), depthM: 30, streamMperS: 0 } }),
    bare: true,
  },
  'arms-length': { failing: () => of(base('freeLine'), (trace) => ({ ...trace, notes: "leader an arm's length" })), bare: true },
  'leader-over-rule': {
    failing: () => under(base('windOn'), { maxLeaderM: 4 }),
    passing: () => under(base('windOn'), { maxLeaderM: 12 }),
  },
  'hooks-over-rule': {
    failing: () => under(base('boomPaternoster'), { maxHooks: 1 }),
    passing: () => under(base('boomPaternoster'), { maxHooks: 2 }),
  },
  'circle-required': {
    failing: () => under(base('pulley'), { circleOnly: true }),
    passing: () => under(base('threeWay'), { circleOnly: true }),
  },
  'offset-barred': {
    failing: () => under(of(base('runningLedger'), set('hook', { offset: true })), { nonOffsetOnly: true }),
    passing: () => under(base('runningLedger'), { nonOffsetOnly: true }),
  },
  'barbless-required': {
    failing: () => under(base('runningLedger'), { barblessOnly: true }),
    passing: () => under(of(base('runningLedger'), set('hook', { barbless: true })), { barblessOnly: true }),
  },
  'treble-with-bait': {
    failing: () => under(of(base('runningLedger'), set('hook', { pattern: 'treble', size: '4' })), { trebleWithBait: false }),
    passing: () => under(base('runningLedger'), { trebleWithBait: false }),
  },
  'doubled-loop': {
    failing: () =>
      of(base('threeWay', lowered), (trace) => {
        const added = addPart(rigOf(trace, outfit), { at: 'end', of: 'sinker-line', takes: 'sinker' }, 'double')
        if (!added.ok) throw new Error(added.why)
        return added.trace
      }),
  },
  'barred-parts': {
    failing: () => under(base('deepDrop'), { lightsAllowed: false }),
    passing: () => under(base('biteTrace'), { lightsAllowed: false }),
  },
}

test('there are at least 30 rules, and every one has its example here', () => {
  expect(RULE_IDS.length).toBeGreaterThanOrEqual(30)
  expect(new Set(RULE_IDS).size).toBe(RULE_IDS.length)
  expect(Object.keys(EXAMPLES).toSorted()).toEqual(RULE_IDS.toSorted())
})

describe.each(Object.entries(EXAMPLES))('%s', (rule, { failing, passing, bare }) => {
  test('speaks up where it should, in a sentence with its figures, and not otherwise', () => {
    const findings = found(failing(), rule)
    expect(findings.length).toBeGreaterThan(0)
    for (const { why } of findings) {
      const text = phraseText(why, ({ si }) => String(si))
      expect(text).toMatch(/^\S.*[.]$/)
      expect(text).not.toMatch(/NaN|undefined|Infinity/)
    }
    for (const content of passing ? [passing()] : [base('runningLedger'), base('liveBaitLeader')])
      expect(found(content, rule)).toEqual([])
  })

  test(bare ? 'nothing on the trace could fix it' : 'a remedy fixes it', () => {
    const content = failing()
    const before = judged(content)
    const [finding] = found(content, rule)
    const [remedy] = tryRemedies(finding!, advised(content, before))
    if (bare) {
      expect(remedy).toBeUndefined()
      return
    }
    expect(remedy, `none of: ${finding!.remedies.map(({ label }) => label).join('; ')}`).toBeDefined()
    expect(parseTrace(remedy!.trace, catalogue).ok).toBe(true)
    expect(judged({ ...content, ...remedy! }).findings.map(({ id }) => id)).not.toContain(finding!.id)
  })
})

test('a sound draft of any family shows nothing above a note', () => {
  for (const { id, casts } of FAMILIES)
    for (const castStyle of casts) {
      const { findings } = judged(base(id, { castStyle }))
      expect(
        findings.filter(({ severity }) => severity !== 'note').map((finding) => `${id} ${castStyle}: ${finding.id}`),
      ).toEqual([])
    }
})

test('a length by the body is met in any form of arm lengths', () => {
  for (const notes of [
    "an arm's length",
    'two arm lengths',
    'three arms’ lengths',
    'arm-span',
    'a rod length',
    'hand spans apart',
  ])
    expect(
      found(
        of(base('freeLine'), (trace) => ({ ...trace, notes })),
        'arms-length',
      ),
      notes,
    ).toHaveLength(1)
  expect(
    found(
      of(base('freeLine'), (trace) => ({ ...trace, notes: 'alarm at length' })),
      'arms-length',
    ),
  ).toEqual([])
})

test('a knot that is weak for want of turns says so, and is tied with the usual ones first', () => {
  const few = fished(of(base('runningLedger'), joint('swivel', { connection: 'clinch', turns: 2 })), { dragN: 25 * LB })
  const [finding] = found(few, 'lighter-than-its-knots-allow')
  const why = finding!.why.map((part) => (typeof part === 'string' ? part : '#')).join('')
  expect(why).toMatch(/It has 2 turns; \d+ are usual/)
  expect(why).not.toContain('too light')
  expect(finding!.remedies[0]!.label).toMatch(/^tie it with \d+ turns$/)
})

test('far too many turns in thick line are said, in thin line they are not', () => {
  const turns = (lb: number) =>
    found(
      of(base('runningLedger'), (trace) =>
        joint('swivel', { connection: 'uni', turns: 14 })(set('leader', { strengthN: lb * LB })(trace)),
      ),
      'few-turns',
    )
  expect(turns(80).map(({ severity }) => severity)).toEqual(['note'])
  expect(turns(10)).toEqual([])
})

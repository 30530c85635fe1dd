import { NOMINAL_CATALOGUE } from '../../src/core/catalogue/catalogue.ts'
import { defaultWater } from '../../src/core/documents/water.ts'
import { withLength } from '../../src/core/edit/changes.ts'
import { FAMILIES } from '../../src/core/families/families.ts'
import type { Content } from '../fixtures/judgedDrafts.ts'
import { base, fished, joint, lowered, of, ruleSet, set, withOutfit } from '../fixtures/judgedDrafts.ts'
import { braidOutfit, LB } from '../fixtures/outfits.ts'
import { contentOf, KINDS } from './kinds.ts'

/** A trace that is sound: no finding above a note, and no moment that fails. */
export type Good = { name: string; content: Content }

const water = (method: Parameters<typeof defaultWater>[1], more: object) => ({
  water: { ...defaultWater(NOMINAL_CATALOGUE, method), ...more },
})
const surf = braidOutfit(30)
const monoSurf = braidOutfit(20, { wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] })

export const GOOD: readonly Good[] = [
  // Every family as drafted, for its usual cast.
  ...FAMILIES.map(({ id, casts: [castStyle] }) => ({
    name: `${id} as drafted on 50 lb braid`,
    content: base(id, { castStyle }),
  })),
  ...FAMILIES.filter(({ casts }) => casts.includes('none')).map(({ id }) => ({
    name: `${id} as drafted on 30 lb braid, lowered`,
    content: base(id, lowered, surf),
  })),
  ...(['runningLedger', 'clippedDown', 'pulley', 'boomPaternoster'] as const).map((id) => ({
    name: `${id} as drafted on 20 lb mono`,
    content: base(id, {}, monoSurf),
  })),
  // As people change them.
  {
    name: 'a uni through the loop of a bimini',
    content: of(base('heavyBottom', lowered), joint('three-way', { connection: 'uni' })),
  },
  {
    name: 'a cat’s paw of a double on a three-way',
    content: of(base('heavyBottom', lowered), joint('three-way', { connection: 'catsPaw' })),
  },
  {
    name: 'a splice in hollow braid',
    content: of(
      withOutfit(base('kiteBait', lowered), { wound: [{ role: 'main', material: 'braid', strengthN: 50 * LB, hollow: true }] }),
      joint('swivel', { connection: 'splice' }),
    ),
  },
  {
    name: 'an improved albright to the leader',
    content: of(base('liveBaitLeader', lowered), joint('leader', { connection: 'modifiedAlbright' })),
  },
  {
    name: 'a PR with forty turns',
    content: of(base('liveBaitLeader', lowered), joint('leader', { connection: 'pr', turns: 40 })),
  },
  {
    name: 'a strip a long way from a ball-bearing swivel',
    content: of(base('runningLedger', lowered), (trace) =>
      withLength(
        set('hook-bait', { bait: 'cuttlefishStrip' })(set('swivel', { type: 'ballBearingSwivel' })(trace)),
        'hook-length',
        2.5,
      ),
    ),
  },
  {
    name: 'a long hook length whose leader is taken by hand',
    content: fished(
      of(base('runningLedger', lowered), (trace) => withLength(trace, 'hook-length', 7)),
      { landing: 'leadered' },
    ),
  },
  {
    name: 'a heavy fish that is netted',
    content: fished(base('runningLedger', lowered), { fishMassKg: 5, landing: 'net' }),
  },
  {
    name: 'small shot of tungsten where small lead is barred',
    content: {
      ...of(base('splitShot', lowered), set('sinker', { massKg: 0.002, metal: 'tungsten' })),
      ruleSet: { ...ruleSet, leastLeadKg: 0.028 },
    },
  },
  { name: 'a palomar at the hook', content: of(base('runningLedger'), joint('hook', { connection: 'palomar' })) },
  {
    name: 'a clinch with its usual turns said',
    content: of(base('runningLedger', lowered), joint('swivel', { connection: 'improvedClinch', turns: 5 })),
  },
  { name: 'a shorter hook length', content: of(base('runningLedger'), (trace) => withLength(trace, 'hook-length', 0.5)) },
  { name: 'a free line in a strong stream', content: fished(base('freeLine', lowered), water('anchor', { streamMperS: 1 })) },
  { name: 'a float in a strong stream', content: fished(base('slidingFloat', lowered), water('anchor', { streamMperS: 1.5 })) },
  { name: 'a lure over deep water', content: fished(base('straightLure', lowered), water('drift', { depthM: 60 })) },
  { name: 'a ledger in slack water', content: fished(base('runningLedger', lowered), water('anchor', { streamMperS: 0 })) },
  {
    name: 'a wired lead in a fair stream',
    content: fished(base('clippedDown'), water('shore', { streamMperS: 0.4, distanceM: 70 })),
  },
  { name: 'a spool that was pulled', content: of(base('runningLedger'), set('leader', { pulled: true })) },
  // Every kind that anglers tie, in words.
  ...KINDS.map((kind) => ({ name: `${kind.name}, in words`, content: contentOf(kind) })),
  { name: 'a hook measured with a ruler', content: of(base('freeLine'), set('hook', { gapeM: 0.0139 })) },
]

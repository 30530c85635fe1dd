import { type Moving, type MovingWay, usualMoving } from '../../src/core/documents/moving.ts'
import type { Outfit } from '../../src/core/documents/outfit.ts'
import { defaultWater } from '../../src/core/documents/water.ts'
import { fixedOn, joined } from '../../src/core/edit/attach.ts'
import { withFields, withLength, withoutClip } from '../../src/core/edit/changes.ts'
import type { Content } from '../fixtures/judgedDrafts.ts'
import { base, fished, inWords, joint, lowered, of, outfit, set, under, withOutfit, without } from '../fixtures/judgedDrafts.ts'
import { braidOutfit, LB } from '../fixtures/outfits.ts'
import { targetNamed } from '../fixtures/purposes.ts'
import { catalogue } from '../fixtures/setups.ts'

/** A trace that is wrong in one way, what must be said of it (a rule, or a moment with its verdict), and what must not. */
export type Bad = { name: string; content: Content; say: string; not?: string }

const KG = 2.2046226 * LB
const water = (method: Parameters<typeof defaultWater>[1], more: object) => ({
  water: { ...defaultWater(catalogue, method), ...more },
})
const wound = (lines: object[]) => ({ wound: lines as Outfit['wound'] })
const mono = (strengthLb: number, more: object = {}) => ({ role: 'main', material: 'mono', strengthN: strengthLb * LB, ...more })
const moving = (way: MovingWay, more: object) => ({ ...usualMoving(way), ...more }) as Moving
const ledger = base('runningLedger')
const lowLedger = base('runningLedger', lowered)
const oldBacking = withOutfit(
  base('liveBaitLeader', lowered),
  wound([
    mono(12, { role: 'backing', lengthM: 100 }),
    { role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 100, joint: { connection: 'doubleUni' } },
  ]),
)
const heavyBait = of(base('runningLedger'), (trace) =>
  set('hook-bait', { bait: 'wholePouting', massKg: 0.15 })(set('hook-length', { strengthN: 8 * LB })(trace)),
)

const monoMain = braidOutfit(20, { wound: [mono(20)] as Outfit['wound'] })
const onRock = water('anchor', { bed: 'rock', depthM: 15, streamMperS: 0.2 })

export const BAD: readonly Bad[] = [
  {
    name: 'a float that its lead takes under, with no water said',
    content: of(base('slidingFloat', lowered), set('sinker', { massKg: 0.2 })),
    say: 'float-goes-under',
  },
  // Knots
  {
    name: 'a clinch in braid',
    content: of(base('slidingFloat'), joint('swivel', { connection: 'clinch' })),
    say: 'knot-slips-in-braid',
  },
  {
    name: 'an improved clinch in braid',
    content: of(base('slidingFloat'), joint('swivel', { connection: 'improvedClinch' })),
    say: 'knot-slips-in-braid',
  },
  { name: 'a clinch of three wraps', content: of(ledger, joint('swivel', { connection: 'clinch', turns: 2 })), say: 'few-turns' },
  { name: 'an FG of six turns', content: of(ledger, joint('leader', { connection: 'fg', turns: 6 })), say: 'few-turns' },
  {
    name: 'a bimini of four turns',
    content: of(base('windOn'), joint('double', { connection: 'bimini', turns: 4 })),
    say: 'few-turns',
  },
  {
    name: 'a join on the reel of two turns',
    content: withOutfit(
      ledger,
      wound([
        mono(20, { role: 'backing', lengthM: 60 }),
        { role: 'main', material: 'braid', strengthN: 50 * LB, joint: { connection: 'doubleUni', turns: 2 } },
      ]),
    ),
    say: 'few-turns',
  },
  { name: 'a snell on a swivel', content: of(ledger, joint('swivel', { connection: 'snell' })), say: 'joint-misfits' },
  { name: 'a double uni on a hook', content: of(ledger, joint('hook', { connection: 'doubleUni' })), say: 'joint-misfits' },
  { name: 'a cat’s paw in one strand', content: of(ledger, joint('swivel', { connection: 'catsPaw' })), say: 'joint-misfits' },
  {
    name: 'a girth hitch of a single snood',
    content: of(base('boomPaternoster'), joint('snood-a', { connection: 'girthHitch' })),
    say: 'joint-misfits',
  },
  {
    name: 'an FG of fluorocarbon on mono',
    content: of(withOutfit(base('liveBaitLeader'), wound([mono(20)])), joint('leader', { connection: 'fg' })),
    say: 'joint-misfits',
  },
  {
    name: 'a splice in braid that is not hollow',
    content: of(base('slidingFloat'), joint('swivel', { connection: 'splice' })),
    say: 'joint-misfits',
  },
  { name: 'a uni between two lines', content: of(ledger, joint('leader', { connection: 'uni' })), say: 'joint-misfits' },
  {
    name: 'a tag that runs on as another line',
    content: of(base('twinTag'), set('tag-a', { strengthN: 6 * LB })),
    say: 'joint-misfits',
  },
  {
    name: 'a uni between main line and backing',
    content: withOutfit(
      ledger,
      wound([
        mono(20, { role: 'backing', lengthM: 60 }),
        { role: 'main', material: 'braid', strengthN: 50 * LB, joint: { connection: 'uni' } },
      ]),
    ),
    say: 'joint-misfits',
  },
  {
    name: 'a blood knot of unlike lines',
    content: of(base('rotating'), (trace) =>
      joint('tail-line', { connection: 'blood' })(set('tail-line', { strengthN: 15 * LB })(trace)),
    ),
    say: 'blood-unlike',
  },
  {
    name: 'a crimp far too wide for its line',
    content: of(base('windOn', lowered), joint('swivel', { connection: 'crimpLoop', boreM: 0.004 })),
    say: 'crimp-bore',
  },
  {
    name: 'a crimp too tight for its line',
    content: of(base('windOn', lowered), joint('swivel', { connection: 'crimpLoop', boreM: 0.0003 })),
    say: 'crimp-bore',
  },
  // Cast
  { name: '150 g of bait on an 8 lb snood', content: heavyBait, say: 'cast fails' },
  {
    name: '30 lb braid, 150 g, no leader to speak of',
    content: of(fished(base('runningLedger', {}, braidOutfit(30)), {}), (trace) =>
      withLength(set('sinker', { massKg: 0.15 })(trace), 'leader', 1),
    ),
    say: 'leader-under-rule',
  },
  {
    name: 'a 12 lb main and a short leader',
    content: of(base('runningLedger', {}, braidOutfit(12)), (trace) => withLength(trace, 'leader', 2)),
    say: 'no-shock-leader',
  },
  {
    name: '150 g off the ground on a 40 lb leader',
    content: fished(
      of(ledger, (trace) => set('sinker', { massKg: 0.15 })(set('leader', { strengthN: 40 * LB })(trace))),
      { castStyle: 'offTheGround' },
    ),
    say: 'cast-too-hard',
  },
  {
    name: 'a thin end loop that takes the cast',
    content: fished(
      of(base('threeWay', { castStyle: 'lob' }), (trace) =>
        set('sinker-line', { strengthN: 30 * LB })(withoutClip({ ...trace, weakLink: undefined }, 'sinker')),
      ),
      { castStyle: 'overhead' },
    ),
    say: 'cast-too-hard',
  },
  {
    name: 'a weak link that does not bear the cast',
    content: of(base('threeWay'), (trace) => withoutClip(set('sinker-line', { strengthN: 12 * LB })(trace), 'sinker')),
    say: 'weak-link-too-thin-to-cast',
  },
  {
    name: 'more than the rod throws',
    content: withOutfit(of(ledger, set('sinker', { massKg: 0.2 })), { rod: { ...outfit.rod, castLowKg: 0.03, castHighKg: 0.1 } }),
    say: 'rod-cast-weight',
  },
  {
    name: 'a leader under the rule of 10 lb an ounce',
    content: of(ledger, set('leader', { strengthN: 30 * LB })),
    say: 'leader-under-rule',
  },
  // Run
  { name: 'a drag over what the chain bears', content: fished(ledger, { dragN: 25 * LB }), say: 'drag-over-ceiling' },
  {
    name: 'a lure towed with too little line for its depth',
    content: fished(base('castingLeader', lowered), { moving: moving('trolled', { swimsAt: { from: 'surface', m: 8 } }) }),
    say: 'off-its-depth',
  },
  {
    name: 'a lure towed into the bed',
    content: fished(base('castingLeader', lowered), { moving: moving('trolled', { waterM: 2, swimsAt: { from: 'bed', m: 1 } }) }),
    say: 'off-its-depth',
  },
  {
    name: 'a floating lure without a lip, towed for depth',
    content: fished(of(base('straightLure', lowered), set('lure', { floats: true })), { moving: moving('trolled', {}) }),
    say: 'off-its-depth',
  },
  {
    name: 'a lure wound in deeper than it gets',
    content: fished(base('straightLure', lowered), { moving: moving('retrieved', { waterM: 60, nearWaterM: 60 }) }),
    say: 'off-its-depth',
  },
  {
    name: 'two lures alike on legs alike, towed',
    content: fished(
      of(base('tandemTroll'), (trace) => set('light', { massKg: 0.06 })(withLength(trace, 'long-leg', 1.5))),
      { moving: moving('trolled', {}) },
    ),
    say: 'legs-meet',
  },
  {
    name: 'two legs that part straight on and meet in a tight turn',
    content: fished(
      of(base('tandemTroll'), (trace) =>
        set('light', { massKg: 0.03 })(set('heavy', { massKg: 0.08 })(withLength(trace, 'long-leg', 1.5))),
      ),
      { moving: moving('trolled', { turnRadiusM: 6 }) },
    ),
    say: 'legs-meet',
  },
  {
    name: 'a kite bait in a fresh wind on a small lead',
    content: fished(base('kiteBait'), { moving: moving('kite', { windMperS: 12 }) }),
    say: 'kite-lead-too-light',
  },
  {
    name: 'a ring under the rod',
    content: fished(base('kiteBait'), {
      moving: moving('kite', { baits: [{ name: 'low', ringHeightM: 1, ringDistanceM: 20 }] }),
    }),
    say: 'kite-lead-too-light',
  },
  {
    name: 'a very fast fish at the boat with the rod pointed at it',
    content: fished(base('castingLeader', lowered), { fishSpeedMperS: 18, rodHeld: 'pointed', lineOutM: 20 }),
    say: 'rush-breaks',
    not: 'drag-over-ceiling',
  },
  { name: 'a drag over what the reel gives', content: fished(ledger, { dragN: 160 }), say: 'drag-over-reel' },
  {
    name: 'a light leader under a firm drag',
    content: fished(of(lowLedger, set('leader', { strengthN: 15 * LB })), { dragN: 9 * LB }),
    say: 'run fails',
  },
  {
    name: 'a hook that straightens',
    content: fished(of(base('liveBaitLeader', lowered), set('hook', { size: '8', pattern: 'lightJ' })), { dragN: 6 * LB }),
    say: 'hook-straightens',
  },
  { name: 'a swivel too small', content: of(lowLedger, set('swivel', { size: '12' })), say: 'hardware-undersize' },
  {
    name: 'equal labels and no fuse',
    content: of(base('liveBaitLeader'), set('leader', { strengthN: 50 * LB })),
    say: 'equal-labels',
  },
  { name: 'a worn leader', content: of(lowLedger, set('leader', { condition: 0.5 })), say: 'worn-line' },
  {
    name: 'a worn main line',
    content: withOutfit(lowLedger, wound([{ role: 'main', material: 'braid', strengthN: 50 * LB, condition: 0.6 }])),
    say: 'worn-line',
  },
  {
    name: 'weak old backing that holds the pull',
    content: fished(oldBacking, { lineOutM: 140 }),
    say: 'backing-decides',
  },
  {
    name: 'weak old backing twenty metres away',
    content: fished(oldBacking, { lineOutM: 80 }),
    say: 'backing-decides',
  },
  {
    name: 'a leader of 300 kg on a 50 lb main',
    content: of(lowLedger, set('leader', { strengthN: 300 * KG })),
    say: 'line-hardly-meant',
  },
  {
    name: 'a 50 lb leader labelled at 0.2 mm',
    content: of(lowLedger, set('leader', { diameterM: 0.0002 })),
    say: 'label-sanity',
  },
  {
    name: 'a 50 lb main line labelled at 0.12 mm',
    content: withOutfit(lowLedger, wound([{ role: 'main', material: 'braid', strengthN: 50 * LB, diameterM: 0.00012 }])),
    say: 'label-sanity',
  },
  { name: 'a line above the rod’s rating', content: base('runningLedger', lowered, braidOutfit(100)), say: 'rod-rating' },
  { name: 'a line far under the rod’s rating', content: base('freeLine', lowered, braidOutfit(8)), say: 'rod-rating' },
  {
    name: 'a spool filled past its lip',
    content: withOutfit(lowLedger, wound([{ role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 900 }])),
    say: 'spool-overfull',
  },
  {
    name: 'a half-empty spool',
    content: withOutfit(lowLedger, wound([{ role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 120 }])),
    say: 'spool-underfilled',
  },
  // Snag
  {
    name: 'a weak link that is no weaker',
    content: of(base('threeWay', lowered), set('sinker-line', { strengthN: 60 * LB })),
    say: 'weak-link-not-weaker',
  },
  {
    name: 'a double before the sinker',
    content: of(base('rotating', lowered), (trace) => ({
      ...trace,
      pieces: trace.pieces.flatMap((piece) =>
        piece.id === 'sinker'
          ? [
              {
                id: 'sinker-double',
                role: 'double' as const,
                material: 'mono' as const,
                strengthN: 60 * LB,
                lengthM: 0.2,
                attach: joined('tail-line', 'bimini'),
              },
              { ...piece, attach: joined('sinker-double', 'uni') } as typeof piece,
            ]
          : [piece],
      ),
    })),
    say: 'doubled-loop',
  },
  // Settle
  {
    name: 'far too light a sinker for the stream',
    content: fished(base('threeWay', lowered), water('anchor', { streamMperS: 1 })),
    say: 'settle fails',
  },
  {
    name: 'a float under 100 g of lead',
    content: fished(of(base('slidingFloat'), set('sinker', { massKg: 0.1 })), water('anchor', {})),
    say: 'float-goes-under',
  },
  {
    name: 'deeper than the spool',
    content: fished(lowLedger, water('anchor', { depthM: 500, streamMperS: 0 })),
    say: 'deeper-than-spool',
  },
  {
    name: 'a hold-down that sinks faster than the release weight',
    content: of(base('deepDrop', lowered), (trace) =>
      set('release-weight', { massKg: 0.4, shape: 'bar' })(set('hold-down-sinker', { shape: 'pear' })(trace)),
    ),
    say: 'lower-weight-slower',
  },
  // Geometry and parts
  { name: 'a sinker straight on the knot', content: without(ledger, 'bead'), say: 'sinker-chafes-knot' },
  {
    name: 'a swivel that the sinker’s bore swallows',
    content: of(without(base('barrelLead'), 'bead'), (trace) =>
      set('sinker', { massKg: 0.2 })(set('swivel', { size: '12' })(trace)),
    ),
    say: 'swivel-through-bore',
  },
  {
    name: 'snoods that meet',
    content: of(base('boomPaternoster', lowered), (trace) => withLength(withLength(trace, 'snood-a', 0.35), 'snood-b', 0.35)),
    say: 'snoods-meet',
  },
  {
    name: 'a snood that slides down to the next one’s',
    content: of(base('boomPaternoster', lowered), set('crimp-a2', { attach: fixedOn('body', 0.6) })),
    say: 'snoods-meet',
  },
  {
    name: 'a snood past the sinker',
    content: of(base('rotating'), (trace) => withLength(trace, 'snood', 0.9)),
    say: 'snood-past-sinker',
  },
  {
    name: 'a lower stop that slips',
    content: of(base('rotating'), set('stop-lower', { attach: fixedOn('tail-line', 0.4) })),
    say: 'lower-stop-slips',
  },
  {
    name: 'two trolled lures alike',
    content: of(base('tandemTroll', lowered), (trace) => set('light', { massKg: 0.15 })(set('heavy', { massKg: 0.15 })(trace))),
    say: 'tandem-alike',
  },
  {
    name: 'a light a metre from the bait',
    content: of(base('deepDrop', lowered), (trace) => withFields(trace, 'band-a', { attach: fixedOn('wind-on', 24.5) })),
    say: 'light-near-bait',
  },
  {
    name: 'a hold-down drop of three metres',
    content: of(base('deepDrop', lowered), (trace) => withLength(trace, 'hold-down', 3)),
    say: 'drop-too-long',
  },
  {
    name: 'a size 4 under a whole fish where 4/0 is meant',
    content: of(base('captiveSinker', lowered), set('hook-c', { size: '4' })),
    say: 'hook-hardly-meant',
  },
  { name: 'a size 18', content: of(base('freeLine'), set('hook', { size: '18' })), say: 'hook-hardly-meant' },
  {
    name: 'light line against the teeth of a conger',
    content: fished(of(ledger, set('hook-length', { strengthN: 30 * LB })), { target: targetNamed('conger') }),
    say: 'lighter-than-teeth',
  },
  {
    name: 'a metre and a half of leader for tope',
    content: fished(
      of(base('freeLine'), (trace) => withLength(trace, 'leader', 1.5)),
      { target: targetNamed('tope') },
    ),
    say: 'shorter-than-tail',
  },
  {
    name: 'heavy line for pollack in clear water by day',
    content: fished(of(ledger, set('hook-length', { strengthN: 50 * LB })), {
      target: targetNamed('pollack'),
      clarity: 'clear',
      light: 'day',
    }),
    say: 'heavier-than-shy',
  },
  {
    name: 'the same by night',
    content: fished(of(ledger, set('hook-length', { strengthN: 50 * LB })), { target: targetNamed('pollack'), light: 'night' }),
    say: 'hand holds',
    not: 'heavier-than-shy',
  },
  {
    name: 'a circle for conger, said to shake it out',
    content: fished(ledger, { target: targetNamed('conger') }),
    say: 'hook-kind-for-fish',
  },
  {
    name: 'a J for fish under the least size',
    content: under(fished(of(ledger, set('hook', { pattern: 'j' })), { target: targetNamed('turbot') }), {
      leastLengths: [{ fish: 'turbot', lengthM: 0.55 }],
    }),
    say: 'under-least-size',
  },
  {
    name: 'a circle with its point bent aside',
    content: of(ledger, set('hook', { offset: true })),
    say: 'bent-circle',
  },
  {
    name: 'a treble for fish that go back',
    content: fished(of(ledger, set('hook', { pattern: 'treble' })), { target: targetNamed('smooth-hound') }),
    say: 'hook-kind-for-fish',
  },
  {
    name: 'a whole fish on a hook for a sandeel',
    content: of(of(base('runningLedger'), set('hook-bait', { bait: 'wholePouting' })), set('hook', { size: '1' })),
    say: 'gap-filled',
  },
  {
    name: 'a bunch of worms on a size 6',
    content: of(of(base('twinTag'), set('hook-a-bait', { bait: 'wormBunch' })), set('hook-a', { size: '6' })),
    say: 'gap-filled',
  },
  {
    name: 'three hooks at the tail of a long bait',
    content: of(base('captiveSinker'), set('hook-c-bait', { lengthM: 0.4, depthM: 0.05 })),
    say: 'hooks-off-bait',
  },
  {
    name: 'a live bait on a heavy hook',
    content: of(base('sinkerAtHook'), set('hook', { size: '6/0' })),
    say: 'hook-tires-bait',
  },
  {
    name: 'a strip that spins and no swivel',
    content: of(base('freeLine'), set('hook-bait', { bait: 'cuttlefishStrip' })),
    say: 'bait-spins',
  },
  {
    name: 'a strip a long way from its plain swivel',
    content: of(lowLedger, (trace) => withLength(set('hook-bait', { bait: 'cuttlefishStrip' })(trace), 'hook-length', 2.5)),
    say: 'bait-spins',
  },
  {
    name: 'a spinning lure under a plain swivel',
    content: of(base('tandemTroll', lowered), set('light', { spins: true })),
    say: 'bait-spins',
  },
  {
    name: 'equal labels with a double between',
    content: of(base('windOn'), set('leader', { strengthN: 50 * LB })),
    say: 'equal-labels',
  },
  {
    name: 'a fish that is too heavy for a net on this trace',
    content: fished(lowLedger, { fishMassKg: 40, landing: 'net' }),
    say: 'lift-too-heavy',
  },
  {
    name: 'small lead where it is barred',
    content: under(of(base('splitShot', lowered), set('sinker', { massKg: 0.002 })), { leastLeadKg: 0.028 }),
    say: 'barred-parts',
  },
  {
    name: 'a hook length longer than the rod',
    content: of(without(ledger, 'bead'), (trace) => withLength(trace, 'hook-length', 7)),
    say: 'too-long-for-rod',
  },
  {
    name: 'a fish of thirty kilograms lifted on a light leader',
    content: fished(lowLedger, { fishMassKg: 30 }),
    say: 'hand fails',
  },
  {
    name: 'a float with no bead under its stop',
    content: without(base('slidingFloat', lowered), 'bead-upper'),
    say: 'stop-through-bore',
  },
  {
    name: 'an improved clinch in 200 lb mono',
    content: of(base('captiveSinker', lowered), (trace) =>
      joint('top', { connection: 'improvedClinch' })(set('leader', { strengthN: 200 * LB })(trace)),
    ),
    say: 'thick-knot',
  },
  {
    name: 'four metres of trace behind a lead that is cast',
    content: of(ledger, (trace) => withLength(trace, 'hook-length', 4)),
    say: 'trail-too-long',
  },
  {
    name: 'a big circle on a worm',
    content: of(base('boomPaternoster', lowered), set('hook-a', { size: '10/0' })),
    say: 'hook-hardly-meant',
  },
  {
    name: 'a lure that the rod does not feel',
    content: of(
      withOutfit(base('straightLure'), { rod: { ...outfit.rod, castLowKg: 0.06, castHighKg: 0.15 } }),
      set('lure', { massKg: 0.004 }),
    ),
    say: 'rod-cast-weight',
  },
  // The rule set, and what is written down
  { name: 'a J where circles are the rule', content: under(base('captiveSinker'), { circleOnly: true }), say: 'circle-required' },
  { name: 'wire where it is barred', content: under(base('biteTrace'), { wireAllowed: false }), say: 'barred-parts' },
  {
    name: 'a bait on a treble where that is barred',
    content: under(of(ledger, set('hook', { pattern: 'treble', size: '2' })), { trebleWithBait: false }),
    say: 'treble-with-bait',
  },
  { name: 'three hooks where one is allowed', content: under(base('captiveSinker'), { maxHooks: 1 }), say: 'hooks-over-rule' },
  {
    name: 'pounds beside kilograms in the notes',
    content: of(ledger, (trace) => ({ ...trace, notes: '30 lb leader, drag 4 kg' })),
    say: 'mixed-units',
  },
  {
    name: 'an arm’s length in the notes',
    content: of(ledger, (trace) => ({ ...trace, notes: 'hook length: two arms lengths' })),
    say: 'arms-length',
  },
  // In words, as people tie them.
  {
    name: 'a sinker on rock with no weak link at all',
    content: inWords(
      'leader 40 lb 2 m, three-way swivel 4 (hook length 40 lb 60 cm, J 2/0, dead strip trimmed; bomb 200 g)',
      onRock,
    ),
    say: 'no-weak-link',
  },
  {
    name: 'a running ledger on rock with no weak link',
    content: inWords('leader 40 lb 2 m, ball 90 g, bead, swivel 4, hook length 40 lb 60 cm, J 2/0, dead prawn', onRock),
    say: 'no-weak-link',
  },
  {
    name: 'a light leader over rock on a drift',
    content: inWords('leader 30 lb 3 m, J 2/0, dead sandeel', water('drift', { bed: 'rock', depthM: 20 })),
    say: 'chafes-on-rock',
  },
  {
    name: 'a free bullet above a lure in rough ground',
    content: inWords('leader 40 lb 1 m, bullet 14 g, J 2/0, soft lure 10 g', { fishes: 'worked', ...onRock }),
    say: 'weight-parts-from-lure',
  },
  {
    name: 'a live bait on mono without a swivel',
    content: inWords('leader 30 lb 2 m, J 1/0, live bait 80 g', { on: monoMain, fishes: 'swims' }),
    say: 'live-bait-twists',
  },
  {
    name: 'one hook in one end of a long bait',
    content: inWords('leader 40 lb 1 m, J 5/0, dead bait 250 g', { fishes: 'swims' }),
    say: 'bait-half-hooked',
  },
  {
    name: 'a wire too light for tope',
    content: inWords('leader 60 lb 2 m, swivel 4, bite trace 20 lb 30 cm wire, circle 8/0, fillet', {
      target: targetNamed('tope'),
    }),
    say: 'wire-too-light',
  },
  {
    name: 'a drop too long to cast',
    content: inWords('leader 60 lb 6 m, bomb 120 g', { castStyle: 'overhead', dropM: 3.4 }),
    say: 'too-long-to-cast',
  },
  {
    name: 'a body too long to cast from this rod',
    content: inWords('leader 60 lb 6 m, swivel 4, body 60 lb 3.4 m (boom 1 m, snood 50 lb 30 cm, J 1/0, lugworm), bomb 120 g', {
      castStyle: 'overhead',
    }),
    say: 'too-long-to-cast',
  },
  {
    name: 'a leader 2.6 times the main line',
    content: inWords('leader 130 lb 2 m, swivel 1/0, hook length 40 lb 1 m, J 1/0, fillet'),
    say: 'leader-far-over-main',
  },
  {
    name: 'a 1/0 swivel on 20 lb line',
    content: inWords('leader 20 lb 2 m, ball 30 g, bead, swivel 1/0, hook length 15 lb 60 cm, J 1, lugworm', { on: monoMain }),
    say: 'hardware-oversize',
  },
  {
    name: 'two jig heads alike on legs alike',
    content: inWords(
      'leader 40 lb 1 m, three-way swivel 4 (snood 30 lb 60 cm, jig head 28 g 3/0; snood 30 lb 60 cm, jig head 28 g 3/0)',
      { fishes: 'worked' },
    ),
    say: 'tandem-alike',
  },
  {
    name: 'three linked hooks with opened eyes and no wire against teeth',
    content: inWords('leader 60 lb 1 m, J 6/0, J 6/0 opened, J 6/0 opened, dead bait 150 g', { target: targetNamed('conger') }),
    say: 'lighter-than-teeth',
  },
  {
    name: 'an eye that was opened on strong line',
    content: inWords('leader 60 lb 1 m, swivel 4, hook length 60 lb 50 cm, J 1 opened, dead prawn', {
      dragN: 60,
      dragAssumed: undefined,
    }),
    say: 'hook-straightens',
  },
  {
    name: 'a hook line as long as the tail of the sinker that is to load first',
    content: inWords(
      'leader 60 lb 6 m, body 60 lb 1 m (stop knot 39 cm; swivel 40 cm, snood 50 lb 60 cm, J 1/0, lugworm; stop knot 41 cm in the line), bomb 120 g',
    ),
    say: 'snood-past-sinker',
  },
  {
    name: 'a lower stop tied of other line, drawn in words',
    content: inWords(
      'leader 60 lb 6 m, body 60 lb 1 m (stop knot 39 cm; swivel 40 cm, snood 50 lb 30 cm, J 1/0, lugworm; stop knot 41 cm), bomb 120 g',
      { castStyle: 'overhead' },
    ),
    say: 'lower-stop-slips',
  },
  {
    name: 'two snoods that swing between their stops into each other, drawn in words',
    content: inWords(
      'leader 60 lb 6 m, body 60 lb 1.2 m (crimp 30 cm; swivel 50 cm, snood 50 lb 30 cm, J 1/0, lugworm; crimp 55 cm; crimp 70 cm; swivel 1 m, snood 50 lb 15 cm, J 1/0, lugworm; crimp 1.05 m), bomb 120 g',
    ),
    say: 'snoods-meet',
  },
  {
    name: 'a trace whose swivel is wound into the tip ring',
    content: inWords('leader 40 lb 4 m, swivel 4, hook length 40 lb 3.5 m, J 1, dead sandeel'),
    say: 'no-bead-at-tip',
  },
  {
    name: 'a bite-off in the take',
    content: inWords('leader 60 lb 2 m, swivel 4, hook length 40 lb 60 cm, J 6/0, dead bait 100 g stitched', {
      target: targetNamed('conger'),
    }),
    say: 'take watch',
  },
  {
    name: 'a bite-off in the run',
    content: inWords('leader 60 lb 2 m, swivel 4, hook length 40 lb 60 cm, J 6/0, dead bait 100 g stitched', {
      target: targetNamed('conger'),
    }),
    say: 'run watch',
  },
  {
    name: 'braid in the hand, for want of a leader that reaches down',
    content: inWords('leader 40 lb 1 m, swivel 4, hook length 40 lb 60 cm, J 1, dead sandeel', {
      landing: 'leadered',
      freeboardM: 4,
    }),
    say: 'leader-out-of-reach',
  },
  {
    name: 'hooks linked by a swivel that hold too little of the bait',
    content: inWords('leader 60 lb 1 m, J 4/0, swivel 4, J 4/0, dead bait 200 g'),
    say: 'hooks-off-bait',
  },
  {
    name: 'a trace that holds at neaps only',
    content: inWords(
      'leader 40 lb 1 m, ball 100 g, bead, swivel 4, hook length 40 lb 60 cm, circle 2, lugworm',
      water('anchor', { depthM: 20, streamMperS: 1, neapMperS: 0.3 }),
    ),
    say: 'sinker-too-light',
  },
]

import type { BaitType } from '../gear/baits.ts'
import type { ConnectionId } from '../gear/connections.ts'
import type { HardwareType } from '../gear/hardware.ts'
import type { HookPattern } from '../gear/hooks.ts'
import type { Material } from '../gear/materials.ts'
import type { SinkerShape } from '../gear/sinkers.ts'
import type { Attach, LinePiece, Piece, Trace } from './schema.ts'

/** A hand-written document of one family, and the path to each of its ends as a person would read it off the drawing. */
export type Fixture = { trace: Trace; paths: Record<string, string> }

const LB = 4.4482216152605

const to = (id: string, connection: ConnectionId, end?: 'near'): Attach => ({
  how: 'joined',
  to: id,
  joint: { connection },
  ...(end ? { end } : {}),
})
const fit = (id: string, end?: 'near') => to(id, 'fitted', end)
const at = (on: string, atM: number, connection: ConnectionId = 'fitted'): Attach => ({
  how: 'fixed',
  on,
  atM,
  joint: { connection },
})
const slides = (on: string, atM: number, below?: string, above?: string): Attach => ({
  how: 'sliding',
  on,
  atM,
  stops: { ...(above ? { above } : {}), ...(below ? { below } : {}) },
})

const line = (id: string, role: LinePiece['role'], material: Material, lb: number, lengthM: number, attach: Attach): Piece => ({
  id,
  role,
  material,
  strengthN: lb * LB,
  lengthM,
  attach,
})
const hw = (id: string, type: HardwareType, attach: Attach, size?: string): Piece => ({
  id,
  role: 'hardware',
  type,
  attach,
  ...(size ? { size } : {}),
})
const hook = (id: string, size: string, attach: Attach, pattern: HookPattern = 'j'): Piece => ({
  id,
  role: 'hook',
  pattern,
  size,
  attach,
})
const lead = (id: string, grams: number, attach: Attach, shape: SinkerShape = 'bomb'): Piece => ({
  id,
  role: 'sinker',
  shape,
  massKg: grams / 1000,
  attach,
})
const bait = (id: string, kind: BaitType, on: string): Piece => ({ id, role: 'bait', bait: kind, attach: fit(on) })
const lure = (id: string, grams: number, attach: Attach): Piece => ({
  id,
  role: 'lure',
  massKg: grams / 1000,
  strengthN: 400,
  attach,
})
const light = (id: string, attach: Attach): Piece => ({ id, role: 'light', massKg: 0.08, attach })
const float = (id: string, grams: number, attach: Attach): Piece => ({ id, role: 'float', massKg: grams / 1000, attach })

const leader = (lb: number, lengthM: number, knot: ConnectionId = 'fg', material: Material = 'mono') =>
  line('leader', 'leader', material, lb, lengthM, to('outfit', knot))

const fixture = (family: string, pieces: Piece[], paths: Record<string, string>, more: Partial<Trace> = {}): Fixture => ({
  trace: { formatVersion: 1, name: family, family, pieces, ...more },
  paths,
})

export const FAMILY_FIXTURES: readonly Fixture[] = [
  fixture(
    'running ledger',
    [
      leader(40, 6),
      lead('lead', 90, slides('leader', 5.7, 'swivel'), 'ball'),
      hw('bead', 'bead', slides('leader', 6, 'swivel')),
      hw('swivel', 'swivel', to('leader', 'uni'), '6'),
      line('hook-length', 'snood', 'fluoro', 30, 0.9, to('swivel', 'uni')),
      hook('hook', '2/0', to('hook-length', 'snell'), 'circle'),
      bait('bait', 'sandeel', 'hook'),
    ],
    {
      lead: 'leader.joint leader swivel.joint swivel lead',
      hook: 'leader.joint leader swivel.joint swivel hook-length.joint hook-length hook.joint hook',
    },
  ),
  fixture(
    'captive sinker with linked hooks',
    [
      leader(60, 8),
      hw('top', 'swivel', to('leader', 'uni'), '4'),
      line('body', 'body', 'mono', 60, 0.25, to('top', 'uni')),
      lead('lead', 150, slides('body', 0.2, 'bottom', 'top')),
      hw('bottom', 'swivel', to('body', 'uni'), '4'),
      line('trace', 'snood', 'mono', 50, 0.5, to('bottom', 'uni')),
      hook('hook-1', '4/0', to('trace', 'uni')),
      hook('hook-2', '4/0', fit('hook-1')),
      hook('hook-3', '4/0', fit('hook-2')),
      bait('bait', 'wholePouting', 'hook-3'),
    ],
    {
      lead: 'leader.joint leader top.joint top body.joint body bottom.joint bottom lead',
      'hook-3':
        'leader.joint leader top.joint top body.joint body bottom.joint bottom trace.joint trace hook-1.joint hook-1 hook-2 hook-3',
    },
  ),
  fixture(
    'three-way bottom rig',
    [
      leader(50, 3),
      hw('three-way', 'threeWay', to('leader', 'uni'), '4'),
      line('link', 'sinkerLink', 'mono', 20, 0.5, to('three-way', 'clinch')),
      lead('lead', 230, to('link', 'surgeonsLoop'), 'pear'),
      line('hook-line', 'snood', 'mono', 40, 1, to('three-way', 'uni')),
      hook('hook', '4/0', to('hook-line', 'snell'), 'circle'),
    ],
    {
      lead: 'leader.joint leader three-way.joint three-way link.joint link lead.joint lead',
      hook: 'leader.joint leader three-way.joint three-way hook-line.joint hook-line hook.joint hook',
    },
    { weakLink: 'link' },
  ),
  fixture(
    'jig and trailer',
    [
      leader(40, 3, 'fg', 'fluoro'),
      hw('three-way', 'threeWay', to('leader', 'uni'), '5'),
      line('drop', 'sinkerLink', 'fluoro', 40, 0.15, to('three-way', 'uni')),
      hw('snap', 'snap', to('drop', 'palomar'), '4'),
      lure('jig', 120, fit('snap')),
      line('arm', 'snood', 'fluoro', 30, 0.6, to('three-way', 'uni')),
      hook('hook', '3/0', to('arm', 'nonSlipLoop')),
    ],
    {
      jig: 'leader.joint leader three-way.joint three-way drop.joint drop snap.joint snap jig',
      hook: 'leader.joint leader three-way.joint three-way arm.joint arm hook.joint hook',
    },
  ),
  fixture(
    'boom paternoster',
    [
      leader(60, 9),
      hw('swivel', 'swivel', to('leader', 'uni'), '4'),
      line('body', 'body', 'mono', 60, 1.4, to('swivel', 'uni')),
      hw('crimp-1', 'crimp', at('body', 0.39)),
      hw('boom-1', 'boom', slides('body', 0.4, 'crimp-2', 'crimp-1'), '5'),
      hw('crimp-2', 'crimp', at('body', 0.41)),
      line('snood-1', 'snood', 'mono', 30, 0.25, to('boom-1', 'uni')),
      hook('hook-1', '1/0', to('snood-1', 'snell')),
      hw('crimp-3', 'crimp', at('body', 0.99)),
      hw('boom-2', 'boom', slides('body', 1, 'crimp-4', 'crimp-3'), '5'),
      hw('crimp-4', 'crimp', at('body', 1.01)),
      line('snood-2', 'snood', 'mono', 30, 0.25, to('boom-2', 'uni')),
      hook('hook-2', '1/0', to('snood-2', 'snell')),
      hw('snap', 'snap', to('body', 'uni'), '4'),
      lead('lead', 150, fit('snap')),
    ],
    {
      lead: 'leader.joint leader swivel.joint swivel body.joint body snap.joint snap lead',
      'hook-2':
        'leader.joint leader swivel.joint swivel body.joint body crimp-4 boom-2 snood-2.joint snood-2 hook-2.joint hook-2',
    },
  ),
  fixture(
    'pulley rig',
    [
      leader(60, 9),
      hw('pulley', 'pulleyBead', to('leader', 'uni'), '4'),
      line('body', 'body', 'mono', 60, 1.6, {
        how: 'through',
        carrier: 'pulley',
        atM: 0.4,
        stops: { near: 'lead-snap', far: 'stop' },
      }),
      hw('lead-snap', 'snap', to('body', 'uni', 'near'), '4'),
      lead('lead', 150, fit('lead-snap')),
      hw('stop', 'swivel', to('body', 'uni'), '4'),
      line('snood', 'snood', 'mono', 50, 1, to('stop', 'uni')),
      hook('tail', '3/0', to('snood', 'snell')),
      hook('upper', '3/0', slides('snood', 0.9, 'tail')),
    ],
    {
      // A fish's pull runs the body through until the sinker's snap bears on the pulley: the sinker is lifted.
      tail: 'leader.joint leader pulley.joint pulley lead-snap lead-snap.joint body stop.joint stop snood.joint snood tail.joint tail',
      // A snagged sinker draws the stop against the pulley from the other side.
      lead: 'leader.joint leader pulley.joint pulley stop stop.joint body lead-snap.joint lead-snap lead',
      upper:
        'leader.joint leader pulley.joint pulley lead-snap lead-snap.joint body stop.joint stop snood.joint snood tail.joint tail upper',
    },
  ),
  fixture(
    'rotating trace',
    [
      leader(60, 9),
      line('tail-line', 'body', 'mono', 60, 1, to('leader', 'doubleUni')),
      hw('stop-1', 'stopKnot', at('tail-line', 0.3)),
      hw('spinner', 'swivel', slides('tail-line', 0.35, 'stop-2', 'stop-1'), '6'),
      hw('stop-2', 'stopKnot', at('tail-line', 0.4, 'stopKnotOwn')),
      line('snood', 'snood', 'fluoro', 25, 0.3, to('spinner', 'uni')),
      hook('hook', '1/0', to('snood', 'snell')),
      lead('lead', 120, to('tail-line', 'improvedClinch'), 'bomb'),
    ],
    {
      hook: 'leader.joint leader tail-line.joint tail-line stop-2.joint stop-2 spinner snood.joint snood hook.joint hook',
      lead: 'leader.joint leader tail-line.joint tail-line stop-2.joint tail-line lead.joint lead',
    },
  ),
  fixture(
    'free line',
    [leader(20, 2, 'doubleUni', 'fluoro'), hook('hook', '2', to('leader', 'snell')), bait('bait', 'sandeel', 'hook')],
    {
      hook: 'leader.joint leader hook.joint hook',
    },
  ),
  fixture(
    'split shot',
    [
      leader(12, 1.5, 'doubleUni', 'fluoro'),
      lead('shot', 3, at('leader', 1.1), 'shot'),
      hook('hook', '4', to('leader', 'improvedClinch')),
    ],
    { hook: 'leader.joint leader hook.joint hook', shot: 'leader.joint leader shot' },
  ),
  fixture(
    'sinker against the hook',
    [
      leader(30, 1.5, 'fg', 'fluoro'),
      hw('ring', 'splitRing', to('leader', 'palomar'), '8 mm'),
      lead('lead', 20, fit('ring'), 'bullet'),
      hook('hook', '3/0', fit('ring')),
    ],
    { hook: 'leader.joint leader ring.joint ring hook', lead: 'leader.joint leader ring.joint ring lead' },
  ),
  fixture(
    'twin tag',
    [
      leader(25, 2, 'doubleUni', 'fluoro'),
      hw('loop', 'loop', to('leader', 'surgeonsLoop')),
      line('tag-1', 'snood', 'fluoro', 25, 0.3, to('loop', 'runsOn')),
      hook('hook-1', '2', to('tag-1', 'uni')),
      line('tag-2', 'snood', 'fluoro', 25, 0.45, to('loop', 'runsOn')),
      hook('hook-2', '2', to('tag-2', 'uni')),
    ],
    {
      'hook-1': 'leader.joint leader loop.joint loop tag-1 hook-1.joint hook-1',
      'hook-2': 'leader.joint leader loop.joint loop tag-2 hook-2.joint hook-2',
    },
  ),
  fixture(
    'quick-change live-bait leader',
    [
      hw('bead', 'bead', slides('outfit', 0, 'snap-swivel')),
      hw('snap-swivel', 'snapSwivel', to('outfit', 'palomar'), '4'),
      hw('loop', 'loop', fit('snap-swivel')),
      line('leader', 'leader', 'fluoro', 40, 1.2, to('loop', 'surgeonsLoop')),
      hook('hook', '3/0', to('leader', 'snell'), 'circle'),
      bait('bait', 'sandeel', 'hook'),
    ],
    { hook: 'snap-swivel.joint snap-swivel loop leader.joint leader hook.joint hook' },
  ),
  fixture('straight-tied lure', [leader(30, 1, 'fg', 'fluoro'), lure('lure', 28, to('leader', 'nonSlipLoop'))], {
    lure: 'leader.joint leader lure.joint lure',
  }),
  fixture(
    'live-bait leader',
    [leader(50, 2.7, 'fg', 'fluoro'), hook('hook', '4/0', to('leader', 'snell'), 'circle'), bait('bait', 'wholePouting', 'hook')],
    { hook: 'leader.joint leader hook.joint hook' },
  ),
  fixture(
    'casting leader',
    [leader(80, 0.4, 'albright'), hw('snap', 'snap', to('leader', 'uni'), '2'), lure('lure', 60, fit('snap'))],
    {
      lure: 'leader.joint leader snap.joint snap lure',
    },
  ),
  fixture(
    'top shot and wind-on',
    [
      line('double', 'double', 'braid', 80, 1.5, to('outfit', 'bimini')),
      line('leader', 'leader', 'mono', 130, 8, to('double', 'catsPaw')),
      hw('swivel', 'ballBearingSwivel', to('leader', 'crimpLoop'), '1'),
      line('bite', 'biteTrace', 'mono', 150, 2, to('swivel', 'crimpLoop')),
      hook('hook', '10/0', to('bite', 'crimpLoop'), 'circle'),
    ],
    {
      hook: 'double.joint double leader.joint leader swivel.joint swivel bite.joint bite hook.joint hook',
    },
  ),
  fixture(
    'bite trace',
    [
      leader(50, 2),
      hw('swivel', 'swivel', to('leader', 'uni'), '4'),
      line('wire', 'biteTrace', 'wire', 58, 0.4, to('swivel', 'haywire')),
      hook('hook', '5/0', to('wire', 'haywire'), 'longShank'),
      bait('bait', 'halfFish', 'hook'),
    ],
    { hook: 'leader.joint leader swivel.joint swivel wire.joint wire hook.joint hook' },
  ),
  fixture(
    'tandem troll',
    [
      leader(50, 3),
      hw('three-way', 'threeWay', to('leader', 'uni'), '4'),
      line('short-leg', 'snood', 'mono', 40, 1.5, to('three-way', 'uni')),
      lure('heavy', 60, to('short-leg', 'nonSlipLoop')),
      line('long-leg', 'snood', 'mono', 40, 3, to('three-way', 'uni')),
      lure('light', 20, to('long-leg', 'nonSlipLoop')),
    ],
    {
      heavy: 'leader.joint leader three-way.joint three-way short-leg.joint short-leg heavy.joint heavy',
      light: 'leader.joint leader three-way.joint three-way long-leg.joint long-leg light.joint light',
    },
  ),
  fixture(
    'deep drop',
    [
      line('wind-on', 'leader', 'mono', 200, 25, to('outfit', 'pr')),
      hw('high-loop', 'loop', at('wind-on', 5, 'dropperLoop')),
      line('hold-down', 'sinkerLink', 'mono', 80, 1.5, to('high-loop', 'girthHitch')),
      lead('hold-down-lead', 1360, to('hold-down', 'surgeonsLoop'), 'pear'),
      hw('band', 'breakBand', at('wind-on', 14)),
      light('light-1', fit('band')),
      hw('swivel', 'ballBearingSwivel', to('wind-on', 'crimpLoop'), '1/0'),
      line('bait-leader', 'snood', 'mono', 200, 2, to('swivel', 'crimpLoop')),
      hook('hook', '12/0', to('bait-leader', 'crimpLoop'), 'circle'),
      lead('release-weight', 900, fit('hook'), 'bar'),
    ],
    {
      'hold-down-lead':
        'wind-on.joint wind-on high-loop.joint high-loop hold-down.joint hold-down hold-down-lead.joint hold-down-lead',
      hook: 'wind-on.joint wind-on high-loop.joint wind-on swivel.joint swivel bait-leader.joint bait-leader hook.joint hook',
      'release-weight':
        'wind-on.joint wind-on high-loop.joint wind-on swivel.joint swivel bait-leader.joint bait-leader hook.joint hook release-weight',
    },
  ),
  fixture(
    'kite bait',
    [
      hw('clip-ring', 'clipRing', slides('outfit', 6, 'swivel'), '4'),
      float('marker', 10, slides('outfit', 3, 'swivel')),
      lead('small-lead', 30, slides('outfit', 0.5, 'swivel'), 'barrel'),
      hw('swivel', 'ballBearingSwivel', to('outfit', 'palomar'), '4'),
      line('leader', 'leader', 'fluoro', 60, 3, to('swivel', 'uni')),
      hook('hook', '6/0', to('leader', 'snell'), 'circle'),
    ],
    {
      hook: 'swivel.joint swivel leader.joint leader hook.joint hook',
      'small-lead': 'swivel.joint swivel small-lead',
    },
  ),
  fixture(
    'barrel lead and light hook line',
    [
      leader(30, 2, 'fg', 'fluoro'),
      lead('lead', 30, slides('leader', 1.8, 'swivel'), 'barrel'),
      hw('swivel', 'swivel', to('leader', 'improvedClinch'), '8'),
      line('hook-line', 'snood', 'fluoro', 15, 0.8, to('swivel', 'improvedClinch')),
      hook('hook', '1', to('hook-line', 'snell')),
    ],
    {
      lead: 'leader.joint leader swivel.joint swivel lead',
      hook: 'leader.joint leader swivel.joint swivel hook-line.joint hook-line hook.joint hook',
    },
  ),
  fixture(
    'heavy bottom bait',
    [
      line('double', 'double', 'braid', 80, 0.8, to('outfit', 'spiderHitch')),
      hw('three-way', 'threeWay', to('double', 'girthHitch'), '1/0'),
      hw('snap', 'snap', fit('three-way'), '1/0'),
      lead('lead', 680, fit('snap'), 'pyramid'),
      line('snood', 'snood', 'cord', 200, 0.4, to('three-way', 'twoHalfHitches')),
      hook('hook', '12/0', to('snood', 'twoHalfHitches'), 'circle'),
    ],
    {
      lead: 'double.joint double three-way.joint three-way snap lead',
      hook: 'double.joint double three-way.joint three-way snood.joint snood hook.joint hook',
    },
  ),
  fixture(
    'soft-lure rig',
    [
      leader(20, 1.2, 'fg', 'fluoro'),
      lead('bullet', 14, slides('leader', 1.1, 'hook'), 'bullet'),
      hw('bead', 'bead', slides('leader', 1.15, 'hook')),
      hook('hook', '3/0', to('leader', 'palomar')),
      lure('worm', 8, fit('hook')),
    ],
    {
      bullet: 'leader.joint leader hook.joint hook bullet',
      hook: 'leader.joint leader hook.joint hook',
      worm: 'leader.joint leader hook.joint hook worm',
    },
  ),
  fixture(
    'sliding float',
    [
      hw('stop', 'stopKnot', at('outfit', 4)),
      hw('bead-1', 'bead', slides('outfit', 3.5, undefined, 'stop')),
      float('float', 25, slides('outfit', 3, undefined, 'bead-1')),
      hw('bead-2', 'bead', slides('outfit', 1, 'sinker')),
      lead('sinker', 20, slides('outfit', 0.5, 'swivel'), 'barrel'),
      hw('swivel', 'swivel', to('outfit', 'palomar'), '8'),
      line('hook-length', 'leader', 'fluoro', 15, 0.8, to('swivel', 'uni')),
      hook('hook', '2', to('hook-length', 'uni')),
    ],
    {
      hook: 'swivel.joint swivel hook-length.joint hook-length hook.joint hook',
      sinker: 'swivel.joint swivel sinker',
    },
  ),
  fixture(
    'string of small dressed hooks',
    [
      line('body', 'body', 'mono', 20, 1.5, to('outfit', 'doubleUni')),
      hw('loop-1', 'loop', at('body', 0.4, 'dropperLoop')),
      hook('hook-1', '6', fit('loop-1')),
      hw('loop-2', 'loop', at('body', 0.7, 'dropperLoop')),
      hook('hook-2', '6', fit('loop-2')),
      hw('loop-3', 'loop', at('body', 1, 'dropperLoop')),
      hook('hook-3', '6', fit('loop-3')),
      lead('lead', 60, to('body', 'improvedClinch'), 'pear'),
    ],
    {
      'hook-1': 'body.joint body loop-1.joint loop-1 hook-1',
      'hook-2': 'body.joint body loop-1.joint body loop-2.joint loop-2 hook-2',
      lead: 'body.joint body loop-1.joint body loop-2.joint body loop-3.joint body lead.joint lead',
    },
  ),
  fixture(
    'clipped-down surf trace',
    [
      leader(60, 9),
      hw('swivel', 'swivel', to('leader', 'uni'), '4'),
      line('body', 'body', 'mono', 60, 1.5, to('swivel', 'uni')),
      hw('stop-top', 'crimp', at('body', 0.2)),
      hw('runner', 'swivel', slides('body', 0.21, 'stop-low', 'stop-top'), '6'),
      hw('stop-low', 'crimp', at('body', 0.22)),
      line('snood', 'snood', 'mono', 30, 1.2, to('runner', 'uni')),
      hook('hook', '2/0', to('snood', 'snell')),
      bait('bait', 'lugworm', 'hook'),
      hw('bait-clip', 'baitClip', at('body', 1.4)),
      hw('snap', 'snap', to('body', 'uni'), '4'),
      lead('lead', 150, fit('snap'), 'gripWire'),
    ],
    {
      lead: 'leader.joint leader swivel.joint swivel body.joint body snap.joint snap lead',
      hook: 'leader.joint leader swivel.joint swivel body.joint body stop-low runner snood.joint snood hook.joint hook',
    },
  ),
]

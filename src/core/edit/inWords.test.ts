import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { woundRef } from '../documents/linkRef.ts'
import { pieceNamed } from '../documents/pieces.ts'
import type { HardwarePiece, Trace } from '../documents/trace.ts'
import { TRACE_VERSION } from '../documents/versions.ts'
import { cutOf } from '../setup/cutLength.ts'
import { pathLinks } from '../setup/pathLinks.ts'
import type { Rig } from '../setup/setup.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { pathToPiece } from '../soundness/paths.ts'
import { drawInWords } from './inWords.ts'
import { newParts } from './newParts.ts'
import { placesAt } from './places.ts'

const nothing: Trace = { formatVersion: TRACE_VERSION, name: 'x', family: 'ownDesign', pieces: [] }
const rigOf = (trace: Trace): Rig => ({ trace, outfit: braidOutfit(50), catalogue })

function drawn(text: string, trace = nothing) {
  return drawInWords(rigOf(trace), placesAt(trace, woundRef('main'))[0]!, text)
}
function made(text: string): Trace {
  const result = drawn(text)
  if (!result.ok) throw new Error(result.why)
  return result.trace
}
const attachOf = (trace: Trace, id: string) => pieceNamed(trace, id).attach

describe('a trace in words', () => {
  test('after a comma comes what hangs from the part before, with what is said of it', () => {
    const trace = made('80 lb fluoro leader 3 m, swivel 4, snood 24 in, circle #2, lugworm 10 g')
    expect(pieceNamed(trace, 'leader')).toMatchObject({ material: 'fluoro', strengthN: 80 * LB, lengthM: 3 })
    expect(pieceNamed(trace, 'swivel')).toMatchObject({ size: '4', attach: { to: 'leader' } })
    expect(pieceNamed(trace, 'snood')).toMatchObject({ lengthM: 24 * 0.0254, attach: { to: 'swivel' } })
    expect(pieceNamed(trace, 'hook')).toMatchObject({ pattern: 'circle', size: '2', attach: { to: 'snood' } })
    expect(pieceNamed(trace, 'bait')).toMatchObject({ bait: 'lugworm', massKg: 0.01, attach: { to: 'hook' } })
  })

  test.each<[string, string, object]>([
    ['leader 2 m, 3/0 circle hook', 'hook', { pattern: 'circle', size: '3/0' }],
    ['leader 2 m, circle hook 3/0', 'hook', { pattern: 'circle', size: '3/0' }],
    ['leader 2 m, j hook 2/0 barbless offset', 'hook', { pattern: 'j', size: '2/0', barbless: true, offset: true }],
    ['leader 2 m, hook 4/0 snelled', 'hook', { attach: { joint: { connection: 'snell' } } }],
    ['leader 40 lb fluorocarbon 2 m', 'leader', { material: 'fluoro', strengthN: 40 * LB }],
    ['nylon leader 2 m', 'leader', { material: 'mono' }],
    ['leader 0.35 mm 3 m', 'leader', { diameterM: 0.00035, lengthM: 3 }],
    ['leader 4 ft 6', 'leader', { lengthM: expect.closeTo(4.5 * 0.3048, 9) }],
    ['leader 4 ft 6 in', 'leader', { lengthM: expect.closeTo(4.5 * 0.3048, 9) }],
    ['leader 3,5 m', 'leader', { lengthM: 3.5 }],
    ['wind-on 5 m', 'leader', { lengthM: 5 }],
    ['top shot 5 m', 'leader', { lengthM: 5 }],
    ['leader 2 m, dropper 30 cm', 'snood', { lengthM: 0.3 }],
    [
      'leader 2 m, bite trace wire #4 30 cm',
      'bite-trace',
      { material: 'wire', strengthN: catalogue.wireNumbers.find(({ number }) => number === 4)!.strengthLb * LB, lengthM: 0.3 },
    ],
    ...['#7', 'no.7', 'no. 7', 'size 7'].map((size): [string, string, object] => [
      `leader 2 m, swivel ${size}`,
      'swivel',
      { size: '7' },
    ]),
    ['leader 2 m, 3-way swivel', 'three-way-swivel', { type: 'threeWay' }],
    ['leader 2 m, bomb 1 1/2 oz', 'sinker', { shape: 'bomb', massKg: expect.closeTo(1.5 * 0.028349523125, 9) }],
    ['leader 2 m, lead 150 g', 'sinker', { massKg: 0.15 }],
    ['leader 2 m, lead bomb 150 g', 'sinker', { shape: 'bomb' }],
    ['leader 2 m, grip lead 150 g', 'sinker', { shape: 'gripWire' }],
    ['leader 2 m, hook 4/0, whole fish', 'bait', { bait: 'wholeFish' }],
    ['leader 2 m, hook 4/0, live bait', 'bait', { bait: 'wholeFish', alive: true }],
    ['leader 2 m, hook 2, dead prawn', 'bait', { bait: 'prawn', alive: false }],
    ['leader 2 m, hook 2/0, squid', 'bait', { bait: 'squid' }],
    ['leader 2 m, swivel 6-turn uni', 'swivel', { attach: { joint: { connection: 'uni', turns: 6 } } }],
    ...['two oh', 'two aught', '2-0', '2/0'].map((size): [string, string, object] => [
      `leader 2 m, circle hook ${size}`,
      'hook',
      { size: '2/0' },
    ]),
    ['leader 2 m, breakaway lead 150 g', 'sinker', { shape: 'gripWire' }],
    ['leader 2 m, swivel grinner', 'swivel', { attach: { joint: { connection: 'uni' } } }],
    ['leader 2 m, swivel half blood 5 turns', 'swivel', { attach: { joint: { connection: 'clinch', turns: 5 } } }],
    ['leader 2 m\nswivel\nsnood 1 m', 'snood', { lengthM: 1 }],
  ])('as anglers write it: %s', (text, id, expected) => {
    expect(pieceNamed(made(text), id)).toMatchObject(expected)
  })

  test.each<[string, string, object]>([
    [
      'leader 2 m, stop knot, bead, swivel',
      'stop-knot',
      { attach: { how: 'fixed', on: 'leader', atM: expect.closeTo(1.96, 9) } },
    ],
    ['leader 2 m, ball 60 g, bead, swivel', 'sinker', { attach: { how: 'sliding', on: 'leader', stops: { below: 'swivel' } } }],
    ['stop knot, bead, float 30 g, swivel, leader 1 m', 'stop-knot', { attach: { how: 'fixed', on: 'outfit', atM: 2 } }],
    ['stop knot 3 m, bead, float 30 g, swivel, leader 1 m', 'stop-knot', { attach: { on: 'outfit', atM: 3 } }],
    [
      'body 1 m (stop knot 40 cm in the line 4 turns), bomb',
      'stop-knot',
      { attach: { joint: { connection: 'stopKnotOwn', turns: 4 } } },
    ],
    ['body 1 m (snood 20 cm, hook), bomb', 'snood', { attach: { to: 'loop' } }],
    [
      'leader 15 lb 1 m (hook 2 40 cm palomar), bomb',
      'hook',
      { attach: { how: 'fixed', on: 'leader', joint: { connection: 'palomar' } } },
    ],
    [
      'leader 20 lb 1 m, loop (tag 10 cm, hook; tag, hook)',
      'snood',
      { strengthN: 20 * LB, lengthM: 0.1, attach: { joint: { connection: 'runsOn' } } },
    ],
    ['leader 20 lb 1 m, hook snell (tag, hook)', 'snood', { strengthN: 20 * LB, lengthM: 0.15, attach: { to: 'hook' } }],
    ['leader 2 m, loop, bomb 100 g girth hitch', 'sinker', { attach: { to: 'loop', joint: { connection: 'girthHitch' } } }],
    ['leader 2 m, J 2/0 opened eye weed guard', 'hook', { openedEye: true, weedGuard: true }],
    ['leader 30 lb 2 m, ball-bearing swivel 100 lb', 'ball-bearing-swivel', { strengthN: 100 * LB }],
    ['leader 30 lb 2 m, ball-bearing swivel', 'ball-bearing-swivel', { strengthN: 40 * LB }],
    ['leader 30 lb 2 m, ball-bearing swivel 4', 'ball-bearing-swivel', { size: '4' }],
    ['leader 2 m (J 4/0 three wraps round the shank), J 2/0', 'hook-2', { size: '4/0', wraps: 3, attach: { how: 'sliding' } }],
    ['leader 2 m (J 4/0 2 wraps), J 2/0', 'hook-2', { size: '4/0', wraps: 2 }],
    ['leader 2 m, J 2/0 weedless', 'hook', { weedGuard: true }],
    ['leader 2 m, J 2/0, soft lure 8 g nail 2 g o-ring', 'lure', { massKg: 0.008, nailKg: 0.002, rigging: 'ring' }],
    ['leader 2 m, J 2/0, dead strip point up', 'bait', { rigging: 'pointUp' }],
    ['leader 2 m, J 2/0, dead strip trimmed stitched', 'bait', { trimmed: true, rigging: 'stitched', alive: false }],
  ])('what slides, stops, stands off or runs on: %s', (text, id, expected) => {
    expect(pieceNamed(made(text), id)).toMatchObject(expected)
  })

  test('a weak link in words is the weak link of the trace', () =>
    expect(made('leader 2 m, three-way swivel (rotten bottom 10 lb 50 cm, bomb 150 g; snood, hook)').weakLink).toBe(
      'sinker-line',
    ))

  test('two of one thing on a line stand beside each other', () => {
    const beads = made('leader 2 m (bead x2), swivel').pieces.filter(
      (piece) => piece.role === 'hardware' && piece.type === 'bead',
    )
    expect(beads.map(({ attach }) => attach.how === 'sliding' && attach.on)).toEqual(['leader', 'leader'])
  })

  test('a lure and a bait take their length and that they float, a jig head its weight', () => {
    const trace = made('leader 3 m, lure 30 g 12 cm floating')
    expect(pieceNamed(trace, 'lure')).toMatchObject({ massKg: 0.03, lengthM: 0.12, floats: true })
    expect(pieceNamed(made('leader 3 m, jig head 21 g 3/0 swinging'), 'hook')).toMatchObject({
      pattern: 'j',
      size: '3/0',
      headKg: 0.021,
      headSwings: true,
      attach: { joint: { connection: expect.not.stringMatching(/snell/i) } },
    })
    expect(drawn('leader 3 m, hook 2/0 swinging')).toMatchObject({ ok: false })
    expect(drawn('leader 3 m, lure 4 m')).toMatchObject({ ok: false })
  })

  test('in brackets stands what rides on a line, in its order and where it is said to be', () => {
    const trace = made(
      'body 1 m (rubber stop 30 cm; swivel 35 cm, snood, hook; stop knot 40 cm; sleeve 90 cm), sinker 3.2 kg steel',
    )
    expect(attachOf(trace, 'rubber-stop')).toMatchObject({ how: 'fixed', on: 'body', atM: 0.3 })
    expect(attachOf(trace, 'swivel')).toMatchObject({
      how: 'sliding',
      atM: expect.closeTo(0.35, 9),
      stops: { below: 'stop-knot' },
    })
    expect(attachOf(trace, 'snood')).toMatchObject({ to: 'swivel' })
    expect(attachOf(trace, 'sleeve')).toMatchObject({ how: 'sliding', stops: { below: 'sinker' } })
    expect(pieceNamed(trace, 'sinker')).toMatchObject({ massKg: 3.2, metal: 'steel', attach: { to: 'body' } })
  })

  test('in brackets stands too what hangs from a part that is no line', () => {
    const trace = made('leader, solid ring (split ring, ball 10 g; hook 2/0)')
    expect([attachOf(trace, 'split-ring'), attachOf(trace, 'hook')]).toMatchObject([{ to: 'solid-ring' }, { to: 'solid-ring' }])
  })

  test('riders without a place are spread over their line', () => {
    const trace = made('double 2 m (clip ring; float; bead), swivel')
    const places = ['clip-ring', 'float', 'bead'].map((id) => attachOf(trace, id))
    expect(places).toMatchObject([{ atM: 0.5 }, { atM: 1 }, { atM: 1.5 }])
  })

  test('a knot is named with its part', () => {
    const trace = made('double 1 m, loop cat’s paw, leader 3 m figure-eight join, lure 100 g non-slip loop')
    expect(attachOf(trace, 'loop')).toMatchObject({ joint: { connection: 'catsPaw' } })
    expect(attachOf(made('double 80 cm, three-way swivel girth hitch'), 'three-way-swivel')).toMatchObject({
      joint: { connection: 'girthHitch' },
    })
    expect(attachOf(trace, 'lure')).toMatchObject({ joint: { connection: 'nonSlipLoop' } })
  })

  test('what hung there hangs from the last of the chain', () => {
    const before = made('leader, hook')
    const result = drawn('double 1 m', before)
    expect(result.ok && attachOf(result.trace, 'leader')).toMatchObject({ to: 'double' })
  })

  test.each([
    ['leader 2 m, breakaway', '“breakaway”: “breakaway” has two meanings: write weak link or wired sinker'],
    [
      'leader 2 m, swivel fisherman’s knot',
      '“swivel fishermans knot”: “fishermans knot” has two meanings: write improved clinch or double uni',
    ],
    ['leader 2 m, hook 20', '“hook 20”: “20” could be 2/0 or the small size 20: write 2/0 or #20'],
    ['leadr', '“leadr”: no such part, the nearest is “leader”'],
    [
      'leadr 3 m, swivvel',
      '“leadr 3 m”: no such part, the nearest is “leader”; “swivvel”: no such part, the nearest is “swivel”',
    ],
    ['leader 40 lb 60 lb', '“leader 40 lb 60 lb”: “60 lb” says again what was said before'],
    ['leader 40', '“leader 40”: “40” needs a unit'],
    ['swivel 30 g', '“swivel 30 g”: “30 g” is not a detail of a swivel'],
    ['(bead)', 'a bracket has no part before it'],
    ['leader (bead', 'a bracket is not closed'],
    ['leader) bead', 'a bracket is closed but not opened'],
    ['leader, swivel 30 cm', 'swivel 30 cm: only parts on a line have a position; write it in the brackets of its line'],
    ['leader (bead fg), swivel', 'bead fg: it has no knot there'],
    [' , ;', 'it is empty'],
    ['leader, '.repeat(3_000), 'this is too long for one trace'],
    ['leader, bait', 'bait: a bait goes on a hook'],
  ])('“%s”: %s', (text, why) => {
    expect(drawn(text)).toEqual({ ok: false, why })
  })

  test('whatever is written makes a sound trace or says why not', () => {
    const names = Object.values(newParts(catalogue)).map(({ name }) => name)
    const word = fc.constantFrom(...names, '40 lb', '3 m', '6/0', '90 g', 'mono', 'fg', ',', ', ', ';', '(', ')')
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 14 }), (words) => {
        const result = drawn(words.join(' '))
        if (result.ok) expect(parseTrace(result.trace, catalogue).ok).toBe(true)
        else expect(result.why).not.toBe('')
      }),
      { numRuns: atDepth(100, 300) },
    )
  })
})

describe('a line of several strands', () => {
  const twisted = made('twisted leader 60 lb 2 m, swivel')
  const conditions = { wet: false, lineSpread: 0.07, pulledSpread: 0.04 }
  const leaderN = (trace: Trace) =>
    pathLinks({ catalogue, wound: [], conditions }, pathToPiece(trace, 'swivel')).find(({ id }) => id === 'leader')!.strengthN

  test('it holds what its strands bear together', () => {
    expect(leaderN(twisted)).toBeCloseTo(2 * leaderN(made('leader 60 lb 2 m, swivel')), 6)
  })

  test('each strand is longer than the line by its helix: twice of it is cut, and more', () => {
    const [two, one] = [twisted, made('leader 60 lb 2 m, swivel')].map((trace) => {
      const line = pieceNamed(trace, 'leader')
      return cutOf({ trace, catalogue }, line as Parameters<typeof cutOf>[1])
    })
    const usedM = two!.uses.reduce((sum, use) => sum + use.usedM, 0)
    const d = Math.sqrt((4 * 60 * LB) / (Math.PI * 0.57e9))
    expect(two!.cutM).toBeCloseTo(2 * (2 * Math.sqrt(1 + (Math.PI * d * 40) ** 2) + usedM), 9)
    expect(two!.cutM).toBeGreaterThan(2 * (one!.cutM - 0.2))
  })

  test('it counts by what its strands are labelled together: what is equal to the main line, what is sized by it', () => {
    const said = (text: string) =>
      evaluated(made(text), braidOutfit(50), defaultConditions({ castStyle: 'none' })).findings.map(({ rule }) => rule)
    const rest = ', swivel 1/0, snood 50 lb, hook 6/0, whole pouting'
    expect(said(`twisted leader 25 lb 3 m double uni${rest}`)).toContain('equal-labels')
    expect(said(`twisted leader 50 lb 3 m double uni${rest}`)).not.toContain('equal-labels')
    const swivel = (text: string) => pieceNamed(made(text), 'swivel')
    expect(swivel('twisted leader 25 lb, swivel')).toMatchObject({ size: (swivel('leader 50 lb, swivel') as HardwarePiece).size })
  })

  test('its ends are loops: a cat’s paw takes them, a snell does not', () => {
    const paw = drawn('double 1 m, twisted leader 2 m cat’s paw, swivel')
    expect(paw.ok && attachOf(paw.trace, 'leader')).toMatchObject({ joint: { connection: 'catsPaw' } })
    expect(attachOf(made('twisted leader 2 m, hook'), 'hook')).toMatchObject({ joint: { connection: 'uni' } })
  })
})

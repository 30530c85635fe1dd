import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { attempt, editsArb, STARTS } from '../../../tests/fixtures/randomTraces.ts'
import { catalogue, evaluated, rigOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { jointRef, pieceRef, woundRef } from '../documents/linkRef.ts'
import { isLine, parentId } from '../documents/pieces.ts'
import type { LinePiece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import { FAMILIES } from '../families/families.ts'
import { misfitOf } from '../joints/connectionRules.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { pathToPiece } from '../soundness/paths.ts'
import { addPart } from './addPart.ts'
import { onLine } from './along.ts'
import type { EditResult } from './editResult.ts'
import { hold, isHeld, moveTo, placesToMove } from './moveTo.ts'
import { placesAt, stretchesOn } from './places.ts'
import { goesWith, removePart } from './removePart.ts'
import { reorder } from './reorder.ts'
import { replacePart } from './replacePart.ts'
import { resolveStops } from './resolveStops.ts'
import { restring, restringRole } from './restring.ts'
import { slidePart } from './slidePart.ts'
import { splitLine } from './splitLine.ts'

const outfit = braidOutfit(50)
const usual = defaultConditions()
const drafts = FAMILIES.map(({ id }) => draftOf(id, outfit, usual).trace)
const draftNamed = (id: string) => drafts.find(({ family }) => family === id)!

function done(result: EditResult): Trace {
  if (!result.ok) throw new Error(result.why)
  return result.trace
}
/** The joints of a trace that cannot stand where they do. */
const misfits = (trace: Trace) => trace.pieces.flatMap((piece) => misfitOf(rigOf(trace, outfit), piece) ?? [])
/** A piece by its id, or the main line. */
const refOf = (chosen: string) => (chosen === 'main' ? woundRef('main') : pieceRef(chosen))
const ids = (trace: Trace) => trace.pieces.map(({ id }) => id)
const path = (trace: Trace, id: string) =>
  pathToPiece(trace, id)
    .map((element) => element.id)
    .join(' ')

describe('any edits on any trace', () => {
  test('never make an unsound document, never touch the one they came from, and say why where they refuse', () => {
    let made = 0
    let refusedCount = 0
    fc.assert(
      fc.property(fc.constantFrom(...STARTS), editsArb, (start, edits) => {
        let trace = start
        for (const edit of edits) {
          const before = JSON.stringify(trace)
          const misfitted = misfits(trace)
          const result = attempt(trace, outfit, edit)
          expect(JSON.stringify(trace)).toBe(before)
          if (!result.ok) {
            expect(result.why.length).toBeGreaterThan(5)
            refusedCount += 1
            continue
          }
          made += 1
          const parsed = parseTrace(JSON.parse(JSON.stringify(result.trace)), catalogue)
          expect(parsed.ok ? [] : parsed.issues).toEqual([])
          expect(fitIssues(rigOf(result.trace, outfit))).toEqual([])
          // An edit never leaves a joint where it cannot be tied.
          expect(misfitted.length === 0 ? misfits(result.trace) : [], JSON.stringify(edit)).toEqual([])
          expect([...ids(result.trace), 'main']).toContain(result.chosen)
          evaluated(result.trace, outfit, usual)
          trace = result.trace
        }
      }),
      { numRuns: atDepth(80, 300) },
    )
    // The edits are real ones: a good part of them is made.
    expect(made).toBeGreaterThan(refusedCount / 2)
  })
})

test('stops as a person drew them stay as they are', () => {
  for (const trace of STARTS) expect(resolveStops(trace)).toEqual(trace)
})

describe('add', () => {
  test('a swivel between leader and hook length takes over what hung there, by a knot that suits', () => {
    const ledger = draftNamed('freeLine')
    const [end] = placesAt(ledger, pieceRef('leader'))
    const trace = done(addPart(rigOf(ledger, outfit), end!, 'swivel'))
    expect(path(trace, 'hook')).toBe('leader.joint leader swivel.joint swivel hook')
    const longer = done(addPart(rigOf(trace, outfit), placesAt(trace, pieceRef('swivel'))[1]!, 'snood'))
    expect(path(longer, 'hook')).toBe('leader.joint leader swivel.joint swivel snood.joint snood hook.joint hook')
  })

  test('a line put at a hook hangs beside the bait, which stays on its hook', () => {
    const trace = draftNamed('freeLine')
    const [, over] = placesAt(trace, pieceRef('hook'))
    const longer = done(addPart(rigOf(trace, outfit), over ?? { at: 'end', of: 'hook', takes: 'hook-bait' }, 'leader'))
    expect(longer.pieces.find(({ role }) => role === 'bait')!.attach).toMatchObject({ to: 'hook' })
  })

  test('along a line it is in the middle of its widest stretch', () => {
    // The two booms of the paternoster sit on its body: the room is what they leave.
    const body = draftNamed('boomPaternoster')
      .pieces.filter(isLine)
      .find(({ id }) => id === 'body')!
    const taken = draftNamed('boomPaternoster').pieces.flatMap(({ attach }) =>
      'atM' in attach && 'on' in attach && attach.on === 'body' ? [attach.atM] : [],
    )
    const edges = [0, ...taken, body.lengthM].toSorted((a, b) => a - b)
    const gaps = edges.slice(1).map((to, i) => ({ from: edges[i]!, widthM: to - edges[i]! }))
    const widest = gaps.toSorted((a, b) => b.widthM - a.widthM)[0]!
    const along = placesAt(draftNamed('boomPaternoster'), pieceRef('body')).find(({ at }) => at === 'along')!
    expect(along).toMatchObject({ at: 'along', line: 'body', downM: expect.closeTo(widest.from + widest.widthM / 2, 9) })
    expect(gaps.length).toBeGreaterThan(3)
  })

  test('before a joint is between the two it joins', () => {
    const trace = done(
      addPart(rigOf(draftNamed('straightLure'), outfit), placesAt(draftNamed('straightLure'), jointRef('lure'))[0]!, 'snap'),
    )
    expect(path(trace, 'lure')).toBe('leader.joint leader snap.joint snap lure')
  })

  test('a sinker along the leader holds on what is tied to its end; with nothing there it is refused', () => {
    const free = draftNamed('freeLine')
    const trace = done(addPart(rigOf(free, outfit), { at: 'along', line: 'leader', downM: 1 }, 'sinker'))
    expect(trace.pieces.find(({ id }) => id === 'sinker')!.attach).toMatchObject({ how: 'sliding', stops: { below: 'hook' } })
    const bare = done(addPart(rigOf(emptyTrace('bare'), outfit), { at: 'end', of: OUTFIT }, 'leader'))
    expect(addPart(rigOf(bare, outfit), { at: 'along', line: 'leader', downM: 1 }, 'sinker')).toMatchObject({
      ok: false,
      why: expect.stringMatching(/nothing below stops it/),
    })
  })

  test('a crimp put under a running sinker becomes its stop', () => {
    const ledger = draftNamed('runningLedger')
    const leader = ledger.pieces[0] as LinePiece
    const trace = done(addPart(rigOf(ledger, outfit), { at: 'along', line: 'leader', downM: leader.lengthM - 0.1 }, 'crimp'))
    expect(path(trace, 'sinker')).toMatch(/^leader\.joint leader crimp sinker$/)
  })

  test('a branch on a line: a dropper loop, or a boom between crimps, each with snood, hook and bait', () => {
    for (const [part, parts] of [
      ['baitedSnood', 4],
      ['trappedSnood', 8],
    ] as const) {
      const trace = done(addPart(rigOf(draftNamed('clippedDown'), outfit), { at: 'along', line: 'body', downM: 0.8 }, part))
      expect(trace.pieces).toHaveLength(draftNamed('clippedDown').pieces.length + parts)
      expect(path(trace, 'hook-2')).toMatch(/body.*snood-2\.joint snood-2 hook-2\.joint hook-2$/)
    }
  })

  test('a pulley rig from nothing', () => {
    let trace = emptyTrace('pulley')
    const add = (chosen: string, partId: string) => {
      trace = done(addPart(rigOf(trace, outfit), placesAt(trace, refOf(chosen))[0]!, partId))
    }
    add('main', 'leader')
    add('leader', 'pulleyBead')
    add('pulley-bead', 'pulleyLine')
    add('swivel', 'sinker')
    add('swivel-2', 'snood')
    add('snood', 'hook')
    expect(path(trace, 'hook')).toBe(
      'leader.joint leader pulley-bead.joint pulley-bead swivel swivel.joint body swivel-2.joint swivel-2 snood.joint snood hook.joint hook',
    )
    // A pull on the hook runs the body through until the sinker's swivel bears on the bead: the sinker is lifted.
    expect(path(trace, 'sinker')).toContain('pulley-bead swivel-2 swivel-2.joint body')
  })

  test('what cannot be is refused with its reason', () => {
    const ledger = draftNamed('runningLedger')
    const why = (chosen: string, partId: string, which = 0) =>
      addPart(rigOf(ledger, outfit), placesAt(ledger, refOf(chosen))[which]!, partId)
    expect(why('leader', 'bait')).toMatchObject({ ok: false, why: 'a bait goes on a hook' })
    expect(why('leader', 'sinker')).toMatchObject({ ok: false, why: expect.stringMatching(/swivel is tied there already/) })
    expect(why('sinker', 'hook')).toMatchObject({ ok: false, why: 'nothing can be tied to a sinker' })
    expect(why('main', 'loop', 1)).toMatchObject({ ok: false, why: expect.stringMatching(/not cut/) })
    const cord = draftNamed('heavyBottom')
    expect(addPart(rigOf(cord, outfit), { at: 'end', of: 'snood' }, 'snood')).toMatchObject({
      ok: false,
      why: expect.stringMatching(/no knot joins/),
    })
  })
})

describe('remove', () => {
  test('what followed is tied to what was above, and clears the names that are gone', () => {
    const ledger = draftNamed('runningLedger')
    const trace = done(removePart(rigOf(ledger, outfit), 'swivel', { below: false }))
    expect(path(trace, 'hook')).toBe('leader.joint leader hook-length.joint hook-length hook.joint hook')
    expect(path(trace, 'sinker')).toBe(
      'leader.joint leader hook-length.joint sinker'.replace('hook-length.joint sinker', 'hook-length.joint hook-length sinker'),
    )
  })

  test('a line goes with what rides on it; a weak link with its clip', () => {
    expect(goesWith(draftNamed('boomPaternoster'), 'body')).toContain('hook-b')
    const trace = done(removePart(rigOf(draftNamed('threeWay'), outfit), 'sinker-line', { below: true }))
    expect(trace.weakLink).toBeUndefined()
    expect(trace.releaseClips).toBeUndefined()
    expect(ids(trace)).not.toContain('sinker')
  })

  test('two branches are not left hanging from one line’s end', () => {
    expect(removePart(rigOf(draftNamed('threeWay'), outfit), 'three-way', { below: false })).toMatchObject({ ok: false })
  })

  test('added and taken out again, the trace is as it was', () => {
    for (const start of drafts) {
      const [place] = placesAt(start, pieceRef(start.pieces.find(isLine)!.id))
      const added = addPart(rigOf(start, outfit), place!, 'swivel')
      if (!added.ok) continue
      const back = done(removePart(rigOf(added.trace, outfit), added.chosen, { below: false }))
      expect(ids(back), start.family).toEqual(ids(start))
      for (const piece of start.pieces)
        expect(parentId(back.pieces.find(({ id }) => id === piece.id)!.attach)).toBe(parentId(piece.attach))
    }
  })
})

describe('split, slide, reorder, replace, a role at once', () => {
  test('a split line keeps its length and what rode on each part', () => {
    const start = draftNamed('boomPaternoster')
    const trace = done(splitLine(rigOf(start, outfit), 'body', 0.6))
    const [upper, lower] = ['body', 'body-2'].map((id) => trace.pieces.find((piece) => piece.id === id) as LinePiece)
    expect(upper!.lengthM + lower!.lengthM).toBeCloseTo((start.pieces.find(({ id }) => id === 'body') as LinePiece).lengthM, 12)
    expect(trace.pieces.find(({ id }) => id === 'boom-a')!.attach).toMatchObject({ on: 'body' })
    expect(trace.pieces.find(({ id }) => id === 'boom-b')!.attach).toMatchObject({ on: 'body-2', stops: { below: 'crimp-b2' } })
    expect(path(trace, 'sinker')).toContain('body.joint body swivel-2.joint swivel-2 body-2.joint body-2 snap.joint')
  })

  test('a boom slides with its crimps and beads, and never past its neighbours', () => {
    const start = draftNamed('boomPaternoster')
    const trace = done(slidePart(rigOf(start, outfit), 'boom-a', 0.5))
    const placeOf = (of: Trace, id: string) => (of.pieces.find((piece) => piece.id === id)!.attach as { atM: number }).atM
    for (const id of ['crimp-a1', 'bead-a1', 'boom-a', 'bead-a2', 'crimp-a2'])
      expect(placeOf(trace, id) - placeOf(start, id), id).toBeCloseTo(0.2, 12)
    const pushed = done(slidePart(rigOf(start, outfit), 'boom-a', 99))
    expect(placeOf(pushed, 'crimp-a2')).toBeCloseTo(placeOf(start, 'crimp-b1'), 12)
    expect(placeOf(pushed, 'boom-b')).toBe(placeOf(start, 'boom-b'))
  })

  test('on your main line a place counts up from its free end', () => {
    const trace = done(slidePart(rigOf(draftNamed('slidingFloat'), outfit), 'stop', -6))
    expect(trace.pieces.find(({ id }) => id === 'stop')!.attach).toMatchObject({ on: OUTFIT, atM: 6 })
  })

  test('a swivel changes places with the body below it, and back again', () => {
    const start = draftNamed('captiveSinker')
    const moved = done(reorder(rigOf(start, outfit), 'bottom', 'hook'))
    expect(path(moved, 'hook-a')).toContain('body.joint body trace.joint trace bottom.joint bottom hook-a')
    expect(path(done(reorder(rigOf(moved, outfit), 'bottom', 'reel')), 'hook-a')).toBe(path(start, 'hook-a'))
  })

  test('a bead and a float change places on the line', () => {
    const start = draftNamed('runningLedger')
    const moved = done(reorder(rigOf(start, outfit), 'bead', 'reel'))
    const at = (of: Trace, id: string) => (of.pieces.find((piece) => piece.id === id)!.attach as { atM: number }).atM
    expect([at(moved, 'bead'), at(moved, 'sinker')]).toEqual([at(start, 'sinker'), at(start, 'bead')])
  })

  test('a swivel becomes a three-way swivel, and everything follows', () => {
    const trace = done(replacePart(rigOf(draftNamed('runningLedger'), outfit), 'swivel', 'threeWay'))
    expect(path(trace, 'sinker')).toBe('leader.joint leader three-way-swivel.joint three-way-swivel sinker')
    expect(path(trace, 'hook')).toContain('three-way-swivel hook-length.joint')
    expect(replacePart(rigOf(draftNamed('runningLedger'), outfit), 'leader', 'swivel')).toMatchObject({
      ok: false,
      why: expect.stringMatching(/parts on the line/),
    })
  })

  test('all snoods to 40 lb in one step; a material that a knot does not take is tied anew, and said', () => {
    const trace = done(
      restringRole(rigOf(draftNamed('boomPaternoster'), outfit), 'snood', { material: 'fluoro', strengthN: 40 * LB }),
    )
    const snoods = trace.pieces.filter(isLine).filter(({ role }) => role === 'snood')
    expect(snoods.map(({ material, strengthN }) => [material, strengthN / LB])).toEqual([
      ['fluoro', 40],
      ['fluoro', 40],
    ])
    const wired = restringRole(rigOf(trace, outfit), 'snood', { material: 'wire', strengthN: 100 })
    expect(wired).toMatchObject({ ok: true, said: expect.stringContaining('snood a with haywire twist') })
    expect(done(wired).pieces.find(({ id }) => id === 'hook-a')!.attach).toMatchObject({ joint: { connection: 'haywire' } })
    expect(misfits(done(wired))).toEqual([])
  })

  test('a strand that runs on changes with the line it is of', () => {
    const shot = draftNamed('dropShot')
    const leader = shot.pieces.filter(isLine).find(({ role }) => role === 'leader')!
    const trace = done(restring(rigOf(shot, outfit), [leader], { material: 'mono', strengthN: 30 * LB }, leader.id))
    expect(trace.pieces.filter(isLine).map(({ id, material, strengthN }) => [id, material, strengthN])).toEqual([
      ['leader', 'mono', 30 * LB],
      ['tail', 'mono', 30 * LB],
    ])
    expect(misfits(trace)).toEqual([])
  })
})

describe('move', () => {
  const ledger = draftNamed('runningLedger')
  const rig = rigOf(ledger, outfit)

  test('a rider is lifted off one line and put on another with all it has', () => {
    const heavy = {
      ...ledger,
      pieces: ledger.pieces.map((piece) => (piece.id === 'sinker' ? { ...piece, massKg: 0.123 } : piece)) as Trace['pieces'],
    }
    const moved = done(moveTo(rigOf(heavy, outfit), 'sinker', { at: 'along', line: 'hook-length', downM: 0.3 }))
    expect(moved.pieces.find(({ id }) => id === 'sinker')).toMatchObject({
      massKg: 0.123,
      attach: { how: 'sliding', on: 'hook-length', atM: 0.3, stops: { below: 'hook' } },
    })
  })

  test('lifted off it passes what it bore on, and what bore on it finds another stop', () => {
    const moved = done(moveTo(rig, 'bead', stretchesOn(ledger, 'leader')[0]!))
    const [bead, sinker] = ['bead', 'sinker'].map((id) => moved.pieces.find((piece) => piece.id === id)!)
    expect(bead!.attach.how === 'sliding' && sinker!.attach.how === 'sliding').toBe(true)
    if (bead!.attach.how !== 'sliding' || sinker!.attach.how !== 'sliding') return
    expect(bead!.attach.atM).toBeLessThan(sinker!.attach.atM)
    expect(sinker!.attach.stops.below).toBe('swivel')
  })

  test('an end goes between two others only where nothing hangs from it', () => {
    expect(moveTo(rig, 'swivel', { at: 'end', of: 'outfit', takes: 'leader' })).toMatchObject({ ok: false })
    expect(placesToMove(rig, 'hook').map(({ place }) => place)).toContainEqual({ at: 'end', of: 'swivel' })
  })

  test('held it stays where it is, let go it slides to what is below', () => {
    const held = done(hold(rig, 'sinker', true))
    const at = (trace: Trace) => trace.pieces.find(({ id }) => id === 'sinker')!
    expect(at(held).attach).toMatchObject({ how: 'fixed', on: 'leader' })
    expect([isHeld(at(ledger)), isHeld(at(held)), isHeld(ledger.pieces.find(({ id }) => id === 'hook')!)]).toEqual([
      false,
      true,
      undefined,
    ])
    const free = done(hold(rigOf(held, outfit), 'sinker', false))
    expect(at(free).attach).toMatchObject({ how: 'sliding', on: 'leader', stops: { below: expect.any(String) } })
  })

  test('a hook is held by the knot it is tied in by', () => {
    const pulley = draftNamed('pulley')
    const upper = (trace: Trace) => trace.pieces.find(({ id }) => id === 'upper')!
    const held = done(hold(rigOf(pulley, outfit), 'upper', true))
    expect([isHeld(upper(pulley)), isHeld(upper(held))]).toEqual([false, true])
    expect(upper(held).attach).toMatchObject({ how: 'fixed', on: 'snood', joint: { connection: 'snell' } })
    const free = done(hold(rigOf(held, outfit), 'upper', false))
    expect(upper(free).attach).toEqual(upper(pulley).attach)
  })
})

describe('where', () => {
  test('every stretch between riders is a place, named by its neighbours, and a part put there lies between them', () => {
    const boom = draftNamed('boomPaternoster')
    const stretches = stretchesOn(boom, 'body')
    expect(stretches.length).toBe(boom.pieces.filter(({ attach }) => 'on' in attach && attach.on === 'body').length + 1)
    for (const place of stretches.filter(({ lengthM }) => lengthM > 0.01)) {
      const put = done(addPart(rigOf(boom, outfit), place, 'crimp'))
      const row = onLine(put, 'body').map(({ piece }) => piece.id)
      const [fresh] = row.filter((id) => !boom.pieces.some((piece) => piece.id === id))
      const at = row.indexOf(fresh!)
      if (place.above) expect(row[at - 1]).toBe(place.above)
      if (place.below) expect(row[at + 1]).toBe(place.below)
    }
  })

  test('from a lure hang hooks and lines, from a hook a stinger', () => {
    const lure = draftNamed('straightLure')
    const hooked = done(addPart(rigOf(lure, outfit), { at: 'end', of: 'lure' }, 'hook'))
    expect(path(hooked, 'hook')).toMatch(/lure hook$/)
    const stinger = done(addPart(rigOf(draftNamed('freeLine'), outfit), { at: 'end', of: 'hook' }, 'biteTrace'))
    expect(path(stinger, 'bite-trace')).toMatch(/hook bite-trace\.joint bite-trace$/)
  })
})

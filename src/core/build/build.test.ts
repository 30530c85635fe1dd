import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { traceArb } from '../../../tests/fixtures/randomTraces.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { nominalDiameterM } from '../catalogue/materials.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { isLine, jointOf, parentId } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { joined } from '../edit/attach.ts'
import { withJoint } from '../edit/changes.ts'
import { FAMILIES } from '../families/families.ts'
import { usedOfOutfitM } from '../setup/cutLength.ts'
import { replacements } from '../setup/replacement.ts'
import { cutList } from './cutList.ts'
import { partsList } from './partsList.ts'
import { buildSteps, linesTied } from './steps.ts'

const fixture = (family: string) => FAMILY_FIXTURES.find(({ trace }) => trace.family === family)!.trace
const paternoster = draftOf('boomPaternoster', braidOutfit(50), defaultConditions()).trace

describe('cut list', () => {
  test('worked by hand: hook length of the running ledger', () => {
    // 0.9 m finished; uni at the swivel 0.10 + 7 × 5 d; snell at the hook 0.14 + 7 × 7 d; d nominal of 30 lb fluoro.
    const d = nominalDiameterM(catalogue, 'fluoro', 30 * LB)
    const cut = cutList({ trace: fixture('runningLedger'), catalogue })
      .flatMap(({ cuts }) => cuts)
      .find(({ id }) => id === 'hook-length')!
    expect(cut.cutM).toBeCloseTo(0.9 + 0.1 + 35 * d + 0.14 + 49 * d, 12)
  })

  test('lines of one strength and two diameters come off two spools, alike ones off one', () => {
    const ledger = fixture('runningLedger')
    const groups = (thicker: number) =>
      cutList({
        trace: {
          ...ledger,
          pieces: ledger.pieces.map((piece) =>
            piece.id === 'leader' || piece.id === 'hook-length'
              ? { ...piece, material: 'mono', strengthN: 30 * LB, diameterM: piece.id === 'leader' ? 5e-4 * thicker : 5e-4 }
              : piece,
          ) as Trace['pieces'],
        },
        catalogue,
      }).map(({ cuts }) => cuts.map(({ id }) => id))
    expect(groups(1)).toEqual([['leader', 'hook-length']])
    expect(groups(1.1)).toEqual([['leader'], ['hook-length']])
  })

  test('dropper loops take the trunk’s line: twice the loop, the handling and the turns', () => {
    const d = nominalDiameterM(catalogue, 'mono', 20 * LB)
    const body = cutList({ trace: fixture('hookString'), catalogue })[0]!.cuts[0]!
    // Double uni to the outfit, three droppers on 5 cm loops, improved clinch at the sinker.
    expect(body.cutM).toBeCloseTo(1.5 + (0.13 + 35 * d) + 3 * (2 * 0.05 + 0.12 + 42 * d) + (0.1 + 35 * d), 12)
  })

  test('a double in the reel’s line is not cut: it takes both strands of that line, and its end knots take no more', () => {
    const d = nominalDiameterM(catalogue, 'braid', 80 * LB)
    const trace = fixture('windOn')
    expect(cutList({ trace, catalogue }).flatMap(({ cuts }) => cuts.flatMap(({ of }) => of))).not.toContain('double')
    const used = usedOfOutfitM({ trace, catalogue }, { material: 'braid', strengthN: 80 * LB })
    expect(used).toBeCloseTo(2 * 1.5 + 0.35 + 7 * 15 * d, 12)
  })

  test('one piece of line is one cut: a loop cut open to its tags, the tail below a hook, a double in a leader', () => {
    const cutOfStrand = (trace: Trace, id: string) =>
      cutList({ trace, catalogue })
        .flatMap(({ cuts }) => cuts)
        .find(({ of }) => of.includes(id))!
    const tags = fixture('twinTag')
    const d = nominalDiameterM(catalogue, 'fluoro', 25 * LB)
    const twin = cutOfStrand(tags, 'tag-1')
    expect(twin.of).toEqual(['leader', 'tag-1', 'tag-2'])
    const leaderM = tags.pieces.filter(isLine).find(({ id }) => id === 'leader')!.lengthM
    // The surgeon’s loop adds its handling and two turns: its legs are the tags.
    const [atReel, loop, first, second] = twin.uses.map(({ usedM }) => usedM)
    expect(loop).toBeCloseTo(0.1 + 14 * d, 12)
    expect(twin.cutM).toBeCloseTo(leaderM + 0.3 + 0.45 + atReel! + loop! + first! + second!, 12)
    const shot = draftOf('dropShot', braidOutfit(50), defaultConditions()).trace
    expect(cutOfStrand(shot, 'tail').of).toEqual(['leader', 'tail'])
    const leader = draftOf('liveBaitLeader', braidOutfit(50), defaultConditions()).trace
    const line = leader.pieces.filter(isLine)[0]!
    const doubled: Trace = {
      ...leader,
      pieces: [
        line,
        { ...line, id: 'double', role: 'double', lengthM: 0.4, attach: joined('leader', 'bimini') },
        ...leader.pieces.slice(1).map((piece) => (piece.role === 'hook' ? { ...piece, attach: joined('double', 'uni') } : piece)),
      ],
    }
    const whole = cutOfStrand(doubled, 'double')
    expect(whole.of).toEqual(['leader', 'double'])
    expect(whole.cutM).toBeGreaterThan(line.lengthM + 2 * 0.4 + 0.35)
  })

  test.each(FAMILY_FIXTURES)(
    '$trace.family: every line is in the list once, none cut shorter than it finishes, totals add up',
    ({ trace }) => {
      const groups = cutList({ trace, catalogue })
      const cuts = groups.flatMap((group) => group.cuts)
      expect(cuts.flatMap(({ of }) => of).sort()).toEqual(
        trace.pieces
          .filter((piece) => isLine(piece) && !(piece.role === 'double' && parentId(piece.attach) === 'outfit'))
          .map(({ id }) => id)
          .sort(),
      )
      for (const cut of cuts) expect(cut.cutM).toBeGreaterThan(cut.finishedM)
      for (const group of groups)
        expect(group.totalM).toBeCloseTo(
          group.cuts.reduce((sum, { cutM }) => sum + cutM, 0),
          12,
        )
    },
  )

  test('the woven join uses more of the braid than of the leader', () => {
    expect(
      usedOfOutfitM({ trace: paternoster, catalogue }, { material: 'braid', strengthN: 50 * LB, diameterM: 0.0003 }),
    ).toBeCloseTo(0.35 + 7 * 22 * 0.0003, 12)
  })

  test('a loop in the outfit’s own line takes its length twice', () => {
    const looped = (loopM: number) =>
      usedOfOutfitM(
        { trace: withJoint(paternoster, 'leader', () => ({ connection: 'surgeonsLoop', loopM })), catalogue },
        { material: 'braid', strengthN: 50 * LB, diameterM: 0.0003 },
      )
    expect(looped(0.3) - looped(0.1)).toBeCloseTo(0.4, 12)
  })
})

test('the parts list counts alike parts together and leaves line, knots and bait out', () => {
  const counts = Object.fromEntries(
    partsList(paternoster).map(({ sample, count }) => [sample.role === 'hardware' ? sample.type : sample.role, count]),
  )
  expect(counts).toEqual({ swivel: 1, crimp: 4, bead: 4, boom: 2, hook: 2, snap: 1, sinker: 1 })
})

describe('replacement', () => {
  test('worked by hand: a hook length with its hook', () => {
    // Fluoro at 0.35 units a metre as cut, a hook 0.45; uni 1 minute, snell 1.5, bait fitted 0.2.
    const ledger = fixture('runningLedger')
    const cut = cutList({ trace: ledger, catalogue })
      .flatMap(({ cuts }) => cuts)
      .find(({ id }) => id === 'hook-length')!
    const lost = replacements({ trace: ledger, catalogue })(['hook-length', 'hook', 'bait'])
    expect(lost.cost).toBeCloseTo(cut.cutM * 0.35 + 0.45, 12)
    expect(lost.minutes).toBeCloseTo(1 + 1.5 + 0.2, 12)
  })

  test.each(FAMILY_FIXTURES)(
    '$trace.family: the parts of a trace cost what the whole does; nothing costs nothing',
    ({ trace }) => {
      const ids = trace.pieces.map(({ id }) => id)
      const whole = replacements({ trace, catalogue })(ids)
      const summed = ids
        .map((id) => replacements({ trace, catalogue })([id]))
        .reduce((a, b) => ({ cost: a.cost + b.cost, minutes: a.minutes + b.minutes }))
      expect(whole.cost).toBeCloseTo(summed.cost, 9)
      expect(whole.minutes).toBeCloseTo(summed.minutes, 9)
      expect(whole.cost).toBeGreaterThan(0)
      expect(replacements({ trace, catalogue })([])).toEqual({ cost: 0, minutes: 0 })
    },
  )
})

describe('steps', () => {
  test.each(FAMILY_FIXTURES)(
    '$trace.family: whatever is threaded goes on before the knot that closes its line, and every knot is tied once',
    ({ trace }) => {
      const steps = buildSteps({ trace, catalogue })
      const tiedAt = (id: string) => steps.findIndex((step) => (step.do === 'tie' || step.do === 'connect') && step.piece === id)
      for (const [i, step] of steps.entries()) {
        if (step.do !== 'thread' || step.before === undefined) continue
        const closing = tiedAt(step.before)
        if (closing >= 0) expect(closing).toBeGreaterThan(i)
      }
      const knots = trace.pieces.filter(
        (piece) => piece.attach.how === 'joined' && !['fitted', 'runsOn'].includes(jointOf(piece)!.connection),
      )
      for (const { id } of knots)
        expect(steps.filter((step) => (step.do === 'tie' || step.do === 'connect') && step.piece === id)).toHaveLength(1)
      const sliders = trace.pieces.filter(({ attach }) => attach.how === 'sliding').map(({ id }) => id)
      const threaded = steps.flatMap((step) => (step.do === 'thread' ? step.parts : []))
      for (const id of sliders) expect(threaded).toContain(id)
    },
  )

  test('in the hand: nothing goes on over an end that is closed, in any family or after any edits', () => {
    for (const trace of [
      ...FAMILY_FIXTURES.map((each) => each.trace),
      ...FAMILIES.map(({ id }) => draftOf(id, braidOutfit(50), defaultConditions()).trace),
    ])
      expect(unthreadable(trace), trace.name).toEqual([])
    fc.assert(
      fc.property(traceArb, (trace) => {
        expect(unthreadable(trace)).toEqual([])
      }),
      { numRuns: atDepth(120, 500) },
    )
  })

  test('a double is tied in the reel’s line before what is tied to it, and a stop knot before the sinker below it', () => {
    const at = (steps: ReturnType<typeof buildSteps>, piece: string) =>
      steps.findIndex((step) => 'piece' in step && step.piece === piece)
    const wound = buildSteps({ trace: fixture('windOn'), catalogue })
    expect(at(wound, 'double')).toBeLessThan(at(wound, 'leader-loop'))
    expect(at(wound, 'leader')).toBeLessThan(at(wound, 'leader-loop'))
    const float = buildSteps({ trace: draftOf('slidingFloat', braidOutfit(50), defaultConditions()).trace, catalogue })
    const threaded = float.findIndex((step) => step.do === 'thread' && step.parts.includes('sinker'))
    expect(at(float, 'stop')).toBeLessThan(threaded)
    const { parts } = float[threaded] as { parts: string[] }
    expect(parts).toEqual(['bead-upper', 'float', 'bead-lower', 'sinker', 'bead-knot'])
  })

  test('sliders go on in the order they lie, and the connection to the outfit comes last', () => {
    const steps = buildSteps({ trace: paternoster, catalogue })
    const threaded = steps.find((step) => step.do === 'thread')
    expect(threaded).toMatchObject({
      line: 'body',
      before: 'snap',
      parts: ['crimp-a1', 'bead-a1', 'boom-a', 'bead-a2', 'crimp-a2', 'crimp-b1', 'bead-b1', 'boom-b', 'bead-b2', 'crimp-b2'],
    })
    expect(steps.at(-1)).toMatchObject({ do: 'connect', piece: 'leader' })
    expect(
      steps.some(
        (step) => 'piece' in step && parentId(paternoster.pieces.find(({ id }) => id === step.piece)!.attach).startsWith('hook'),
      ),
    ).toBe(false)
  })
})

/** A small simulation of the hands: what could not be threaded when its step came, because every end it could go on over was closed. */
function unthreadable(trace: Trace): string[] {
  const closed = new Set<string>()
  const faults: string[] = []
  const end = (line: string, which: 'near' | 'far') => `${line} ${which}`
  for (const step of buildSteps({ trace, catalogue })) {
    if (step.do === 'thread') {
      const ends = step.line === 'outfit' ? [end('outfit', 'far')] : [end(step.line, 'near'), end(step.line, 'far')]
      if (ends.every((each) => closed.has(each))) faults.push(`${step.parts.join()} on ${step.line}`)
    }
    if (step.do !== 'tie' && step.do !== 'connect') continue
    const piece = trace.pieces.find(({ id }) => id === step.piece)!
    if (isLine(piece)) closed.add(end(piece.id, 'near'))
    const { attach } = piece
    const joins = catalogue.connections[step.joint.connection].joins
    if (attach.how === 'joined' && joins !== 'doubles') closed.add(end(attach.to, attach.end ?? 'far'))
  }
  return faults
}

test('a step says the lines that its knot is tied in: on the reel first, of a loop its own line alone', () => {
  const outfit = braidOutfit(50)
  for (const step of buildSteps({ trace: paternoster, catalogue })) {
    if (!('joint' in step)) continue
    const lines = linesTied(step, { trace: paternoster, outfit })
    expect(lines.length, step.piece).toBeGreaterThan(0)
    if (step.do === 'connect') expect(lines[0]!.material).toBe('braid')
    if (step.do === 'tie' && step.inOwnEnd) expect(lines).toEqual([paternoster.pieces.find(({ id }) => id === step.piece)])
  }
})

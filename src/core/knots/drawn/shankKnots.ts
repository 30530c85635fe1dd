import { type Point, Strand } from '../curve.ts'
import { type DrawnKnot, mix, type PicturedStrand, ring, tagged, tiedSteps, whole } from '../picture.ts'

const WIRE = 1.3
const HOOK_EYE = 4.6

/** A hook with its eye at nought, its shank along x. */
function hook(shank: number): PicturedStrand[] {
  const bend = 13
  const points: Point[] = [
    [HOOK_EYE, 0, 0],
    [shank, 0, 0],
  ]
  for (let i = 1; i <= 16; i += 1) {
    const angle = (Math.PI * i) / 16
    points.push([shank + bend * Math.sin(angle), -bend + bend * Math.cos(angle), 0])
  }
  points.push([shank - 10, -2 * bend, 0], [shank - 18, -2 * bend + 1.6, 0])
  return [ring(0, HOOK_EYE, WIRE), { id: 'hook', kind: 'metal', radius: WIRE, points, wraps: [] }]
}

/** Along the shank, back as a loop, round shank and line, and out through the loop’s end. */
function snell(turns: number, open: number): Strand {
  const first = HOOK_EYE + mix(3, 7, open)
  const last = first + mix(2.1, 3.6, open) * turns
  const far = last + mix(8, 13, open)
  const high = mix(8, 10, open)
  return new Strand()
    .to([-34, 0.6, 0.6], [-16, 0.6, 1.6])
    .mark()
    .to(
      [-HOOK_EYE, 0.6, 2.8],
      [-1.4, 0.6, 1.4],
      [1.4, 1, -1.4],
      [HOOK_EYE, 1.6, -2.8],
      [first - 0.6, 2.4, -0.5],
      [first + 2, 2.4, 0],
    )
    .to([last, 2.4, 0], [far - 3, 2.4, 0])
    .mark()
    .to(
      [far, 3.2, 0],
      [far + 0.6, high - 2, 0],
      [far - 3, high, 0],
      [(first + last) / 2, high, 0.4],
      [first + 0.5, high - 0.6, 0.6],
    )
    .mark()
    .to([first - 1.4, high - 2.4, 0.6])
    .wrap({ from: first, to: last, turns, y: 1.05, radius: 3.6 })
    .mark()
    .to(
      [last + 2, mix(5, 6, open), 1.4],
      [far - 0.5, mix(5, 6.6, open), -1.6],
      [far + 2, mix(4.8, 6.6, open), -2.6],
      [far + 11, 5, -2.2],
    )
    .mark()
}

export const snellDrawn: DrawnKnot = ({ turns }) => {
  const shank = HOOK_EYE + 26 + 3.6 * turns
  return tiedSteps([tagged(snell(turns, 1))], [[tagged(snell(turns, 0))]], hook(shank))
}

/** Twists of both wires before the barrel wraps, as everyone makes. */
const TWISTS = 4
const EYE = ring(0, 5, 1.4)
const throughEye: Point[] = [
  [-5, 2, 2.8],
  [-1.8, 1.2, 1.5],
  [-0.6, 0, 0],
  [-1.8, -1.2, -1.5],
  [-5, -2, -2.8],
]

/** A wire crossed over itself, twisted with itself, and wound on as a barrel; its tag to be broken off, or gone. */
function haywire(barrels: number, open: number, upTo: 'crossed' | 'whole' | 'broken'): Strand {
  const right = -5 - mix(8, 12, open)
  const left = right - mix(6.4, 8, open) * TWISTS
  const wrapped = left - 3 - mix(2.1, 2.6, open) * barrels
  const strand = new Strand().to([wrapped - 26, 0, 0], [wrapped - 10, 0, 0], [left - 4, 0, 0])
  if (upTo === 'crossed')
    return strand
      .to([left, 0, 0], [right - 4, 0.6, 0], [right + 2, 2.6, 1])
      .mark()
      .to(...throughEye, [right + 3, -3, -2], [right - 3, 0, -2.4], [right - 9, 5, -1.6], [right - 16, 9, 0])
      .mark()
  strand
    .mark()
    .wrap({ from: left, to: right, turns: TWISTS, radius: 1.05 })
    .to([right + 4, 2.6, 1], ...throughEye, [right + 4, -2.6, -1])
    .wrap({ from: right, to: left, turns: TWISTS, radius: 1.05, start: Math.PI, hand: -1 })
    .mark()
    .to([left - 1.6, -1.9, 0.4])
    .wrap({ from: left - 3, to: wrapped, turns: barrels, radius: 2.2, start: Math.PI, hand: -1 })
  if (upTo === 'whole') strand.to([wrapped - 0.6, -4, -1], [wrapped - 0.8, -11, -1.4])
  return strand.mark()
}

export const haywireDrawn: DrawnKnot = ({ turns }) => {
  const barrels = Math.max(1, turns - TWISTS)
  const [crossed] = tiedSteps([tagged(haywire(barrels, 1, 'crossed'))], [], [EYE])
  const tied = tiedSteps([tagged(haywire(barrels, 1, 'whole'))], [], [EYE])
  return [crossed!, ...tied, whole([tagged(haywire(barrels, 0, 'broken'))], [EYE])]
}

/** A sleeve’s two barrels lie so far above and below its middle. */
const BARREL = 1.6
const SLEEVE = { from: -30, to: -17, halfHeight: 3.6 }

function crimped(tagM: number): Strand {
  return new Strand()
    .to([-58, BARREL, 0], [-44, BARREL, 0])
    .mark()
    .to([SLEEVE.from, BARREL, 0], [SLEEVE.to, BARREL, 0], [-11, 3, 1.4], ...throughEye, [-10, -3, -1.4])
    .mark()
    .to([SLEEVE.to, -BARREL, 0], [SLEEVE.from, -BARREL, 0], [SLEEVE.from - tagM, -BARREL, 0])
    .mark()
}

export const crimpLoopDrawn: DrawnKnot = () => {
  const laid = tiedSteps([tagged(crimped(8))], [[tagged(crimped(8))], [tagged(crimped(3))]], [EYE])
  return laid.map((picture, i) => ({ ...picture, sleeve: { ...SLEEVE, pressed: i >= 2 } }))
}

import { type Point, Strand } from '../curve.ts'
import { type DrawnKnot, mix, ring, tagged, tiedSteps } from '../picture.ts'

/** The ring that is tied to, its middle at nought. */
const RING = 6
const EYE = ring(0, RING)
const RIM = -RING

/** Through the eye from the front and back under its rim: a leg in front at one height, one behind at another. */
const throughEye = (inY: number, outY: number): Point[] => [
  [RIM, inY, 2.9],
  [RIM + 3.4, (2 * inY + outY) / 3, 1.6],
  [RIM + 4.6, (inY + outY) / 2, 0],
  [RIM + 3.4, (inY + 2 * outY) / 3, -1.6],
  [RIM, outY, -2.9],
]

/** Wraps of a single line lie so far apart, and so far out about one line and about two. */
const pitch = (open: number) => mix(2.1, 3.6, open)
const ABOUT_ONE = 2.2
const ABOUT_TWO = 3.25

/** Where wraps that leave a gap at the eye begin and end, and where the gap is. */
function placed(turns: number, open: number, gap: number) {
  const first = RIM - gap
  const last = first - pitch(open) * turns
  return { first, last, gapX: RIM - mix(2.6, gap * 0.45, open) }
}

/** From the reel to wraps that end at `last`, and on to the front leg at the gap. */
const standing = (last: number, first: number, legY: number, gapX: number): Point[] => [
  [last - 26, 0, 0],
  [last - 10, 0, 0],
  [first - 3, 0, 0],
  [first + 0.6, 0.02, 0],
  [gapX, legY, 2.3],
]

function clinch(turns: number, open: number, tucked: boolean): Strand {
  const { first, last, gapX } = placed(turns, open, mix(6, 14, open))
  const legY = mix(2.1, 3, open)
  const strand = new Strand()
    .to(...standing(last, first, legY, gapX))
    .mark()
    .to(...throughEye(legY * 0.7, -legY * 0.7), [gapX, -legY, -2.3])
    .mark()
    .wrap({ from: first, to: last, turns, radius: ABOUT_ONE, start: Math.PI })
    .to([last - mix(1.5, 3, open), -mix(3.6, 5, open), 1])
  const low = mix(tucked ? 7.4 : 5.4, 9, open)
  strand.mark().to([last + 2, -low, 0.5], [(last + gapX) / 2, -low, 0], [gapX - 1.6, -low + 1, 0.2])
  if (!tucked) return strand.to([gapX, -legY, 0], [gapX + 0.5, 0, 0], [gapX, legY, 0], [gapX - 1, mix(8, 14, open), 0]).mark()
  return strand
    .to(
      [gapX - 0.3, -legY - 0.3, 0.3],
      [gapX, -legY + 2.3, -2.4],
      [gapX - 2.4, -legY + 0.9, -4.7],
      [gapX - 4.4, -legY - 1.4, -4.4],
    )
    .mark()
    .to([gapX - 5, -low + 2.7, -0.4], [gapX - 6.2, -low + 0.2, 2.9], [gapX - 8, -low - mix(5, 8, open), 2.6])
    .mark()
}

const drawnClinch =
  (tucked: boolean): DrawnKnot =>
  ({ turns }) =>
    tiedSteps([tagged(clinch(turns, 1, tucked))], [[tagged(clinch(turns, 0, tucked))]], [EYE])

function doubleEye(turns: number, open: number): Strand {
  const { first, last } = placed(turns, open, mix(11.5, 18, open))
  const spread = mix(1.1, 1.7, open)
  const gapX = RIM - mix(3.4, 6, open)
  const far = RIM - mix(6.4, 11, open)
  const low = mix(6, 10, open)
  return new Strand()
    .to(...standing(last, first, 3 * spread, gapX))
    .mark()
    .to(...throughEye(2.6 * spread, spread), [gapX, spread, -2.3], [far + 1, spread * 0.6, -1.6], [far, 0, 0])
    .to([far + 1, -spread * 0.6, 1.6], [gapX, -spread, 2.3], ...throughEye(-spread, -2.6 * spread), [gapX, -3 * spread, -2.3])
    .mark()
    .wrap({ from: first, to: last, turns, radius: ABOUT_ONE, start: Math.PI })
    .to([last - 2.5, -4, 1])
    .mark()
    .to([last + 2, -low, 0.5], [(last + gapX) / 2, -low, 0], [gapX - 3, -low + 1, 0])
    .to([gapX, -3 * spread, 0], [gapX, 0, 0], [gapX, 3 * spread, 0], [gapX - 1, mix(8, 14, open), 0])
    .mark()
}

/** A uni: away from the eye by so much, its wraps open or close. */
function uni(turns: number, open: number, away: number): Strand {
  const gap = mix(3.4, 12, away)
  const first = RIM - gap
  const last = first - pitch(open) * turns
  const end = last - mix(3, 10, open)
  const strand = new Strand()
    .to([last - 34, 1.05, 0], [last - 20, 1.05, 0], [first - 2, 1.05, 0], [first + 0.6, 1.07, 0])
    .mark()
    .to(...throughEye(1.6, -1.6), [first + 0.6, -1.07, 0], [first - 2, -1.05, 0], [last, -1.05, 0], [end, -1.05, 0])
    .mark()
  if (open === 0)
    // The loop has gone into the barrel, behind the other two.
    return strand
      .to([end - 1.7, -0.6, -0.9], [end, 0, -1.9], [last, 0, -1.9], [first - 2, 0, -1.9], [first + 1.4, 1.4, -3.1])
      .wrap({ from: first, to: last, turns, z: -0.6, radius: 3.5 })
      .to([last - 1.6, 3.6, 0.6], [end - 6, 6, 0.6])
  return strand
    .to(
      [end - 3, 0.6, 2.4],
      [end - 3.4, 6, 2.2],
      [end, 10, 0],
      [(last + first) / 2, 10, 0],
      [first - 1, 9, 0],
      [first + 2, 6, 0.2],
    )
    .mark()
    .wrap({ from: first, to: last, turns, radius: ABOUT_TWO })
    .to([last - 3, 5, 1.6], [end - 0.5, 6, 4.6], [end - 9, 8, 4.6])
    .mark()
}

function sanDiego(turns: number, open: number): Strand {
  const gap = mix(5.4, 12, open)
  const first = RIM - gap
  const last = first - pitch(open) * turns
  const gapX = RIM - mix(2.8, 6, open)
  const legY = mix(2.1, 3, open)
  const [far, low] = [last - mix(6.4, 9, open), mix(7, 8, open)]
  return new Strand()
    .to([last - 34, 1.05, 0], [last - 20, 1.05, 0], [first - 2, 1.05, 0], [first + 0.6, 1.07, 0], [gapX, legY, 2.3])
    .mark()
    .to(
      ...throughEye(legY * 0.7, -legY * 0.7),
      [gapX, -legY, -2.3],
      [first + 0.6, -1.07, 0],
      [first - 2, -1.05, 0],
      [last, -1.05, 0],
      [far + 2, -1.05, 0],
    )
    .mark()
    .to([far, -2.2, 0], [far, -low + 1.5, 0], [far + 2.5, -low, 0], [last - 0.5, -4.4, 0.5])
    .wrap({ from: last, to: first, turns, radius: ABOUT_TWO, start: Math.PI })
    .mark()
    .to([first + 1.6, -4, 0], [gapX, -legY, 0], [gapX, 0, 0], [gapX, legY, 0], [gapX - 1, mix(5, 8, open), 0])
    .mark()
    .to([first - 2, mix(5.2, 9, open), 0], [last, mix(5.2, 9, open), 0.6], [far + 3, mix(4.2, 6, open), 2.6], [far + 3, 0, 3.2])
    .to([far + 2.6, -low / 2 - 0.6, 0.4], [far + 2.2, -low, -2.4], [far + 1, -low - 6, -2.4])
    .mark()
}

function figureEight(open: number): Strand {
  const gapX = RIM - mix(3, 6, open)
  const legY = mix(2.1, 3.4, open)
  const back = RIM - mix(7, 18, open)
  return new Strand()
    .to([back - 30, 0, 0], [back - 14, 0, 0], [back, 0, 0], [gapX, legY, 2.3])
    .mark()
    .to(...throughEye(legY * 0.7, -legY * 0.7), [gapX, -legY, -2.3], [back + 5, -legY - 0.6, -1.6])
    .mark()
    .to([back + 1, -2, -2.5], [back, 0, -2.6], [back + 0.4, 3.6, -2])
    .mark()
    .to(
      [back + 3, mix(5, 7.6, open), 3],
      [gapX - 2.6, mix(5.4, 8, open), 4.6],
      [gapX + 0.2, legY + 0.6, 5.6],
      [gapX + 0.4, 0, 2.4],
      [gapX + 0.3, -legY + 2.3, -3.4],
    )
    .to([gapX, -legY, -4.6], [gapX - 1, -mix(8, 13, open), -3.6])
    .mark()
}

export const clinchDrawn = drawnClinch(false)
export const improvedClinchDrawn = drawnClinch(true)
export const doubleEyeClinchDrawn: DrawnKnot = ({ turns }) =>
  tiedSteps([tagged(doubleEye(turns, 1))], [[tagged(doubleEye(turns, 0))]], [EYE])
export const uniDrawn: DrawnKnot = ({ turns }) =>
  tiedSteps([tagged(uni(turns, 1, 1))], [[tagged(uni(turns, 0, 1))], [tagged(uni(turns, 0, 0))]], [EYE])
export const sanDiegoJamDrawn: DrawnKnot = ({ turns }) =>
  tiedSteps([tagged(sanDiego(turns, 1))], [[tagged(sanDiego(turns, 0))]], [EYE])
export const figureEightEyeDrawn: DrawnKnot = () => tiedSteps([tagged(figureEight(1))], [[tagged(figureEight(0))]], [EYE])

/** An overhand knot in the line first, its loop above it; through it out and back, wraps behind it, and through it once more. */
function nonSlip(turns: number, open: number): Strand {
  const s = mix(0.62, 1, open)
  const eye = mix(9, 16, open)
  const at = (x: number, y: number, z: number): Point => [RIM - eye + x * s, y * s, z]
  const first = RIM - eye - 17 * s
  const last = first - pitch(open) * turns
  return new Strand()
    .to(
      [last - 26, 0, 0],
      [last - 10, 0, 0],
      [first - 2, 0, 0],
      [first + 1, 0, 0],
      at(-14, 0, -1.2),
      at(-11, 0, -0.4),
      at(-6.5, 0, 2.4),
      at(-2.5, 0.4, 0),
    )
    .mark()
    .to(at(0, 3.5, -1.6), at(-2, 8, -0.6), at(-7, 10, 0), at(-11.6, 7, 0.6), at(-12.6, 2.6, 1.6), at(-12.4, -0.4, 2.4))
    .to(at(-10.6, -4.4, 1), at(-7.6, -3.6, -1.2), at(-6.2, 0, -2.4), at(-4.4, 3, -0.6), at(-0.4, 4.6, 2), at(4, 4.4, 2))
    .to(...throughEye(2.4, -2.4))
    .mark()
    .to(
      at(5, -2.6, -0.5),
      at(2, 0.6, 2.2),
      at(-0.4, 1.4, 3),
      at(-2.6, 3.6, 3.4),
      at(-5.4, 6.4, 0.4),
      at(-9, 8.8, -2.8),
      at(-13, 10, -2.2),
    )
    .mark()
    .to(at(-16.4, 6, -0.5))
    .wrap({ from: first, to: last, turns, radius: ABOUT_ONE })
    .mark()
    .to([last - 2, mix(3.6, 5, open), 0.6], [last - 1, mix(5, 8, open), 0])
    .to(at(-16, 14, -1), at(-9, 15.4, -2.4))
    .to(at(-5, 11.6, -3), at(-4.2, 7, -1.6), at(-3, 7.6, 1.7), at(1.5, 11, 2.4))
    .mark()
}
export const nonSlipLoopDrawn: DrawnKnot = ({ turns }) =>
  tiedSteps([tagged(nonSlip(turns, 1))], [[tagged(nonSlip(turns, 0.6))]], [EYE])

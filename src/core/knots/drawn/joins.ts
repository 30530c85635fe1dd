import { Strand } from '../curve.ts'
import { type DrawnKnot, joined, type Laid, mix, stages, tiedSteps } from '../picture.ts'

/** A little more than touching. */
const TOUCH = 1.06

/** A uni of each line’s tag round both, mirror images but for their thickness. */
function doubleUni(turns: number, other: number, open: number, between: number): Laid[] {
  const [lineY, otherY] = [other * TOUCH, -TOUCH]
  const [top, bottom] = [lineY + 1, otherY - other]
  const half = (top - bottom) / 2
  const middle = (top + bottom) / 2
  const barrel = (thick: number, side: 1 | -1, y: number): Strand => {
    const first = side * between
    const last = first + side * mix(2.1, 3.6, open) * thick * turns
    const end = last + side * mix(3, 10, open)
    const radius = half + thick * 1.12
    const start = y > middle ? 0 : Math.PI
    const up = Math.sign(y - middle)
    const high = middle + up * (radius + mix(2, 7, open) * thick)
    const strand = new Strand()
      .to([-side * (Math.abs(last) + 34), y, 0], [-side * (Math.abs(last) + 16), y, 0], [-side * between, y, 0])
      .mark()
      .to([first, y, 0], [last, y, 0], [end, y, 0])
      .mark()
    // The second line waits until the first is tied.
    if (side === -1) strand.mark()
    return strand
      .to(
        [end + side * 2.6 * thick, y + up * 2.2 * thick, 0.8],
        [end + side * 2 * thick, high - up * 1.4, 0.6],
        [end - side * 2, high, 0],
      )
      .to([(first + last) / 2, high, 0.4], [first + side * 0.4, high - up * mix(0.6, 1.4, open), 0.6])
      .wrap({ from: first, to: last, turns, y: middle, radius, start, hand: side })
      .to(
        [last + side * 2.4, middle + up * (radius + 0.6), 1.6 + thick],
        [end + side * 4, middle + up * (radius + 2), 2.6 + thick],
      )
      .to([end + side * 10, middle + up * (radius + 3), 2 + 2.4 * thick])
      .mark()
  }
  return joined(barrel(1, 1, lineY), barrel(other, -1, otherY), other)
}

export const doubleUniDrawn: DrawnKnot = ({ turns, other }) =>
  tiedSteps(doubleUni(turns, other, 1, 7), [doubleUni(turns, other, 0, TOUCH)])

/** Thin line up through a bend of thick line, back over all three towards the bend, and out as it came in. */
function albright(turns: number, other: number, open: number): Laid[] {
  const legs = other + TOUCH
  const radius = legs + other + 1.1
  const pitch = mix(2.1, 3.4, open)
  const [left, right] = [-pitch * turns, 0]
  const bend = left - mix(9.5, 12, open)
  const wide = legs + mix(0.4, 2, open)
  const deep = other + 1.5
  const thick = new Strand()
    .to([right + 44, -legs, 0], [right + 26, -legs, 0], [right + 16, -legs, 0])
    .mark()
    .to(
      [left - 1, -legs, 0],
      [bend + 4, -wide, 0],
      [bend, -wide * 0.5, 0],
      [bend, wide * 0.5, 0],
      [bend + 4, wide, 0],
      [left - 1, legs, 0],
    )
    .to([right, legs, 0], [right + 8, legs, 0], [right + 16, legs + 1.4, 0])
    .mark()
  const thin = new Strand()
    .to([bend - 34, -1.2, -1], [bend - 18, -1.2, -1.6])
    .mark()
    .to([bend - 2, -1.2, -deep], [bend + 1.6, -1, -deep], [bend + 5, -0.9, -1.4], [left, 0, 0], [right, 0, 0], [right + 4, 0, 0])
    .mark()
    .to([right + 7, 1, deep], [right + 7, legs, deep + 0.4], [right + 4, radius + 0.4, 1.6])
    .wrap({ from: right, to: left, turns, radius })
    .mark()
    .to(
      [left - 2, radius - 0.4, 1.6],
      [bend + 5.4, wide, deep + 0.4],
      [bend + 5.4, 1, 0.8],
      [bend, 1.2, -deep - 0.2],
      [bend - 8, 2.6, -2],
      [bend - 14, 4, -1.6],
    )
    .mark()
  return joined(thin, thick, other)
}
export const albrightDrawn: DrawnKnot = ({ turns, other }) => tiedSteps(albright(turns, other, 1), [albright(turns, other, 0)])

/** Braid across a leader, woven about it, locked by a half hitch round both, drawn tight, and finished by hitches on the braid alone. */
function fg(crossings: number, other: number, open: number, stage: 'across' | 'woven' | 'locked' | 'finished'): Laid[] {
  const pitch = mix(4.6, 6, open)
  const turns = Math.max(1, Math.round(crossings / 2))
  const [left, right] = [-pitch * turns, 0]
  const radius = other + 2.4
  const braidY = other + 1.12
  const leaderEnd = left - (stage === 'finished' ? 8 : 20)
  const leader =
    stage === 'across'
      ? new Strand().to(
          [40, -20, other + 1.4],
          [20, -10, other + 1.4],
          [0, 0, other + 1.4],
          [-20, 10, other + 1.4],
          [-30, 15, other + 1.4],
        )
      : new Strand().to([44, 0, 0], [26, 0, 0], [12, 0, 0], [right, 0, 0], [left, 0, 0], [leaderEnd, 0, 0])
  const braid = new Strand().to([left - 58, braidY, 0], [left - 40, braidY, 0])
  if (stage === 'across') return joined(braid.to([left - 20, braidY * 0.5, 0], [0, 0, 0], [20, 0, 0], [34, 0, 0]), leader, other)
  // Two helices of opposite hands that pass over each other by turns: the weave.
  braid
    .to([left - 12, braidY, 0], [left - 5, braidY, 0], [left - 2, radius, 0])
    .wrap({ from: left, to: right, turns, radius, sway: SWAY })
    .to([right + 2.6, radius - 0.4, other + 1.2], [right + 3.4, 0, other + 1.6], [right + 2.6, -radius + 0.4, other + 1.2])
    .wrap({ from: right, to: left, turns, radius, sway: SWAY, start: Math.PI })
  if (stage === 'woven') return joined(braid.to([left - 5, -radius - 2, 0.6], [left - 12, -radius - 6, 0.6]), leader, other)
  const both = (2 * other + 2.2) / 2
  braid
    .to([left - 2.6, -radius + 0.4, 0.6])
    .wrap({ from: left - 5, to: left - 7.4, turns: 1, y: 1.1, radius: both + 1.3, start: Math.PI })
  if (stage === 'locked') return joined(braid.to([left - 9.4, -both - 2, 1], [left - 15, -both - 6, 1]), leader, other)
  braid
    .to([left - 8.6, -1.2 - other * 0.4, other + 0.6], [leaderEnd - 2.4, braidY - 2.6, 0.6])
    .wrap({ from: leaderEnd - 4, to: leaderEnd - 11, turns: 3, y: braidY, radius: 2.25, start: Math.PI })
  return joined(braid.to([leaderEnd - 12.6, braidY - 4, 0.6], [leaderEnd - 16, braidY - 8, 0.6]), leader, other)
}
/** Half of what the two helices of a weave are apart where they cross. */
const SWAY = 1.15

export const fgDrawn: DrawnKnot = ({ turns, other }) => {
  const laid = (['across', 'woven', 'locked'] as const).map((stage) => fg(turns, other, 1, stage))
  return stages([...laid, fg(turns, other, 0, 'locked')], fg(turns, other, 0, 'finished'))
}

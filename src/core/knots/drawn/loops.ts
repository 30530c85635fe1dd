import { type Point, Strand } from '../curve.ts'
import { type DrawnKnot, type Laid, mix, stages, tagged, tiedSteps } from '../picture.ts'

/** A place drawn from below upwards, turned so that the line comes from the left. */
const turned = (x: number, y: number, z: number): Point => [y, -x, z]

/** Two loops with the tag laid between them; the second pulled up through the first, over the tag. */
function perfection(pulled: boolean, scale: number): Strand {
  const at = (x: number, y: number, z: number) => turned(x * scale, y * scale, z)
  const strand = new Strand()
    .to(turned(0, -46, 0), turned(0, -30, 0), at(0, -12, 1.6), at(0.2, -5, 1.8), at(2.6, -1.2, 0.4))
    .mark()
    .to(at(8, 3, 0), at(10.4, 9, 0), at(7, 16.4, 0), at(0, 19, 0), at(-7, 16.4, 0), at(-10.4, 9, 0), at(-7.6, 1.6, -0.4))
    .to(at(-3.4, -3.4, -0.8), at(0, -5.6, -1.2), at(4, -6.4, 0), at(7.2, -4.6, 2))
    .mark()
    .to(at(7.4, -1, 3.4), at(6, 5, 4.8))
  if (pulled)
    strand
      .to(at(4.6, 10.4, 4.6), at(4.2, 14.6, 0), at(5.6, 20, -3), at(7, 30, -2), at(4.6, 39, 0), at(0, 41, 0))
      .loop()
      .to(at(-4.6, 39, 0))
  else
    strand
      .to(at(5, 9.4, 4.8), at(0, 12, 4.8))
      .loop()
      .to(at(-5, 9.4, 4.8))
  if (pulled) strand.to(at(-7, 30, -2), at(-5.6, 20, -3), at(-4.2, 14.6, 0), at(-4.6, 10.4, 4.6))
  return strand
    .to(at(-6, 5, 4.8), at(-5.6, -2, 2.6), at(-4, -8, 0), at(0, -10.6, -0.8), at(5, -11, -0.4), at(9.6, -9, 0.6))
    .mark()
    .to(at(13.6, -3, 1.8), at(13.2, 4, 2.4), at(9, 6.6, 2.4), at(0, 6.8, 2.4), at(-10, 6.8, 2.6), at(-19, 7, 2))
    .mark()
}

export const perfectionLoopDrawn: DrawnKnot = () => {
  const laid = tiedSteps([tagged(perfection(false, 1))], [])
  const [, pulled, drawn] = stages(
    [[tagged(perfection(false, 1))], [tagged(perfection(true, 1))]],
    [tagged(perfection(true, 0.62))],
  )
  return [...laid, pulled!, drawn!]
}

/** A small loop, up through it, round behind the line and down again. */
function bowline(scale: number): Strand {
  const at = (x: number, y: number, z: number): Point => [x * scale, y * scale, z]
  return new Strand()
    .to([-58, 0, 0], [-44, 0, 0], at(-26, 0, 0), at(-20.4, 0, 1), at(-15.6, 0, 0), at(-11.4, 0, -1.4), at(-4, 0, 0))
    .mark()
    .to(at(3, 2.4, 0), at(5, 7.4, 0), at(1.4, 12, 0), at(-5, 12.6, 0), at(-10, 8.6, 0.6), at(-11.6, 3, 1.6), at(-11, -2.6, 1.6))
    .to(at(-7, -6.6, 0), at(2, -8.4, 0), at(20, -11, 0))
    .mark()
    .to(at(34, -10, 0), at(40, 0, 0))
    .loop()
    .to(at(34, 10, 0), at(20, 10, -0.6), at(9, 9, -1.8), at(4.6, 8.6, -2.6), at(-1, 7.6, 0), at(-5, 8.4, 2.2))
    .to(at(-9.6, 10.6, 3.2), at(-14, 10.4, 2.4))
    .mark()
    .to(at(-19.4, 7, 0), at(-21.4, 2, -2), at(-20.6, -3, -1.6), at(-18, -5.6, 0))
    .mark()
    .to(
      at(-15.2, -3.6, 1.6),
      at(-14.4, 0.6, 3),
      at(-11.8, 3.4, 4.4),
      at(-7, 4.6, 2),
      at(-2, 4, -1.6),
      at(4.4, 4, -2.6),
      at(14, 2.6, -1),
    )
    .mark()
}
export const bowlineDrawn: DrawnKnot = () => tiedSteps([tagged(bowline(1))], [[tagged(bowline(0.66))]])

/** Both ends of a line that goes on, as it is tied part-way. */
const partWay = (strand: Strand): Laid => ({ id: 'line', kind: 'line', radius: 1, start: 'reel', end: 'hook', strand })

/** The two sides of a loop wound round each other, half of the turns on either side of a gap; the loop hangs, or is pulled up through it. */
function dropper(turns: number, open: number, stage: 'loop' | 'wound' | 'gap' | 'pulled'): Strand {
  const halves: [number, number] = [Math.ceil(turns / 2), Math.floor(turns / 2)]
  const pitch = mix(4.4, 6, open)
  const gap = stage === 'gap' || stage === 'pulled' ? mix(3.6, 6, open) : 0
  const [left, right] = [-gap - pitch * halves[0], gap + pitch * halves[1]]
  const wide = mix(2.6, 4.4, open)
  const strand = new Strand().to([left - 30, 0, 0], [left - 14, 0, 0], [left - 5, 0.4, 0])
  const pass = (side: 1 | -1): void => {
    if (stage === 'loop') {
      strand.to([left, side * 1.3, side * 1.2], [right, side * 1.3, side * 1.2])
      return
    }
    const start = side === 1 ? 0 : Math.PI
    strand.wrap({ from: left, to: -gap, turns: halves[0], radius: 1.05, start })
    if (gap > 0) strand.to([0, side * wide, 0])
    if (halves[1] > 0) strand.wrap({ from: gap, to: right, turns: halves[1], radius: 1.05, start })
  }
  strand.mark()
  pass(1)
  const low = mix(5, 24, open)
  strand.to([right + mix(2.6, 5, open), -1, 2], [right + mix(3, 6, open), -mix(2.6, 6, open), 1])
  if (stage === 'pulled') {
    const high = mix(22, 26, open)
    strand.to([right, -low * 0.8, 0.6], [4, -mix(5.4, 10, open), 1.4], [1.4, -wide, 2.4], [1.2, 0, 0], [1.4, wide, -2.4])
    strand.to([2.6, high * 0.6, -1], [0, high, 0]).loop()
    strand.to([-2.6, high * 0.6, -1], [-1.4, wide, -2.4], [-1.2, 0, 0], [-1.4, -wide, 2.4])
    strand.to([-4, -mix(5.4, 10, open), 1.4], [left, -low * 0.8, 0])
  } else
    strand
      .to([right * 0.6 + 4, -low * 0.8, 0], [0, -low, 0])
      .loop()
      .to([left * 0.6 - 4, -low * 0.8, 0])
  strand.to([left - mix(3, 6, open), -mix(3.4, 6, open), -1], [left - mix(2.6, 5, open), -mix(1.6, 1.8, open), -1.4])
  pass(-1)
  return strand.to([right + 5, 0.4, -1.2], [right + 14, 0, -0.4], [right + 30, 0, 0]).mark()
}

export const dropperLoopDrawn: DrawnKnot = ({ turns }) => {
  const laid = (['loop', 'wound', 'gap', 'pulled'] as const).map((stage) => [partWay(dropper(turns, 1, stage))])
  return stages(laid, [partWay(dropper(turns, 0, 'pulled'))])
}

/** Laid in three along itself, the third run wound round the other two and out through the bend. */
function stop(turns: number, open: number): Strand {
  const [left, right] = [-mix(2.1, 3.6, open) * turns, 0]
  const bend = right + mix(4, 13, open)
  const back = left - mix(3, 9, open)
  return new Strand()
    .to([left - 40, 1.05, 0], [left - 24, 1.05, 0], [left - 12, 1.05, 0])
    .mark()
    .to(
      [right, 1.05, 0],
      [bend - 3, 1.6, 0],
      [bend, mix(0.8, 1, open), 0],
      [bend, -mix(1, 5, open), 0],
      [bend - 4, -mix(1.4, 4.6, open), 0],
    )
    .to([right, -1.05, 0], [left, -1.05, 0], [back, -1.05, 0])
    .mark()
    .to(
      [back - mix(1.5, 3, open), -2, 0],
      [back - mix(1.6, 3.4, open), -mix(3, 5, open), 0],
      [back, -mix(4, 6.4, open), 0],
      [left - 1.4, -mix(3.8, 4.6, open), 0.2],
    )
    .wrap({ from: left, to: right, turns, radius: 3.25, start: Math.PI })
    .to([right + 1.6, -3, 1.6], [bend - 1, -mix(0.6, 2, open), 2.6], [bend + 4, -1.2, 2.6], [bend + 22, 0, 0])
    .mark()
}
export const stopKnotOwnDrawn: DrawnKnot = ({ turns }) => {
  const closed = [partWay(stop(turns, 0))]
  return tiedSteps([partWay(stop(turns, 1))], [closed, closed])
}

import { type Towed, type TowedBody, type TowedLayer, type TowedLine, towed } from './towed.ts'

/**
 * All that is towed as rows: lines are numbered from 1 in their order, and each hangs from the lower end of one before it, or of 0,
 * where the line enters the water.
 */
export type TrollTowInput = {
  speedMperS: number
  lines: readonly (TowedLayer & { hangsFrom: number })[]
  bodies: readonly (TowedBody & { id: string; hangsFrom: number })[]
  waterDensityKgperM3?: number | undefined
}

/**
 * Where everything that is towed swims: as `towed`, of rows.
 * @throws CoreError as `followUp` does.
 */
export function trollTow({ speedMperS, lines, bodies, waterDensityKgperM3 }: TrollTowInput): Towed {
  const ends: (TowedLine & { bodies: (TowedBody & { id: string })[]; after: TowedLine[] })[] = [
    { layers: [], bodies: [], after: [] },
    ...lines.map(({ hangsFrom: _above, ...layer }) => ({ layers: [layer], bodies: [], after: [] })),
  ]
  for (const [i, { hangsFrom }] of lines.entries()) ends[hangsFrom]!.after.push(ends[i + 1]!)
  for (const { hangsFrom, ...body } of bodies) ends[hangsFrom]!.bodies.push(body)
  return towed(ends[0]!, speedMperS, { waterDensityKgperM3 })
}

/** A towed line as rows, from where it enters the water on. */
export function towRows(line: TowedLine): Pick<TrollTowInput, 'lines' | 'bodies'> {
  const lines: TrollTowInput['lines'][number][] = []
  const bodies: TrollTowInput['bodies'][number][] = []
  const add = (part: TowedLine, above: number) => {
    let hangsFrom = above
    // A line’s lengths count from its lower end up.
    for (const layer of part.layers.toReversed()) hangsFrom = lines.push({ hangsFrom, ...layer })
    for (const body of part.bodies) bodies.push({ ...body, hangsFrom })
    for (const each of part.after) add(each, hangsFrom)
  }
  add(line, 0)
  return { lines, bodies }
}

import { type ConnectionId, MATERIAL_IDS, type Material } from '../../core/catalogue/ids.ts'
import type { LineSpec } from '../../core/catalogue/materials.ts'

/** What a knot is shown for: the lines it is tied in, and its turns where they are said. */
export type KnotFor = { lines: LineSpec[]; turns: number | undefined }

const MAX_TURNS = 60
const isBetween = (least: number, value: number, most: number) => value >= least && value <= most

/** Where a knot is shown with the lines and turns of a joint. */
export function knotPath(id: ConnectionId, { lines, turns }: KnotFor): string {
  const query = new URLSearchParams(
    lines.map(({ material, strengthN, diameterM }) => [
      'line',
      [material, strengthN.toPrecision(6), diameterM?.toPrecision(6)].filter(Boolean).join('_'),
    ]),
  )
  if (turns !== undefined && turns > 0) query.set('turns', String(turns))
  return `/knots/${id}?${query}`
}

/** The same read back; what does not read is left out. */
export function readKnotFor(query: URLSearchParams): KnotFor {
  const turns = Number(query.get('turns') ?? Number.NaN)
  return {
    lines: query.getAll('line').slice(0, 2).flatMap(readLine),
    turns: Number.isInteger(turns) && isBetween(1, turns, MAX_TURNS) ? turns : undefined,
  }
}

function readLine(text: string): LineSpec[] {
  const [material, strength, diameter] = text.split('_')
  const [strengthN, diameterM] = [Number(strength), Number(diameter ?? Number.NaN)]
  if (!(MATERIAL_IDS as readonly unknown[]).includes(material) || !isBetween(0.1, strengthN, 100_000)) return []
  return [{ material: material as Material, strengthN, ...(isBetween(1e-5, diameterM, 0.02) ? { diameterM } : {}) }]
}

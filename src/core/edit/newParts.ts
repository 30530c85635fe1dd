import type { Catalogue } from '../catalogue/catalogue.ts'
import type { HardwareType, Material } from '../catalogue/ids.ts'
import type { LinePiece } from '../documents/trace.ts'

type LineKind = { kind: 'line'; role: LinePiece['role']; material: Material | 'outfit'; share: number; lengthM: number }

/** `set`: what is said of it at once, over what is usual. */
type Named = { name: string; group: (typeof PART_GROUPS)[number]; set?: object }
/** One part that can be put into a trace. */
export type SinglePart = Named &
  (LineKind | { kind: 'hardware'; type: HardwareType } | { kind: 'hook' | 'bait' | 'sinker' | 'lure' | 'float' | 'light' })
/** One part, or several that belong together. */
export type NewPart = SinglePart | (Named & { kind: 'baitedSnood' | 'trappedSnood' | 'weakSinker' | 'pulleyLine' })

/** A trapped swivel turns between its beads in this much of the body, m. */
export const TRAP_M = 0.012

export const PART_GROUPS = ['lines', 'swivels and links', 'stops and beads', 'ends', 'several at once'] as const

const line = (
  name: string,
  role: LinePiece['role'],
  material: LineKind['material'],
  share: number,
  lengthM: number,
): SinglePart => ({
  name,
  group: 'lines',
  kind: 'line',
  role,
  material,
  share,
  lengthM,
})
const byType = <T extends HardwareType>(group: Named['group'], ...types: T[]) =>
  Object.fromEntries(types.map((type): [T, SinglePart] => [type, { name: type, group, kind: 'hardware', type }])) as Record<
    T,
    SinglePart
  >

/** Single parts by id: a line with its usual share of the strength above it and its usual length. */
export const SINGLE_PARTS = {
  leader: line('leader', 'leader', 'mono', 1, 3),
  body: line('body', 'body', 'mono', 1, 1),
  snood: line('snood', 'snood', 'mono', 0.8, 0.6),
  sinkerLink: line('sinker line', 'sinkerLink', 'mono', 0.5, 0.5),
  biteTrace: line('bite trace', 'biteTrace', 'wire', 1.1, 0.4),
  double: line('double', 'double', 'outfit', 1, 1),
  ...byType(
    'swivels and links',
    'swivel',
    'rollingSwivel',
    'ballBearingSwivel',
    'threeWay',
    'snap',
    'snapSwivel',
    'splitRing',
    'solidRing',
  ),
  ...byType('swivels and links', 'loop', 'boom', 'slider', 'pulleyBead', 'clipRing', 'eyedWire', 'whippedLoop'),
  ...byType('stops and beads', 'bead', 'crimp', 'stopKnot', 'rubberStop', 'sleeve', 'tube', 'baitClip', 'breakBand'),
  hook: { name: 'hook', group: 'ends', kind: 'hook' },
  jigHead: { name: 'jig head', group: 'ends', kind: 'hook', set: { headKg: 0.014, pattern: 'j' } },
  bait: { name: 'bait', group: 'ends', kind: 'bait' },
  sinker: { name: 'sinker', group: 'ends', kind: 'sinker' },
  lure: { name: 'lure', group: 'ends', kind: 'lure' },
  float: { name: 'float', group: 'ends', kind: 'float' },
  light: { name: 'light', group: 'ends', kind: 'light' },
} satisfies Record<string, SinglePart>

const SEVERAL_PARTS: Readonly<Record<string, NewPart>> = {
  baitedSnood: { name: 'snood with a baited hook', group: 'several at once', kind: 'baitedSnood' },
  trappedSnood: { name: 'boom between crimps, with a snood', group: 'several at once', kind: 'trappedSnood' },
  weakSinker: { name: 'weak sinker line with its sinker', group: 'several at once', kind: 'weakSinker' },
  pulleyLine: { name: 'line through the pulley, a swivel at each end', group: 'several at once', kind: 'pulleyLine' },
}

/** What can be added, by id; hardware by the name the catalogue has for it. */
export function newParts({ hardware }: Catalogue): Readonly<Record<string, NewPart>> {
  const single = Object.entries(SINGLE_PARTS).map(([id, part]): [string, SinglePart] => [
    id,
    part.kind === 'hardware' ? { ...part, name: hardware[part.type].name } : part,
  ])
  return { ...Object.fromEntries(single), ...SEVERAL_PARTS }
}

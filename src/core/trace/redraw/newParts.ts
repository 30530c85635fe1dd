import type { HardwareType } from '../../gear/hardware.ts'
import { HARDWARE } from '../../gear/hardware.ts'
import type { Material } from '../../gear/materials.ts'
import type { LinePiece } from '../schema.ts'

type LineKind = { kind: 'line'; role: LinePiece['role']; material: Material | 'outfit'; share: number; lengthM: number }

type Named = { name: string; group: (typeof PART_GROUPS)[number] }
/** One part that can be put into a trace. */
export type SinglePart = Named &
  (LineKind | { kind: 'hardware'; type: HardwareType } | { kind: 'hook' | 'bait' | 'sinker' | 'lure' | 'float' | 'light' })
/** One part, or several that belong together. */
export type NewPart = SinglePart | (Named & { kind: 'baitedSnood' | 'trappedSnood' | 'weakSinker' | 'pulleyLine' })

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
const hardware = (type: HardwareType, group: Named['group']): SinglePart => ({
  name: HARDWARE[type].name,
  group,
  kind: 'hardware',
  type,
})
const byType = <T extends HardwareType>(group: Named['group'], ...types: T[]) =>
  Object.fromEntries(types.map((type) => [type, hardware(type, group)])) as Record<T, SinglePart>

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
  ...byType('swivels and links', 'loop', 'boom', 'slider', 'pulleyBead', 'clipRing'),
  ...byType('stops and beads', 'bead', 'crimp', 'stopKnot', 'baitClip', 'breakBand'),
  hook: { name: 'hook', group: 'ends', kind: 'hook' },
  bait: { name: 'bait', group: 'ends', kind: 'bait' },
  sinker: { name: 'sinker', group: 'ends', kind: 'sinker' },
  lure: { name: 'lure', group: 'ends', kind: 'lure' },
  float: { name: 'float', group: 'ends', kind: 'float' },
  light: { name: 'light', group: 'ends', kind: 'light' },
} satisfies Record<string, SinglePart>

/** What can be added, by id. */
export const NEW_PARTS: Readonly<Record<string, NewPart>> = {
  ...SINGLE_PARTS,
  baitedSnood: { name: 'snood with a baited hook', group: 'several at once', kind: 'baitedSnood' },
  trappedSnood: { name: 'boom between crimps, with a snood', group: 'several at once', kind: 'trappedSnood' },
  weakSinker: { name: 'weak sinker line with its sinker', group: 'several at once', kind: 'weakSinker' },
  pulleyLine: { name: 'line through the pulley, a swivel at each end', group: 'several at once', kind: 'pulleyLine' },
}

import type { ConnectionId, HardwareType, Material, SinkerShape } from '../catalogue/ids.ts'
import type { LinePiece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import type { Amount, Hang, Parameter, PartPosition, Row, Strength } from './family.ts'

/** Shorthand for the tables of families: one call a row. */
export const tied = (to: string, connection?: ConnectionId): Hang => ({ tied: to, ...(connection ? { with: connection } : {}) })
export const nearEnd = (of: string): Hang => ({ tied: of, end: 'near' })
export const onLine = (line: string, at: PartPosition, connection?: ConnectionId): Hang => ({
  on: line,
  at,
  ...(connection ? { with: connection } : {}),
})
export const slides = (line: string, at: PartPosition, below?: string, above?: string): Hang => ({
  slides: line,
  at,
  ...(below ? { below } : {}),
  ...(above ? { above } : {}),
})

export const line = (
  id: string,
  role: LinePiece['role'],
  material: Material | 'outfit',
  strength: Strength | number,
  lengthM: Amount | 'castReach',
  hangs: Hang,
): Row => ({ id, line: role, material, strength: typeof strength === 'number' ? { leader: strength } : strength, lengthM, hangs })

/** Hardware sized for the leader, or for a share of it. */
export const part = (id: string, type: HardwareType, hangs: Hang, share?: number): Row => ({
  id,
  part: type,
  hangs,
  ...(share === undefined ? {} : { share }),
})
export const lead = (shape: SinkerShape, hangs: Hang, massKg: Amount = 'sinkerKg', id = 'sinker'): Row => ({
  id,
  sinker: shape,
  massKg,
  hangs,
})
export const lure = (id: string, massKg: Amount, hangs: Hang): Row => ({ id, lure: massKg, hangs })
export const baited = (id: string, hangs: Hang): Row => ({ id, hook: 'baited', hangs })
export const bareHook = (id: string, hangs: Hang): Row => ({ id, hook: 'bare', hangs })

/** A leader of mono on the outfit's line, long enough to lie on the spool where a sinker is cast. */
export const CAST_LEADER = line('leader', 'leader', 'mono', 1, 'castReach', tied(OUTFIT))
export const fluoroLeader = (lengthM: Amount | 'castReach') => line('leader', 'leader', 'fluoro', 1, lengthM, tied(OUTFIT))

export const sinkerOf = (usual: number): Parameter => mass('sinkerKg', 'sinker', usual, 0.0005, 5)
export const mass = (key: string, label: string, usual: number, least: number, most: number): Parameter => ({
  key,
  label,
  kind: 'mass',
  usual,
  least,
  most,
})
export const length = (key: string, label: string, usual: number, least: number, most: number): Parameter => ({
  key,
  label,
  kind: 'length',
  usual,
  least,
  most,
})
export const count = (key: string, label: string, usual: number, least: number, most: number): Parameter => ({
  key,
  label,
  kind: 'count',
  usual,
  least,
  most,
})

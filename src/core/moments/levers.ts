import type { Figure } from '../advice/phrase.ts'
import { connectionOf } from '../gear/connections.ts'
import type { Conditions } from '../trace/conditions.ts'
import { withJoint, withPiece } from '../trace/edit.ts'
import { mainLine, type Outfit, withMainLine } from '../trace/outfit.ts'
import { isLine, isTied, jointOf, type Piece, type Trace } from '../trace/schema.ts'
import { materialsBeside } from '../trace/suits.ts'

/** A trace as it is fished: all that a verdict depends on. */
export type Fished = { trace: Trace; outfit: Outfit; conditions: Conditions }

/** One input of the verdicts that can be asked about: its value now, and everything with it so many times as large. */
export type Lever = { id: string; label: string; value: Figure | number; scaled: (factor: number) => Fished }

const CONDITIONS = [
  ['dragN', 'drag set', 'strength'],
  ['lineOutM', 'line out', 'length'],
  ['fishSpeedMperS', 'fish’s speed', 'speed'],
  ['fishMassKg', 'fish lifted', 'fish'],
  ['freeboardM', 'freeboard', 'length'],
  ['dropM', 'drop of the cast', 'length'],
  ['startFactor', 'start factor', undefined],
  ['guideFriction', 'guide friction', undefined],
  ['guideWrapRad', 'guide wrap', undefined],
  ['allowedFraction', 'allowed fraction', undefined],
] as const

/** Fields that have an end they cannot pass: a share is at most 1, a factor at least 1. */
const BOUND: Partial<Record<keyof Conditions, (value: number) => number>> = {
  startFactor: (value) => Math.max(1, value),
  allowedFraction: (value) => Math.min(1, value),
  guideFriction: (value) => Math.min(1, value),
  guideWrapRad: (value) => Math.min(Math.PI, value),
}

/** Every input worth asking about, of the conditions, the outfit, the lines, the weights and the knots; values of nothing are left out. */
export function leversOf(fished: Fished): Lever[] {
  return [...ofConditions(fished), ...ofWater(fished), ...ofOutfit(fished), ...ofPieces(fished), ...ofJoints(fished)]
}

/** A lever by its id; `leader` and `sinker` stand for the first leader or sinker the trace has. */
export function leverNamed(fished: Fished, id: string): Lever | undefined {
  const first = (role: string) => fished.trace.pieces.find((piece) => piece.role === role)?.id
  const wanted = id === 'leader' ? `${first('leader')} strength` : id === 'sinker' ? `${first('sinker')} mass` : id
  return leversOf(fished).find((lever) => lever.id === wanted)
}

function ofConditions(fished: Fished): Lever[] {
  const { conditions } = fished
  return CONDITIONS.filter(([field]) => conditions[field] > 0).map(([field, label, quantity]) => ({
    id: field,
    label,
    value: quantity ? { quantity, si: conditions[field] } : conditions[field],
    scaled: (factor) => {
      const next = conditions[field] * factor
      return { ...fished, conditions: { ...conditions, [field]: BOUND[field]?.(next) ?? next } }
    },
  }))
}

const WATER = [
  ['depthM', 'depth', 'length'],
  ['streamMperS', 'stream', 'speed'],
  ['distanceM', 'distance', 'length'],
  ['driftMperS', 'drift', 'speed'],
] as const

function ofWater(fished: Fished): Lever[] {
  const { conditions } = fished
  const { water } = conditions
  if (!water) return []
  return WATER.filter(([field]) => water[field] > 0).map(([field, label, quantity]) => ({
    id: field,
    label,
    value: { quantity, si: water[field] },
    scaled: (factor) => ({ ...fished, conditions: { ...conditions, water: { ...water, [field]: water[field] * factor } } }),
  }))
}

function ofOutfit(fished: Fished): Lever[] {
  const main = mainLine(fished.outfit)
  return [
    {
      id: 'main',
      label: 'main line’s strength',
      value: { quantity: 'strength', si: main.strengthN },
      scaled: (factor) => ({ ...fished, outfit: withMainLine(fished.outfit, { strengthN: main.strengthN * factor }) }),
    },
  ]
}

function ofPieces(fished: Fished): Lever[] {
  return fished.trace.pieces.flatMap((piece): Lever[] => {
    const name = piece.label ?? piece.id.replaceAll('-', ' ')
    const change = (next: (factor: number) => object) => (factor: number) => ({
      ...fished,
      trace: withPiece(fished.trace, piece.id, (old) => ({ ...old, ...next(factor) }) as Piece),
    })
    if (isLine(piece))
      return [
        {
          id: `${piece.id} strength`,
          label: `${name}’s strength`,
          value: { quantity: 'strength', si: piece.strengthN },
          scaled: change((factor) => ({ strengthN: piece.strengthN * factor })),
        },
      ]
    if (piece.role !== 'sinker' && piece.role !== 'lure') return []
    return [
      {
        id: `${piece.id} mass`,
        label: `${name}’s weight`,
        value: { quantity: 'mass', si: piece.massKg },
        scaled: change((factor) => ({ massKg: piece.massKg * factor })),
      },
    ]
  })
}

function ofJoints(fished: Fished): Lever[] {
  const { trace, outfit } = fished
  return trace.pieces.flatMap((piece): Lever[] => {
    const joint = jointOf(piece)
    if (!isTied(joint)) return []
    const { name, efficiency } = connectionOf(joint.connection)
    const shares = materialsBeside(piece, trace, outfit).map((material) => joint.efficiency ?? efficiency[material] ?? 1)
    const now = Math.min(...shares)
    return [
      {
        id: `${piece.id}.joint`,
        label: `${name} at ${piece.label ?? piece.id.replaceAll('-', ' ')}`,
        value: now,
        scaled: (factor) => ({
          ...fished,
          trace: withJoint(trace, piece.id, (old) => ({ ...old, efficiency: Math.min(1, now * factor) })),
        }),
      },
    ]
  })
}

import { efficiencyOf } from '../catalogue/catalogue.ts'
import type { ConnectionId } from '../catalogue/ids.ts'
import type { Conditions } from '../documents/conditions.ts'
import { type LinkRef, linkKey } from '../documents/linkRef.ts'
import { isLine, isTied, jointOf } from '../documents/pieces.ts'

import { withFields, withJoint } from '../edit/changes.ts'
import { materialsBeside } from '../joints/connectionRules.ts'
import type { ConditionLever } from '../moments/moment.ts'
import { MOMENTS, type MomentName } from '../moments/moments.ts'
import { mainLine, withMainLine } from '../outfits/outfitLines.ts'
import { withDragGiven } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'

/** What an input is of: a field of the conditions, the main line, a piece's strength or weight, or a joint. */
export type LeverOf =
  | { of: ConditionLever['of']; field: string }
  | { of: 'mainLine' }
  | { of: 'strength' | 'mass'; piece: string }
  | { of: 'joint'; ref: LinkRef; connection: ConnectionId }

/** One input of the verdicts that can be asked about: its value now, and everything with it so many times as large. */
export type Lever = {
  id: string
  what: LeverOf
  quantity: ConditionLever['quantity']
  value: number
  scaled: (factor: number) => Setup
}

/** Fields that have an end they cannot pass: a share is at most 1, a factor at least 1. */
const BOUND: Readonly<Record<string, (value: number) => number>> = {
  startFactor: (value) => Math.max(1, value),
  allowedFraction: (value) => Math.min(1, value),
  guideFriction: (value) => Math.min(1, value),
  guideWrapRad: (value) => Math.min(Math.PI, value),
}

/** Every input of some moments worth asking about, of the conditions, the outfit, the lines, the weights and the knots; values of nothing are left out. */
export function leversOf(given: Setup, names: readonly MomentName[]): Lever[] {
  const setup = withDragGiven(given)
  const fields = new Map(
    names.flatMap((name) => MOMENTS[name].levers).map((lever): [string, ConditionLever] => [idOf(lever), lever]),
  )
  return [
    ...[...fields.values()].flatMap((lever) => ofConditions(setup, lever)),
    ofMainLine(setup),
    ...ofPieces(setup),
    ...ofJoints(setup),
  ]
}

/** A lever by its id; `leader` and `sinker` stand for the first leader or sinker the trace has. */
export function leverNamed(setup: Setup, names: readonly MomentName[], id: string): Lever | undefined {
  const first = (role: string) => setup.trace.pieces.find((piece) => piece.role === role)?.id
  const wanted = id === 'leader' ? `${first('leader')} strength` : id === 'sinker' ? `${first('sinker')} mass` : id
  return leversOf(setup, names).find((lever) => lever.id === wanted)
}

function ofConditions(setup: Setup, { of, field, quantity }: ConditionLever): Lever[] {
  const { conditions } = setup
  const held = (of === 'conditions' ? conditions : conditions[of]) as Readonly<Record<string, unknown>> | undefined
  const value = held?.[field]
  if (typeof value !== 'number' || !(value > 0)) return []
  const scaled = (factor: number): Setup => {
    const next = { [field]: BOUND[field]?.(value * factor) ?? value * factor }
    const changed = of === 'conditions' ? next : { [of]: { ...conditions[of], ...next } }
    return { ...setup, conditions: { ...conditions, ...changed } as Conditions }
  }
  return [{ id: idOf({ of, field }), what: { of, field }, quantity, value, scaled }]
}

/** A field of how the line moves may be called as one of the conditions is. */
const idOf = ({ of, field }: Pick<ConditionLever, 'of' | 'field'>) => (of === 'moving' ? `moving ${field}` : field)

function ofMainLine(setup: Setup): Lever {
  const { strengthN } = mainLine(setup.outfit)
  return {
    id: 'main',
    what: { of: 'mainLine' },
    quantity: 'strength',
    value: strengthN,
    scaled: (factor) => ({ ...setup, outfit: withMainLine(setup.outfit, { strengthN: strengthN * factor }) }),
  }
}

function ofPieces(setup: Setup): Lever[] {
  return setup.trace.pieces.flatMap((piece): Lever[] => {
    const lever = (of: 'strength' | 'mass', field: 'strengthN' | 'massKg', value: number): Lever => ({
      id: `${piece.id} ${of}`,
      what: { of, piece: piece.id },
      quantity: of,
      value,
      scaled: (factor) => ({
        ...setup,
        trace: withFields(setup.trace, piece.id, { [field]: value * factor }),
      }),
    })
    if (isLine(piece)) return [lever('strength', 'strengthN', piece.strengthN)]
    return piece.role === 'sinker' || piece.role === 'lure' ? [lever('mass', 'massKg', piece.massKg)] : []
  })
}

function ofJoints(setup: Setup): Lever[] {
  const { trace, catalogue } = setup
  return trace.pieces.flatMap((piece): Lever[] => {
    const joint = jointOf(piece)
    if (!isTied(joint)) return []
    const shares = materialsBeside(piece, setup).map((material) => efficiencyOf(catalogue, joint, material)?.mean ?? 1)
    const value = Math.min(...shares)
    const ref: LinkRef = { at: 'joint', id: piece.id }
    return [
      {
        id: linkKey(ref),
        what: { of: 'joint', ref, connection: joint.connection },
        quantity: 'ratio',
        value,
        scaled: (factor) => ({
          ...setup,
          trace: withJoint(trace, piece.id, (old) => ({ ...old, own: { ...old.own, efficiency: Math.min(1, value * factor) } })),
        }),
      },
    ]
  })
}

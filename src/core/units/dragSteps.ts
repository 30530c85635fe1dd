import { QUANTITIES } from './quantities.ts'

/** Steps in which a drag is set by hand, in the unit that strengths are shown in. */
const DRAG_STEPS: Record<keyof typeof QUANTITIES.strength.units, number> = { lb: 0.5, kg: 0.5, N: 5, kN: 0.01 }
/** Rounding allowance, as a share of a step. */
const ROUNDING = 1e-6

/** The next whole step of a drag up (+1) or down (−1), N, never under one step. */
export function nextDragN(dragN: number, direction: 1 | -1, unit: string): number {
  const known = unit in DRAG_STEPS ? (unit as keyof typeof DRAG_STEPS) : 'N'
  const stepN = DRAG_STEPS[known] * QUANTITIES.strength.units[known]
  const steps = dragN / stepN
  const next = direction === 1 ? Math.floor(steps + ROUNDING) + 1 : Math.ceil(steps - ROUNDING) - 1
  return Math.max(1, next) * stepN
}

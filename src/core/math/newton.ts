/** How closely a shot is worked out and met: its error, how near is near enough, and the step of the differences, well over the error. */
export type SolverTolerance = { tolerance: number; close: number; difference: number }
/** How far a shot misses each of its aims, beside whatever else is known of it. */
export type Residual = { missed: readonly number[] }
export type Evaluate<At extends readonly number[], S extends Residual> = (at: At, care: SolverTolerance) => S
export type Solution<At, S> = { at: At; shot: S }

type Jacobian = number[][]
type Found<At, S> = Solution<At, S> & { jacobian: Jacobian | undefined }

const MAX_STEPS = 30
/** A step that does not come at least this much closer is halved, down to a share: of a fresh Jacobian, of one that was only updated. */
const CLOSER = 0.9
const MIN_SHARE = { fresh: 1e-3, updated: 0.3 }

/**
 * Where a shot in a few unknowns meets as many aims: damped Newton with Broyden’s updates, roughly first. A rough shot costs a part
 * of a fine one and finds about the place, and its Jacobian serves the fine ones; where rough shots do not get there, fine ones may.
 * @param longest the longest step of each unknown.
 * @returns undefined where it gets stuck.
 * Source: C. G. Broyden, A class of methods for solving nonlinear simultaneous equations (1965).
 */
export function solveSystem<At extends readonly number[], S extends Residual>(
  shoot: Evaluate<At, S>,
  start: At,
  longest: At,
  { rough, fine }: { rough: SolverTolerance; fine: SolverTolerance },
): Solution<At, S> | undefined {
  const about = newton(shoot, start, longest, rough)
  return (about && newton(shoot, about.at, longest, fine, { known: about.jacobian })) ?? newton(shoot, start, longest, fine)
}

/** From close by, without rough shots; undefined where it gets stuck. */
export function newton<At extends readonly number[], S extends Residual>(
  shoot: Evaluate<At, S>,
  start: At,
  longest: At,
  care: SolverTolerance,
  { known, mostSteps = MAX_STEPS }: { known?: Jacobian | undefined; mostSteps?: number } = {},
): Found<At, S> | undefined {
  let at = start
  let jacobian = known
  let shot = shoot(at, care)
  let fresh = false
  for (let i = 0; i < mostSteps && sizeOf(shot.missed) > care.close; i += 1) {
    const { missed } = shot
    if (!jacobian) {
      jacobian = differences(shoot, at, missed, care)
      fresh = true
    }
    const step = solved(jacobian, missed)
    const over = Math.max(...step.map((each, j) => Math.abs(each) / longest[j]!))
    if (!Number.isFinite(over)) return undefined
    let share = Math.min(1, 1 / over)
    let next = shoot(plus(at, step, share), care)
    while (!(sizeOf(next.missed) < CLOSER * sizeOf(missed)) && share > MIN_SHARE[fresh ? 'fresh' : 'updated']) {
      share /= 2
      next = shoot(plus(at, step, share), care)
    }
    if (!(sizeOf(next.missed) < sizeOf(missed))) {
      if (fresh) return undefined
      jacobian = undefined
      continue
    }
    update(jacobian, step, share, missed, next.missed)
    ;[at, shot, fresh] = [plus(at, step, share), next, false]
  }
  return sizeOf(shot.missed) <= care.close ? { at, shot, jacobian } : undefined
}

/** Misses that are no numbers are as large as can be. */
const sizeOf = (missed: readonly number[]) => Math.hypot(...missed)
const plus = <At extends readonly number[]>(at: At, step: readonly number[], share: number) =>
  at.map((each, i) => each + share * step[i]!) as unknown as At

/** How each unknown moves each miss: rows are misses. */
function differences<At extends readonly number[], S extends Residual>(
  shoot: Evaluate<At, S>,
  at: At,
  missed: readonly number[],
  care: SolverTolerance,
): Jacobian {
  const columns = at.map((_, j) => {
    const moved = shoot(at.map((each, i) => each + (i === j ? care.difference : 0)) as unknown as At, care).missed
    return missed.map((old, i) => (moved[i]! - old) / care.difference)
  })
  return missed.map((_, row) => columns.map((column) => column[row]!))
}

/** Broyden's update: the least change of the Jacobian that explains what the step did. */
function update(jacobian: Jacobian, step: readonly number[], share: number, before: readonly number[], after: readonly number[]) {
  const length = share * step.reduce((sum, each) => sum + each * each, 0)
  for (const [i, row] of jacobian.entries()) {
    const foreseen = before[i]! + share * row.reduce((sum, each, j) => sum + each * step[j]!, 0)
    for (let j = 0; j < step.length; j += 1) row[j]! += ((after[i]! - foreseen) * step[j]!) / length
  }
}

/** The step that takes the misses away, by elimination with pivots; endless where there is none. */
function solved(jacobian: Jacobian, missed: readonly number[]): number[] {
  const rows = jacobian.map((row, i) => [...row, -missed[i]!])
  const n = rows.length
  for (let j = 0; j < n; j += 1) {
    let pivot = j
    for (let i = j + 1; i < n; i += 1) if (Math.abs(rows[i]![j]!) > Math.abs(rows[pivot]![j]!)) pivot = i
    ;[rows[j], rows[pivot]] = [rows[pivot]!, rows[j]!]
    for (let i = 0; i < n; i += 1) {
      if (i === j) continue
      const share = rows[i]![j]! / rows[j]![j]!
      for (let k = j; k <= n; k += 1) rows[i]![k]! -= share * rows[j]![k]!
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!)
}

import { MOMENT_CALCULATIONS } from '../calculations/momentCalculations.ts'
import { CoreError } from '../errors.ts'
import { judge } from '../moments/judge.ts'
import type { CalculationRequest, MomentKind, MomentResult } from '../moments/moment.ts'
import { MOMENTS, type MomentName } from '../moments/moments.ts'
import type { Setup } from '../setup/setup.ts'

/** One calculation on the way to a verdict, with exactly what went in and what came out. */
export type DerivationStep = CalculationRequest & { output: object }

/** Every calculation behind a moment’s verdict, in order; empty where the moment does not apply. Worked out anew, on demand. */
export function derivationOf(setup: Setup, name: MomentName): DerivationStep[] {
  const { setup: prepared, moments } = judge(setup, [name])
  const result = moments[name]
  if (!result) return []
  // The table pairs each moment with its own result; the type of one lookup cannot say so.
  const { derive } = MOMENTS[name] as unknown as MomentKind<MomentResult>
  return derive(prepared, result).flatMap(calculated)
}

/** A step with its output, or none where it is blown out, floats, or leaves no line to calculate with: the panel says so. */
function calculated(request: CalculationRequest): DerivationStep[] {
  const { run } = MOMENT_CALCULATIONS[request.calculation] as { run: (input: object) => object }
  try {
    return [{ ...request, output: run(request.input) }]
  } catch (error) {
    if (error instanceof CoreError) return []
    throw error
  }
}

// npm run -s calc -- NAME < input.json
import { CALCULATIONS, calculate, isCalculationName } from '../core/calculations/registry.ts'
import { exitInvalid, printResult, readJson } from './readInput.ts'

const name = process.argv[2] ?? ''
if (!isCalculationName(name))
  exitInvalid([
    { code: 'unknown_calculation', path: [], message: `“${name}” is not one of ${Object.keys(CALCULATIONS).join(', ')}` },
  ])
const input = readJson('-')
printResult(() => {
  const outcome = calculate(name, input)
  return outcome.ok ? outcome.output : exitInvalid(outcome.issues)
})

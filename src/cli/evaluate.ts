// npm run -s evaluate -- FILE   (or `-` for standard input)
import { evaluate } from '../core/moments/evaluate.ts'
import { parseRequest } from '../core/moments/parseRequest.ts'
import { reportOf } from '../core/moments/report.ts'
import { exitInvalid, printResult, readJson } from './readInput.ts'

const file = process.argv[2]
if (file === undefined) exitInvalid([{ code: 'no_file', path: [], message: 'name a file, or - for standard input' }])
const parsed = parseRequest(readJson(file))
if (!parsed.ok) exitInvalid(parsed.issues)
const { trace, outfit, conditions, ruleSet } = parsed.request
printResult(() => reportOf(evaluate(trace, outfit, conditions, ruleSet)))

// npm run -s evaluate -- FILE   (or `-` for standard input)

import { evaluate } from '../core/analysis/evaluate.ts'
import { parseRequest } from '../core/analysis/parseRequest.ts'
import { reportOf } from '../core/analysis/report.ts'
import { NOMINAL_CATALOGUE } from '../core/catalogue/catalogue.ts'
import { exitInvalid, printResult, readJson } from './readInput.ts'

const file = process.argv[2]
if (file === undefined) exitInvalid([{ code: 'no_file', path: [], message: 'name a file, or - for standard input' }])
const parsed = parseRequest(readJson(file), NOMINAL_CATALOGUE)
if (!parsed.ok) exitInvalid(parsed.issues)
const { setup, ruleSet } = parsed.request
printResult(() => reportOf(evaluate(setup, ruleSet), ruleSet))

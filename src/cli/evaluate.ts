// npm run -s evaluate -- FILE [PULLS.CSV]   (FILE or `-` for standard input; own pulls count instead of the nominal figures)

import { evaluate } from '../core/analysis/evaluate.ts'
import { parseRequest } from '../core/analysis/parseRequest.ts'
import { reportOf } from '../core/analysis/report.ts'
import { NOMINAL_CATALOGUE, type OwnConnection, withOwn } from '../core/catalogue/catalogue.ts'
import { ownConnections } from '../core/learning/knotLessons.ts'
import { readPullCsv } from '../files/pullCsv.ts'
import { exitInvalid, printResult, readJson, readText } from './readInput.ts'

const [file, pullsFile] = process.argv.slice(2)
if (file === undefined) exitInvalid([{ code: 'no_file', path: [], message: 'name a file, or - for standard input' }])
const parsed = parseRequest(readJson(file), withOwn(NOMINAL_CATALOGUE, pullsFile === undefined ? [] : ownFrom(pullsFile)))
if (!parsed.ok) exitInvalid(parsed.issues)
const { setup, ruleSet } = parsed.request
printResult(() => reportOf(evaluate(setup, ruleSet), ruleSet))

function ownFrom(path: string): OwnConnection[] {
  const read = readPullCsv(readText(path))
  if (!read.ok) exitInvalid(read.faults.map(({ line, message }) => ({ code: 'not_a_pull', path: [line], message })))
  return ownConnections(
    NOMINAL_CATALOGUE,
    read.value.filter((observation) => observation.kind === 'pull'),
  )
}

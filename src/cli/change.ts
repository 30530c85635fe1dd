// npm run -s change -- FILE   (FILE or `-` for standard input; what is read and printed: docs/change.md)

import { NOMINAL_CATALOGUE } from '../core/catalogue/catalogue.ts'
import { parseChangeRequest } from '../core/change/parseChangeRequest.ts'
import { whatToChange } from '../core/change/whatToChange.ts'
import { exitInvalid, printResult, readJson } from './readInput.ts'

const [file] = process.argv.slice(2)
if (file === undefined) exitInvalid([{ code: 'no_file', path: [], message: 'name a file, or - for standard input' }])
const parsed = parseChangeRequest(readJson(file), NOMINAL_CATALOGUE)
if (!parsed.ok) exitInvalid(parsed.issues)
const { setup, gear, events, now } = parsed.request
printResult(() => ({ changes: whatToChange(setup, gear, events, now) }))

import { readFileSync } from 'node:fs'
import { CoreError } from '../core/errors.ts'

/** Exit codes of the commands: a document that does not hold, and a calculation outside its range. */
const EXIT_INVALID = 2
const EXIT_OUT_OF_RANGE = 3

/** Prints issues as JSON on standard error and ends with the code of an invalid input. */
export function exitInvalid(issues: readonly unknown[]): never {
  console.error(JSON.stringify(issues, null, 2))
  process.exit(EXIT_INVALID)
}

/** Reads a file, or standard input for `-`. */
export function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return exitInvalid([{ code: 'no_file', path: [], message: error instanceof Error ? error.message : String(error) }])
  }
}

/** The same as JSON. */
export function readJson(file: string): unknown {
  const text = readText(file)
  try {
    return JSON.parse(text)
  } catch (error) {
    return exitInvalid([{ code: 'invalid_json', path: [], message: error instanceof Error ? error.message : String(error) }])
  }
}

/** Runs `compute`, prints its result as JSON, and turns a CoreError into `{code,message,details}` with its exit code. */
export function printResult(compute: () => unknown): void {
  try {
    console.log(JSON.stringify(compute(), null, 2))
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    console.error(JSON.stringify({ code: error.code, message: error.message, details: error.details }))
    process.exit(EXIT_OUT_OF_RANGE)
  }
}

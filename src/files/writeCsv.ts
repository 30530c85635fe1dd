import Papa from 'papaparse'

/** Matches what a spreadsheet would run as a formula, with any quotes that already guard it. */
const FORMULA = /^'*[=+\-@\t\r]/

/** Adds a quote in front of a text that a spreadsheet would run as a formula. */
const guarded = (value: unknown) => (typeof value === 'string' && FORMULA.test(value) ? `'${value}` : value)

/** Undoes `guarded`. */
export const unguarded = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell)

/** Writes rows as a table with a heading. `readCsv` gives back each cell unchanged. */
export function writeCsv(
  rows: readonly Record<string, unknown>[],
  fields: readonly string[] = Object.keys(rows[0] ?? {}),
): string {
  const data = rows.map((row) => fields.map((field) => guarded(row[field])))
  return Papa.unparse({ fields: [...fields], data }, { newline: '\n' })
}

import Papa from 'papaparse'

/** What a spreadsheet would take for a formula, behind any quotes that keep it from that. */
const FORMULA = /^'*[=+\-@\t\r]/

/** A cell as it is written: a text that a spreadsheet would calculate begins with a quote, one more than it had. */
const guarded = (value: unknown) => (typeof value === 'string' && FORMULA.test(value) ? `'${value}` : value)

/** A cell as it was before it was written by `writeCsv`. */
export const unguarded = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell)

/** Rows as a table with a heading: read again by `readCsv`, each cell is what it was. */
export function writeCsv(
  rows: readonly Record<string, unknown>[],
  fields: readonly string[] = Object.keys(rows[0] ?? {}),
): string {
  const data = rows.map((row) => fields.map((field) => guarded(row[field])))
  return Papa.unparse({ fields: [...fields], data }, { newline: '\n' })
}

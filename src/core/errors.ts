/** The closed list of what a calculation can say about a valid input that it cannot answer. */
export type CoreErrorCode =
  | 'out-of-range'
  | 'no-convergence'
  | 'no-root'
  | 'line-out-over-spool'
  | 'overfull'
  | 'no-path'
  | 'blown-out'
  | 'line-too-short'
  | 'line-on-bed'
  | 'does-not-sink'
  | 'hour-outside-table'

/** A calculation outside its range. Never thrown for a malformed input: that is a schema's issue. */
export class CoreError extends Error {
  readonly code: CoreErrorCode
  readonly details: Readonly<Record<string, number | string>>

  constructor(code: CoreErrorCode, message: string, details: Readonly<Record<string, number | string>> = {}) {
    super(message)
    this.name = 'CoreError'
    this.code = code
    this.details = details
  }
}

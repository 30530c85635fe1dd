import type { ErrorBody } from '../../shared/errors.ts'

type Issues = NonNullable<ErrorBody['error']['issues']>

/** A refusal that the client may see: status, code, and a sentence. */
export class HttpError extends Error {
  readonly status: number
  readonly code: string
  readonly issues: Issues | undefined
  /** More of the answer beside the error, as the current revision of a stale save. */
  readonly extra: Record<string, unknown>
  /** In how many seconds to try again. */
  readonly retryAfterS: number | undefined

  constructor(
    status: number,
    code: string,
    message: string,
    more: { issues?: Issues; extra?: Record<string, unknown>; retryAfterS?: number } = {},
  ) {
    super(message)
    this.name = 'HttpError'
    this.status = status
    this.code = code
    this.issues = more.issues
    this.extra = more.extra ?? {}
    this.retryAfterS = more.retryAfterS
  }
}

export const notFound = (what: string) => new HttpError(404, 'not-found', `This does not exist: ${what}.`)

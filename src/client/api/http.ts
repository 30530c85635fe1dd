import type { z } from 'zod'
import { errorBody } from '../../shared/errors.ts'
import { noteAnswer } from './network.ts'

/** A request that was refused, or never arrived (`code` is then `offline`). */
export class ApiError extends Error {
  readonly status: number
  readonly code: string
  readonly body: unknown

  constructor(status: number, code: string, message: string, body: unknown) {
    super(message)
    this.name = 'ApiError'
    this.status = status
    this.code = code
    this.body = body
  }
}

/** Asked again so often, each time after twice as long, the server has had seven seconds: its database is back within five. */
const TIMES_WHILE_WAITING = 3

/** Whether the server says by itself that it is worth asking again soon: its database is away, or it is busy. */
const asksToWait = ({ status, code }: ApiError) => status === 503 && code !== 'offline' && code !== 'disk-full'

/** Whether a request that failed so many times is sent again; one that changes something only where the server asks for that. */
export function isSentAgain(times: number, error: unknown, changes: boolean): boolean {
  if (!(error instanceof ApiError)) return false
  if (asksToWait(error)) return times < TIMES_WHILE_WAITING
  return !changes && times < 2 && (error.code === 'offline' || error.status >= 500)
}

const OFFLINE = 'You are offline or the server is down. This page still works and keeps your changes.'

/** What goes with a request: a value as JSON, or a file of rows as it is. */
type Sent = { method?: string; body?: unknown; file?: File; signal?: AbortSignal }

/** Sends one request and reads the answer by its contract. */
export async function request<T>(answer: z.ZodType<T>, path: string, sent: Sent = {}): Promise<T> {
  const response = await respond(path, sent)
  const body: unknown = await response.json().catch(() => undefined)
  const read = answer.safeParse(body)
  if (!read.success)
    throw new ApiError(response.status, 'unreadable', 'The server sent an unexpected answer. Reload the page.', body)
  return read.data
}

/** Whether sending the same again is useless: the server refused it, and was neither away nor busy. */
export const isRefusal = (error: unknown): error is ApiError =>
  error instanceof ApiError && error.code !== 'offline' && error.status >= 400 && error.status < 500 && error.status !== 429

/** Sends one request whose answer is a file. */
export const requestFile = async (path: string, sent: Sent): Promise<Blob> => (await respond(path, sent)).blob()

/** @throws ApiError if the request was refused or never arrived. */
async function respond(path: string, sent: Sent): Promise<Response> {
  const response = await fetch(`/api${path}`, {
    method: sent.method ?? 'GET',
    ...(sent.signal && { signal: sent.signal }),
    ...contentOf(sent),
  }).catch(() => {
    throw new ApiError(0, 'offline', OFFLINE, undefined)
  })
  noteAnswer(response.headers, Date.now())
  if (response.ok) return response
  const body: unknown = await response.json().catch(() => undefined)
  const refused = errorBody.safeParse(body)
  // A proxy, or a server on its way down, answers without our contract.
  if (!refused.success) throw new ApiError(response.status, 'offline', OFFLINE, body)
  throw new ApiError(response.status, refused.data.error.code, refused.data.error.message, body)
}

function contentOf({ body, file }: Sent): RequestInit {
  if (file) return { headers: { 'Content-Type': 'application/x-ndjson' }, body: file }
  return body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }
}

import { codeOf } from '../../core/documents/tied.ts'

/** The address of a screen with what is chosen there; what is not given stays open. */
const addressOf = (path: string, chosen: Readonly<Record<string, string | null | undefined>>) => {
  const given = Object.entries(chosen).filter((entry): entry is [string, string] => typeof entry[1] === 'string')
  return given.length > 0 ? `${path}?${new URLSearchParams(given)}` : path
}

/** The day at a mark with a trace: at its own mark, where it has one. */
export const planAddress = (trace: string | undefined, mark: string | undefined, day?: string): string =>
  addressOf('/water', { trace, mark, day })

/** The build sheet of a trace, with the plan of a day at a mark. */
export const sheetAddress = (trace: string, plan: { mark?: string | undefined; day?: string | undefined } = {}): string =>
  addressOf(`/traces/${trace}/build`, plan)

/** A new trace on an outfit, for a mark. */
export const newTraceAddress = (chosen: { outfit?: string | null | undefined; mark?: string | null | undefined }): string =>
  addressOf('/traces/new', chosen)

/** The log of a trip; with kinds of events, those only. */
export const logAddress = (trip: string, only: readonly string[] = []): string =>
  addressOf(`/trips/${trip}/log`, { only: only.length > 0 ? only.join() : undefined })

/** The sheet of a batch of a trace. */
export const batchAddress = (trace: string, batch: string): string => addressOf(`/traces/${trace}/build`, { batch })

/** The card of a tied trace, as on its label. */
export const cardAddress = (id: string): string => `/t/${codeOf(id)}`

import pino, { type DestinationStream, type Logger } from 'pino'

/** An error without its attached objects: a database client contains a secret key. */
const errorAsLogged = (error: unknown) =>
  error instanceof Error
    ? { type: error.name, message: error.message, stack: error.stack, ...codeOf(error) }
    : { type: typeof error, message: String(error) }

const codeOf = (error: Error) => ('code' in error && typeof error.code === 'string' ? { code: error.code } : {})

/** The server's log, as lines of JSON. */
export const openLog = (level: string, to?: DestinationStream): Logger =>
  pino({ level, serializers: { err: errorAsLogged } }, ...((to ? [to] : []) as [DestinationStream]))

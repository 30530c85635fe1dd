import pino, { type DestinationStream, type Logger } from 'pino'

/** Why something failed, without the objects that hang on an error: a database's client holds its secret key. */
const errorAsLogged = (error: unknown) =>
  error instanceof Error
    ? { type: error.name, message: error.message, stack: error.stack, ...codeOf(error) }
    : { type: typeof error, message: String(error) }

const codeOf = (error: Error) => ('code' in error && typeof error.code === 'string' ? { code: error.code } : {})

/** The server's log: lines of JSON, of errors only what says what went wrong. */
export const openLog = (level: string, to?: DestinationStream): Logger =>
  pino({ level, serializers: { err: errorAsLogged } }, ...((to ? [to] : []) as [DestinationStream]))

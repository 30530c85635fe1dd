import { config } from 'zod'

/** The rules of the pages forbid code made from text. Without this, the first schema tries it all the same. Loaded before any schema. */
config({ jitless: true })

import { config } from 'zod'

/** The content security policy forbids `eval`. Without this setting, the first schema tries it. Must be imported before any schema. */
config({ jitless: true })

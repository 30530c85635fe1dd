import type { z } from 'zod'

/** One fault of a document: where it is, and what is wrong. */
export type Issue = { path: (string | number)[]; message: string }

/** How many faults of one document are told: whoever has more reads no further either. */
const MAX_TOLD = 100

/** A schema's issues as the application's own. */
export const plainIssues = (issues: readonly z.core.$ZodIssue[]): Issue[] =>
  issues.slice(0, MAX_TOLD).map(({ path, message }) => ({
    path: path.map((key) => (typeof key === 'number' ? key : String(key))),
    message,
  }))

export const issuesOf = (error: z.ZodError): Issue[] => plainIssues(error.issues)

/** Issues of a part of a document, with the path to that part. */
export const under = (name: string, issues: readonly Issue[]): Issue[] =>
  issues.map(({ path, message }) => ({ path: [name, ...path], message }))

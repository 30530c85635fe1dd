import type { z } from 'zod'

/** One fault of a document: where it is, and what is wrong. */
export type Issue = { path: (string | number)[]; message: string }

/** A schema's issues as the application's own. */
export const issuesOf = (error: z.ZodError): Issue[] =>
  error.issues.map(({ path, message }) => ({ path: path.map((key) => (typeof key === 'number' ? key : String(key))), message }))

/** Issues of a part of a document, with the path to that part. */
export const under = (name: string, issues: readonly Issue[]): Issue[] =>
  issues.map(({ path, message }) => ({ path: [name, ...path], message }))

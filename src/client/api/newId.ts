/** An id for a new document or observation. */
export const newId = (): string => crypto.randomUUID()

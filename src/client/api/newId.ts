import { v4 } from 'uuid'

/** An id for a new document or observation. On plain http under a name of its own, the browser’s own maker of ids is missing. */
export const newId = (): string => v4()

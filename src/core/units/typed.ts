/** Longest that anything typed into a field is, in letters; what is longer is not read at all, so that reading is never slow. */
const MAX_TYPED = 60

export const isTooLong = (typed: string): boolean => typed.length > MAX_TYPED

/** The header of an answer that comes from this browser, since the server could not be asked: when the server gave it. */
export const KEPT_SINCE = 'Wide-Reach-Kept-Since'

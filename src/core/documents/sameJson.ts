import stableJson from 'safe-stable-stringify'

/** True where two values are one document: alike as JSON, whatever the order of their fields; a field that is undefined is absent. */
export const sameJson = (a: unknown, b: unknown): boolean => stableJson(a) === stableJson(b)

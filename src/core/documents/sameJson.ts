/**
 * True where two values are one document: alike as JSON, whatever the order of their fields; a field that is undefined is absent. What
 * both share is not gone into: an edited document shares all but what was edited.
 */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (!isObject(a) || !isObject(b) || Array.isArray(a) !== Array.isArray(b)) return false
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => sameJson(a[key], b[key]))
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null

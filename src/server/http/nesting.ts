/** Documents have far fewer levels. */
const MAX_DEPTH = 64

/** Whether a value is nested deeper than any document. Recursive code would run out of stack on it. */
export function isTooDeep(value: unknown): boolean {
  let level: object[] = isObject(value) ? [value] : []
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth === MAX_DEPTH) return true
    level = level.flatMap((each) => Object.values(each).filter(isObject))
  }
  return false
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null

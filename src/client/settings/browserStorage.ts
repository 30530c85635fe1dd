/** What the browser’s storage gives; undefined where it is off, full, or holds something that cannot be read. */
export function fromStorage<T>(ask: () => T): T | undefined {
  try {
    return ask()
  } catch {
    return undefined
  }
}

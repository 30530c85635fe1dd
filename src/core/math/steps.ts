/** Work that pauses between its parts, so that a page can draw and take input meanwhile. */
export type Steps<T> = Generator<void, T>

/** The result of such work, without a pause. */
export function inOneGo<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

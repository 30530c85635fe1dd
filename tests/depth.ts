/** Whether every test runs at its full depth: `npm run test:deep`, before an issue is closed. */
export const IS_DEEP = process.env.TEST_DEPTH === 'full'

/** The number of random cases, rounds or clients of a test: fewer by default, all of them in `npm run test:deep`. */
export const atDepth = (usual: number, full: number): number => (IS_DEEP ? full : usual)

/** One in so many cases of a list, from the first on; all of them in `npm run test:deep`. */
export const sampleOf = <T>(all: readonly T[], oneIn: number): readonly T[] =>
  IS_DEEP ? all : all.filter((_, i) => i % oneIn === 0)

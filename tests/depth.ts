/** Whether every test runs at its full depth: `npm run test:deep`, before an issue is closed. */
const IS_DEEP = process.env.TEST_DEPTH === 'full'

/** The number of random cases, rounds or clients of a test: fewer by default, all of them in `npm run test:deep`. */
export const atDepth = (usual: number, full: number): number => (IS_DEEP ? full : usual)

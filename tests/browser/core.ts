import { pathToFileURL } from 'node:url'
import { bundle } from '../../src/server/bundle.mjs'
import { ROOT } from '../../src/server/root.ts'

const file = await bundle({ root: ROOT, name: 'tests/ofCore', entryPoints: ['tests/fixtures/ofCore.ts'] })

/** Parts of the core in one file: to transform its hundreds of files would take every test process seconds. */
export const { defaultConditions, draftOf, FAMILY_FIXTURES, labelPages, snoodsInWords }: typeof import('../fixtures/ofCore.ts') =
  await import(pathToFileURL(file).href)

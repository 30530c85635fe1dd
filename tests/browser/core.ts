import { pathToFileURL } from 'node:url'
import { bundle } from '../../src/server/bundle.mjs'
import { ROOT } from '../../src/server/root.ts'

const file = await bundle({ root: ROOT, name: 'tests/ofCore', entryPoints: ['tests/fixtures/ofCore.ts'] })

/** Parts of the core, as one file: each process of the tests would transform its hundreds of files for seconds. */
export const { defaultConditions, draftOf, FAMILY_FIXTURES, labelPages, snoodsInWords }: typeof import('../fixtures/ofCore.ts') =
  await import(pathToFileURL(file).href)

// npm run docs: writes the reference page of the calculations from their registry.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { calculationsPage } from './lib/calculationsPage.ts'
import { ROOT } from './lib/project.ts'

writeFileSync(join(ROOT, 'docs', 'calculations.md'), calculationsPage())

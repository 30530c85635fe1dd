import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const nearestPackage = (folder: string): string =>
  existsSync(join(folder, 'package.json')) ? folder : nearestPackage(dirname(folder))

/** The project's folder: the nearest above this file with a package.json. It is the same when this code is bundled into `dist/`. */
export const ROOT = nearestPackage(dirname(fileURLToPath(import.meta.url)))

import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const nearestPackage = (folder: string): string =>
  existsSync(join(folder, 'package.json')) ? folder : nearestPackage(dirname(folder))

/** The folder of the project: the nearest with a package.json above this code, which runs as it is or in one file of a whole command. */
export const ROOT = nearestPackage(dirname(fileURLToPath(import.meta.url)))
